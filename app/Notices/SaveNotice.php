<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\NoticeText;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Sets, or lets go, what is said at a kind of closed door. It holds at once, for everybody. */
final readonly class SaveNotice
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * @param  ?array{way: string, heading: string, text: string, address: ?string, titled?: bool, shared_id?: ?int, parts?: ?string}  $words  null: as it is without any of one's own
     * @param  int  $seen  the version that the author saw; 0: there was none
     * @return bool false where somebody else was there meanwhile, and nothing was changed
     */
    public function __invoke(NoticePlace $place, NoticeCase $case, ?array $words, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($place, $case, $words, $seen, $author): bool {
            $scope = $place->scope();
            $notice = NoticeText::query()->where('scope', $scope)->where('case', $case->value)->first();
            if (($notice->version ?? 0) !== $seen) {
                return false;
            }
            $before = $notice?->only(['way', 'heading', 'titled', 'text', 'address', 'shared_id', 'parts']);
            if ($words === null) {
                $notice?->delete();
            } elseif ($notice === null) {
                // Begun anywhere: words that were let go and made anew are not taken for those from before.
                NoticeText::query()->create(['scope' => $scope, 'course_id' => $place->course?->id, 'item_key' => $place->item, 'offer_key' => $place->offer, 'case' => $case->value, 'version' => random_int(1, 1_000_000_000), ...$words]);
            } else {
                $notice->update([...$words, 'version' => $notice->version + 1]);
            }
            $at = ['case' => $case->value, 'item' => $place->item, 'offer' => $place->offer];
            $this->log->note('notice.changed', $author, $place->course, before: [...$at, 'words' => $before], after: [...$at, 'words' => $words]);

            return true;
        });
    }
}
