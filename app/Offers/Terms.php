<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\Answer;
use App\Access\SchoolClock;
use App\Models\Offer;
use App\Models\Pass as PassRow;
use App\Models\TakenAgain;
use App\Words\Say;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\NewPass;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer as CoreOffer;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;

/** Who may take an offer, as what, and if not, why: asked by whatever sells, shows or mends. */
final readonly class Terms
{
    public function __construct(private SchoolClock $clock, private Memberships $memberships)
    {
    }

    /**
     * @param  iterable<Offer>  $offers  of the course that the answer is about
     * @param  Answer  $answer  to whoever would take them
     * @param  bool  $alone  sold by themselves, not within a bundle
     * @param  ?int  $until  to which passes last, where that is not as their offers say
     * @return array<array-key, Taking> by key; one query, where any of them is limited
     */
    public function all(iterable $offers, Answer $answer, Taker $taker, bool $alone = true, ?int $until = null): array
    {
        $takings = [];
        $limited = [];
        foreach ($offers as $offer) {
            $takings[$offer->key] = $offer;
            if ($offer->most !== null) {
                $limited[] = $offer->id;
            }
        }
        $taken = $limited === [] ? [] : PassRow::query()->whereIn('offer_id', $limited)->where('state', '!=', PassState::Revoked->value)->groupBy('offer_id')->selectRaw('offer_id, count(distinct person_id) as taken')->pluck('taken', 'offer_id')->all();

        // The same passes, as the same objects: which of them a new one replaces is told by their numbers.
        $viewer = $answer->viewer->signedIn()->withPasses(array_values(array_filter($taker->passes, static fn (Pass $pass): bool => $answer->decider->prepared->offerOf($pass) !== null)));
        $asking = $answer->to($viewer);

        return array_map(fn (Offer $offer): Taking => $this->taking($offer, $asking, $taker, is_numeric($taken[$offer->id] ?? null) ? (int) $taken[$offer->id] : 0, $alone, $until ?? $this->membershipUntil($offer, $asking->at)), $takings);
    }

    public function of(Offer $offer, Answer $answer, Taker $taker, bool $alone = true, ?int $until = null): Taking
    {
        return $this->all([$offer], $answer, $taker, alone: $alone, until: $until)[$offer->key];
    }

    /**
     * @param  int  $taken  places
     * @param  ?int  $until  to which a membership's pass lasts
     */
    private function taking(Offer $offer, Answer $asking, Taker $taker, int $taken, bool $alone, ?int $until): Taking
    {
        [$decider, $viewer] = [$asking->decider, $asking->viewer];
        $access = $decider->prepared->plan->offer($offer->key);
        if ($access === null) {
            return Taking::refused($this->say('not_sold'));
        }
        $refusal = $this->closed($offer, $decider->course, $asking->at, $alone) ?? $this->outsideSale($offer, $asking->at) ?? $this->notForThem($offer, $viewer, $taker);
        if ($refusal !== null) {
            return $offer->again === TakenAgain::Once && $taker->of($offer->key) !== [] ? Taking::has($refusal) : Taking::refused($refusal);
        }
        $held = self::held($taker, $offer->key, $asking->at);
        if ($held !== null) {
            return $this->again($offer, $access, $decider, $viewer, $held, $alone);
        }
        if ($offer->most !== null && $taken >= $offer->most) {
            return Taking::refused($this->say('sold_out'));
        }
        $pass = NewPass::of($access, $asking->at, $viewer->passes, $decider->prepared, $decider->prepared->plan->zone);
        $pass = $until === null ? $pass : new Pass($pass->offer, $pass->from, $until, $pass->state, $pass->pacedFrom);
        $comparing = new Comparing($decider, $viewer, $taker->labels, $asking->at);
        $greater = $comparing->greaterThan($pass);

        return $this->beyondReach($pass, $decider) ?? ($greater !== null
            ? Taking::has($this->say('held_more', ['offer' => $this->name($greater, $decider), 'until' => $this->until($greater)]))
            : Taking::anew($pass, array_filter($taker->passes, static fn (Pass $lesser): bool => $comparing->isLesser($lesser, $pass))));
    }

    private function membershipUntil(Offer $offer, int $at): ?int
    {
        return $offer->every === null ? null : $this->memberships->passUntil($this->memberships->paidUntil($at, $offer->every, 1));
    }

    /** A course that cannot be entered, or not by a sale. */
    private function closed(Offer $offer, Course $course, int $now, bool $alone): ?string
    {
        return match (true) {
            $course->state === CourseState::Retired => $this->say('retired'),
            $course->closes !== null && $course->closes <= $now => $this->say('over', ['at' => $this->clock->date($course->closes)]),
            $course->state === CourseState::Draft, $alone && $offer->price === null => $this->say('not_sold'),
            $course->entry === Entry::Invite => $this->say('invite'),
            default => null,
        };
    }

    private function outsideSale(Offer $offer, int $now): ?string
    {
        return match (true) {
            $offer->sold_from !== null && $offer->sold_from->getTimestamp() > $now => $this->say('from', ['at' => $this->clock->plain($offer->sold_from->getTimestamp()), 'zone' => $this->clock->zoneName()]),
            $offer->sold_until !== null && $offer->sold_until->getTimestamp() <= $now => $this->say('until', ['at' => $this->clock->plain($offer->sold_until->getTimestamp()), 'zone' => $this->clock->zoneName()]),
            default => null,
        };
    }

    private function notForThem(Offer $offer, Viewer $viewer, Taker $taker): ?string
    {
        $own = $taker->of($offer->key);

        return match (true) {
            $offer->again === TakenAgain::Once && $own !== [] => $this->say('once'),
            $offer->not_after_course && count($viewer->passes) > count($own) => $this->say('not_after_course'),
            $taker->hasHeldOneOf($offer->not_after) => $this->say('not_after'),
            $offer->only_label !== null && ! in_array($offer->only_label, $taker->labels, true) => $this->say('label'),
            default => null,
        };
    }

    /** The pass of the offer that they hold now and that lasts longest; paused ones and those still to begin are held too. */
    private static function held(Taker $taker, string $offer, int $now): ?Pass
    {
        $longest = null;
        foreach ($taker->of($offer) as $pass) {
            $holds = $pass->state !== PassState::Revoked && $pass->until > $now;
            $longest = $holds && ($longest === null || $pass->until > $longest->until) ? $pass : $longest;
        }

        return $longest;
    }

    private function again(Offer $offer, CoreOffer $access, Decider $decider, Viewer $viewer, Pass $held, bool $alone): Taking
    {
        if ($held->state === PassState::Paused) {
            return Taking::has($this->say('paused'));
        }
        // A membership is carried on by its payments.
        if ($held->until === Instant::NEVER || $offer->again !== TakenAgain::Renewal || ($alone && $offer->every !== null)) {
            return Taking::has($this->say('held', ['until' => $this->until($held)]));
        }
        $pass = NewPass::of($access, $held->until, $viewer->passes, $decider->prepared, $decider->prepared->plan->zone);

        return $pass->until <= $held->until ? Taking::has($this->say('held', ['until' => $this->until($held)])) : ($this->beyondReach($pass, $decider) ?? Taking::renewing($held, $pass));
    }

    /** What ends before it begins, or before its course does, or begins when that is over. */
    private function beyondReach(Pass $pass, Decider $decider): ?Taking
    {
        $course = $decider->course;
        $begins = max($pass->from, $course->opens ?? $pass->from);

        return $pass->until <= $begins || ($course->closes !== null && $course->closes <= $begins) ? Taking::refused($this->say('too_late')) : null;
    }

    private function name(Pass $pass, Decider $decider): string
    {
        return $decider->prepared->plan->offer($pass->offer)->title ?? $pass->offer;
    }

    private function until(Pass $pass): string
    {
        return $pass->until === Instant::NEVER ? Say::text('learner.shop.for_good') : Say::text('learner.shop.until', ['at' => $this->clock->date($pass->until)]);
    }

    /** @param  array<string, string>  $with */
    private function say(string $what, array $with = []): string
    {
        return Say::text("learner.terms.{$what}", $with);
    }
}
