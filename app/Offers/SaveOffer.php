<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\Plans;
use App\Drafts\DraftCollision;
use App\Drafts\DraftConflict;
use App\Drafts\EditDraft;
use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\DropOffer;
use App\Drafts\Edits\SetOffer;
use App\Drafts\MadeEdit;
use App\Models\Bundle;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Models\TakenAgain;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Makes offers and changes them: their selling side at once, what they open in the course's draft. */
final readonly class SaveOffer
{
    public function __construct(private EditDraft $edit, private Plans $plans, private ActivityLog $log)
    {
    }

    /** @param  array<string, mixed>  $selling  columns of the offer */
    public function sell(Offer $offer, array $selling, Person $author): void
    {
        DB::transaction(function () use ($offer, $selling, $author): void {
            $before = array_intersect_key($offer->attributesToArray(), $selling);
            $offer->fill($selling)->save();
            if ($offer->wasChanged()) {
                $this->log->note('offer.changed', $author, $offer->course, before: ['offer' => $offer->key, ...$before], after: $selling);
                $this->plans->forgetNames();
            }
        });
    }

    /**
     * A new offer: it can be given once the draft is published.
     *
     * @param  array{name: string, ...}  $selling  columns of the offer
     * @param  \Closure(string, string): SetOffer  $access  of its key and name
     *
     * @throws DraftCollision
     * @throws DraftConflict
     * @throws CannotEdit
     * @throws \SilentKeep\Core\Format\InvalidPlan
     */
    public function make(Course $course, int $version, array $selling, \Closure $access, Person $author): MadeEdit
    {
        $key = self::freeKey($selling['name']);

        return ($this->edit)($course, $version, $access($key, $selling['name']), $author, function () use ($course, $key, $selling, $author): void {
            // A trial is one for those who are new, unless something else is said.
            $terms = ($selling['trial'] ?? false) === true ? ['again' => TakenAgain::Once, 'not_after_course' => true] : [];
            Offer::query()->create(['course_id' => $course->id, 'key' => $key, ...$terms, ...$selling]);
            $this->plans->forgetNames();
            $this->log->note('offer.made', $author, $course, after: ['offer' => $key, ...$selling]);
        });
    }

    /**
     * @throws DraftCollision
     * @throws DraftConflict
     * @throws CannotEdit if somebody holds it
     */
    public function drop(Offer $offer, int $version, Person $author): MadeEdit
    {
        $live = $offer->course->liveRevision;
        $wasLive = $live !== null && CourseDocument::fromJson($live->document)->hasOffer($offer->key);

        return ($this->edit)($offer->course, $version, new DropOffer($offer->key), $author, function () use ($offer, $wasLive): void {
            $holders = Pass::query()->where('offer_id', $offer->id)->distinct()->count('person_id');
            if ($holders > 0) {
                throw CannotEdit::offerHeld($holders);
            }
            $bundle = Bundle::query()->whereRelation('offers', 'offers.id', $offer->id)->value('name');
            if (is_string($bundle)) {
                throw CannotEdit::offerInBundle($bundle);
            }
            if (! $wasLive) {
                // Nothing speaks of it any more.
                $offer->delete();
                $this->plans->forgetNames();
            }
        });
    }

    private static function freeKey(string $name): string
    {
        $stem = substr(trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower(Str::ascii($name))), '-'), 0, 40);
        $stem = $stem === '' ? 'offer' : $stem;
        for ($n = 1, $key = $stem; Offer::query()->where('key', $key)->exists(); $n++) {
            $key = $stem.'-'.($n + 1);
        }

        return $key;
    }
}
