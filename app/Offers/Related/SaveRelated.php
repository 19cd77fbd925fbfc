<?php

declare(strict_types=1);

namespace App\Offers\Related;

use App\Models\Course;
use App\Models\Person;
use App\Models\RelatedOffer;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Puts another course before the readers of a page, or takes it away. It holds at once. */
final readonly class SaveRelated
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * @param  string  $item  key of the lesson; empty: the page of the course
     * @param  ?array{other_id: int, heading: string, text: string, button: string, picture: ?string}  $offer  null: none
     * @param  int  $seen  the version that the author saw; 0: there was none
     * @return bool false where somebody else was there meanwhile, and nothing was changed
     */
    public function __invoke(Course $course, string $item, ?array $offer, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($course, $item, $offer, $seen, $author): bool {
            $kept = RelatedOffer::query()->where('course_id', $course->id)->where('item_key', $item)->first();
            if (($kept->version ?? 0) !== $seen) {
                return false;
            }
            $before = $kept?->only(['other_id', 'heading', 'text', 'button', 'picture']);
            if ($offer === null) {
                $kept?->delete();
            } elseif ($kept === null) {
                // Begun anywhere: one that was taken away and made anew is not taken for the one before.
                RelatedOffer::query()->create(['course_id' => $course->id, 'item_key' => $item, 'version' => random_int(1, 1_000_000_000), ...$offer]);
            } else {
                $kept->update([...$offer, 'version' => $seen + 1]);
            }
            $this->log->note('related.changed', $author, $course, before: ['item' => $item, 'offer' => $before], after: ['item' => $item, 'offer' => $offer]);

            return true;
        });
    }
}
