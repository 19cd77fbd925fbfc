<?php

declare(strict_types=1);

namespace App\Notices\Shared;

use App\Models\NoticeText;
use App\Models\Person;
use App\Models\SharedNotice;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Words that many doors share: begun, drafted, published, let go. What is drafted stands at no door. */
final readonly class WriteShared
{
    public function __construct(private ActivityLog $log, private ClockInterface $clock)
    {
    }

    /** @param  array{heading: string, titled: bool, text: string, parts: ?string}  $words  its draft to begin with */
    public function begin(string $name, array $words, Person $author): SharedNotice
    {
        return DB::transaction(function () use ($name, $words, $author): SharedNotice {
            $notice = SharedNotice::query()->create(['name' => $name, 'draft' => $words]);
            $this->log->note('shared-notice.begun', $author, after: ['name' => $name]);

            return $notice;
        });
    }

    /**
     * @param  array{heading: string, titled: bool, text: string, parts: ?string}  $words
     * @param  int  $seen  the version that the author saw
     * @return bool false where somebody else was there meanwhile, and nothing was changed
     */
    public function draft(SharedNotice $notice, string $name, array $words, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($notice, $name, $words, $seen, $author): bool {
            $kept = SharedNotice::query()->find($notice->id);
            if ($kept === null || $kept->version !== $seen) {
                return false;
            }
            $before = ['name' => $kept->name, 'words' => $kept->draft];
            // What is as it stands at doors already is no change.
            $kept->update(['name' => $name, 'draft' => $words === $kept->live ? null : $words, 'version' => $seen + 1]);
            $this->log->note('shared-notice.drafted', $author, before: $before, after: ['name' => $name, 'words' => $words]);

            return true;
        });
    }

    /** @return bool false where there is nothing to publish, or another than the author saw */
    public function publish(SharedNotice $notice, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($notice, $seen, $author): bool {
            $kept = SharedNotice::query()->find($notice->id);
            if ($kept === null || $kept->version !== $seen || $kept->draft === null) {
                return false;
            }
            $before = $kept->live;
            $kept->update(['live' => $kept->draft, 'draft' => null, 'version' => $seen + 1, 'published_at' => $this->clock->now()]);
            $this->log->note('shared-notice.published', $author, before: ['name' => $kept->name, 'words' => $before], after: ['name' => $kept->name, 'words' => $kept->live]);

            return true;
        });
    }

    /** What is drafted is thrown away; what stands at doors stays. False where there is nothing, or another than the author saw. */
    public function throwAway(SharedNotice $notice, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($notice, $seen, $author): bool {
            $kept = SharedNotice::query()->find($notice->id);
            if ($kept === null || $kept->version !== $seen || $kept->draft === null || $kept->live === null) {
                return false;
            }
            $this->log->note('shared-notice.thrown-away', $author, before: ['name' => $kept->name, 'words' => $kept->draft]);
            $kept->update(['draft' => null, 'version' => $seen + 1]);

            return true;
        });
    }

    /** False where it stands at a door. */
    public function letGo(SharedNotice $notice, Person $author): bool
    {
        return DB::transaction(function () use ($notice, $author): bool {
            if (NoticeText::query()->where('shared_id', $notice->id)->exists()) {
                return false;
            }
            if (SharedNotice::query()->whereKey($notice->id)->delete() > 0) {
                $this->log->note('shared-notice.let-go', $author, before: ['name' => $notice->name, 'words' => $notice->live]);
            }

            return true;
        });
    }
}
