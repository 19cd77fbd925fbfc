<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Models\Content;
use App\Models\ContentVersion;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Changes what an item says and asks: at once, for everybody it is open to, or with the draft of its course. What it said before is kept. */
final readonly class WriteContent
{
    /** So many earlier ones are kept of each item. */
    private const KEPT = 50;

    public function __construct(private ActivityLog $log, private ClockInterface $clock, private Dispatcher $events)
    {
    }

    /**
     * At once. What was drafted is done with.
     *
     * @param  int  $seen  the version that the author saw; 0: nothing was written yet
     * @return bool false where somebody else was there meanwhile, and nothing was changed
     */
    public function __invoke(Course $course, string $item, Written $written, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($course, $item, $written, $seen, $author): bool {
            $content = self::find($course, $item);
            if (($content->version ?? 0) !== $seen) {
                return false;
            }
            $this->put($content ?? self::begun($course, $item), $written, $course, $author);
            $this->events->dispatch(new ContentsDrafted($course));

            return true;
        });
    }

    /**
     * To go live with the draft of the course.
     *
     * @param  int  $seen  how often it was drafted, as the author saw it
     */
    public function draft(Course $course, string $item, Written $written, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($course, $item, $written, $seen, $author): bool {
            $content = self::find($course, $item) ?? self::begun($course, $item);
            if (($content->drafted_version ?? 0) !== $seen) {
                return false;
            }
            $content->fill(['drafted' => $written->columns(), 'drafted_version' => $seen + 1])->save();
            $this->log->note('content.drafted', $author, $course, after: ['item' => $item, ...$written->columns()]);
            $this->events->dispatch(new ContentsDrafted($course));

            return true;
        });
    }

    /** Throws away what was drafted; what is live stays. */
    public function leave(Course $course, string $item, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($course, $item, $seen, $author): bool {
            $content = self::find($course, $item);
            if ($content === null || $content->drafted === null || $content->drafted_version !== $seen) {
                return false;
            }
            $this->drop($content, $course, $author);
            $this->events->dispatch(new ContentsDrafted($course));

            return true;
        });
    }

    /** All that was drafted; in the transaction in which the draft of the rules is thrown away. */
    public function leaveAll(Course $course, Person $author): void
    {
        foreach (Content::query()->where('course_id', $course->id)->whereNotNull('drafted')->orderBy('id')->get() as $content) {
            $this->drop($content, $course, $author);
        }
    }

    /**
     * What was thrown away is drafted again, but for what somebody has drafted since; in the transaction in which the rules come back.
     *
     * @param  array<array-key, array{text: string, quiz: list<array{ask: string, answers: list<string>, right: list<int>}>, quiz_rules: ?array<string, mixed>, board: ?string, minutes: ?int, cover?: ?array{token: string, x: int, y: int}}>  $contents  by item
     */
    public function draftAgain(Course $course, array $contents, Person $author): void
    {
        foreach ($contents as $item => $columns) {
            $content = self::find($course, (string) $item) ?? self::begun($course, (string) $item);
            if ($content->drafted === null) {
                $this->draft($course, (string) $item, Written::from($columns), $content->drafted_version ?? 0, $author);
            }
        }
    }

    private function drop(Content $content, Course $course, Person $author): void
    {
        $this->log->note('content.draft-left', $author, $course, before: ['item' => $content->item_key, ...$content->drafted ?? []]);
        $content->update(['drafted' => null, 'drafted_version' => $content->drafted_version + 1]);
    }

    /** What was drafted goes live, of what is in the course now; in the transaction in which its rules do. */
    public function publish(Course $course, ?Person $author): void
    {
        $items = CourseDocument::fromJson($course->liveRevision->document ?? throw new \LogicException('What went live is there.'))->readItems();
        foreach (Content::query()->where('course_id', $course->id)->whereNotNull('drafted')->orderBy('id')->get() as $content) {
            if ($content->drafted !== null && isset($items[$content->item_key])) {
                $this->put($content, Written::from($content->drafted), $course, $author);
            }
        }
    }

    /**
     * What items held before; in the transaction in which the rules are taken back.
     *
     * @param  list<array{string, int}>  $items  the keys, each with the version that comes back; 0: it held nothing
     */
    public function bringBack(Course $course, array $items, ?Person $author): void
    {
        foreach ($items as [$item, $version]) {
            $content = self::find($course, $item);
            $before = $version === 0 ? new Written('') : ContentVersion::query()->where('course_id', $course->id)->where('item_key', $item)->where('version', $version)->first();
            if ($content !== null && $before !== null) {
                $drafted = $content->drafted;
                $this->put($content, $before instanceof Written ? $before : Written::from($before->written), $course, $author);
                // What is drafted is somebody's, and goes on being drafted.
                $content->update(['drafted' => $drafted]);
            }
        }
    }

    private static function find(Course $course, string $item): ?Content
    {
        return Content::query()->where('course_id', $course->id)->where('item_key', $item)->first();
    }

    public static function begun(Course $course, string $item): Content
    {
        return new Content(['course_id' => $course->id, 'item_key' => $item, 'text' => '', 'quiz' => [], 'version' => 0]);
    }

    private function put(Content $content, Written $written, Course $course, ?Person $author): void
    {
        $now = $this->clock->now();
        $before = $content->version > 0 ? Written::of($content)->columns() : [];
        if ($before !== []) {
            ContentVersion::query()->create([
                'course_id' => $course->id, 'item_key' => $content->item_key, 'version' => $content->version, 'written' => $before,
                'written_by' => $content->written_by, 'written_at' => $content->updated_at?->toDateTimeImmutable() ?? $now, 'replaced_at' => $now,
            ]);
            ContentVersion::query()->where('course_id', $course->id)->where('item_key', $content->item_key)->where('version', '<=', $content->version - self::KEPT)->delete();
        }
        $drafts = $content->drafted === null ? [] : ['drafted' => null, 'drafted_version' => $content->drafted_version + 1];
        $content->fill([...$written->columns(), ...$drafts, 'version' => $content->version + 1, 'written_by' => $author?->id])->save();
        $this->log->note('content.changed', $author, $course, before: ['item' => $content->item_key, ...$before], after: ['item' => $content->item_key, ...$written->columns()]);
    }
}
