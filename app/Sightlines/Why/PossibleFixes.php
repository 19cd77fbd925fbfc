<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Models\CourseDocument;
use App\Sightlines\Vantages\VantagePoint;
use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Foresight\WaysIn;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** What would open a closed item to a viewer. Each way is tried out on the core before it is said. */
final readonly class PossibleFixes
{
    private Reaching $reaching;

    /** @param  \Closure(): array<array-key, ?string>  $refusals  by offer: why this viewer cannot take it, in a sentence; null: they can */
    public function __construct(private CellContext $cell, private FindFixes $fixing, private \Closure $refusals)
    {
        $this->reaching = new Reaching($cell->decider);
    }

    /** @return list<PossibleFix> by time, by the learner, by offers, by the school */
    public function of(int $item, Decision $decision): array
    {
        return [
            ...$this->byTime($decision),
            ...$this->byLearner($item, $decision),
            ...$this->signedIn($item),
            ...$this->byOffers($item),
            ...(new FixesByActs($this->cell))->of($item, $decision->why),
            ...$this->bySchool($item, $decision->why),
            ...$this->byRules($item),
        ];
    }

    /** @return list<PossibleFix> */
    private function byTime(Decision $decision): array
    {
        $next = $decision->next;

        return $next === null || $next->state !== State::Open ? [] : [
            new PossibleFix('time', Sentence::say('why.possible_fixes.by_itself'), Sentence::say('why.possible_fixes.on_when_if_nothing', ['when' => $this->cell->clock->words($next->at)]), WhyLink::instant(Say::text('why.possible_fixes.look_there'), $next->at)),
        ];
    }

    /**
     * If the viewer, or whoever is observed, finishes all they can.
     *
     * @return list<PossibleFix>
     */
    private function byLearner(int $item, Decision $decision): array
    {
        $learner = $this->cell->viewer->observes ?? $this->cell->viewer;
        $observes = $this->cell->viewer->observes !== null;
        $reach = $this->reaching->reach($observes ? $learner->asObserved() : $learner, $this->cell->at);
        $opens = $reach->open[$item];
        if ($observes && $opens !== null && ! $this->opensTo($this->cell->viewer, $reach->afterwards->done, $opens, $item)) {
            return [];
        }
        if ($opens === null || ($decision->next?->state === State::Open && $decision->next->at <= $opens)) {
            return [];
        }
        $first = array_map($this->cell->title(...), $this->cell->waitsFor($item));
        $once = [
            'list' => $first === [] ? Say::text('why.possible_fixes.what_comes_first') : RuleWords::enumeration(array_map(Sentence::title(...), $first), 'and'),
            'count' => max(1, count($first)),
        ];

        return [new PossibleFix(
            'learner',
            Sentence::say($observes ? 'why.possible_fixes.by_their_learner' : 'why.possible_fixes.by_the_learner'),
            $opens > $this->cell->at ? Sentence::say('why.possible_fixes.once_not_before', [...$once, 'when' => $this->cell->clock->words($opens)]) : Sentence::say('why.possible_fixes.once', $once),
        )];
    }

    /** @param  array<array-key, int>  $done  by whoever is observed */
    private function opensTo(Viewer $observer, array $done, int $at, int $item): bool
    {
        $with = $observer->observing($observer->observes?->withDone($done));

        return $this->cell->decider->snapshot($with, $at)->standings[$item]->isOpen();
    }

    /** @return list<PossibleFix> */
    private function signedIn(int $item): array
    {
        return $this->cell->viewer->signedIn || ! $this->cell->decider->snapshot($this->cell->viewer->signedIn(), $this->cell->at)->standings[$item]->isOpen() ? [] : [
            new PossibleFix('learner', Sentence::say('why.possible_fixes.by_signing_in'), Sentence::say('why.possible_fixes.whoever_signed_in_let'), WhyLink::vantage(Say::text('why.possible_fixes.see_it_so'), 'member', $this->cell->at)),
        ];
    }

    /**
     * What they can take themselves; what they cannot is for the school to give.
     *
     * @return list<PossibleFix>
     */
    private function byOffers(int $item): array
    {
        $ways = $given = [];
        $refusals = null;
        $now = $this->cell->clock->now();
        foreach ((new WaysIn($this->cell->decider, $this->cell->decider->prepared->plan->zone))->to($this->cell->key($item), $this->cell->viewer, $this->cell->at) as $way) {
            $when = match (true) {
                $way->opens > $this->cell->at => Say::text($way->byTimeAlone ? 'why.possible_fixes.from_if_taken' : 'why.possible_fixes.from_once_finished', ['when' => $this->cell->clock->words($way->opens)]),
                default => $way->byTimeAlone ? Say::text('why.possible_fixes.at_once') : Say::text('why.possible_fixes.as_soon_as_what'),
            };
            $day = intdiv($now - $this->cell->at, 86400);
            $vantage = VantagePoint::holder($way->offer->key, $day, ! $way->byTimeAlone);
            $refusals ??= ($this->refusals)();
            $refusal = $refusals[$way->offer->key] ?? null;
            $detail = $when.$this->lasts($way->pass).'.';
            $title = $way->offer->title ?? $way->offer->key;
            $fix = new PossibleFix(
                $refusal === null ? 'offer' : 'school',
                $refusal === null ? Sentence::of(Sentence::title($title)) : Sentence::say('why.possible_fixes.give_title', titles: ['title' => $title]),
                Sentence::of($refusal === null ? $detail : Say::text('why.possible_fixes.detail_they_cannot_take', ['detail' => $detail, 'refusal' => $refusal])),
                abs($day) > VantagePoint::MOST_DAYS ? null : WhyLink::vantage(Say::text('why.possible_fixes.see_it_so'), (string) $vantage, $way->opens),
                byAct: new FixByAct('give', Say::text('why.possible_fixes.give_it'), $this->cell->decider->course->key, offer: $way->offer->key),
            );
            $refusal === null ? $ways[] = $fix : $given[] = $fix;
        }

        return [...$ways, ...$given];
    }

    private function lasts(Pass $pass): string
    {
        return $pass->until === Instant::NEVER ? '' : Say::text('why.possible_fixes.ends_date', ['date' => $this->cell->clock->date($pass->until)]);
    }

    /**
     * Where the school lets no guests in at all, which no rule of a course can change.
     *
     * @param  list<Reason>  $why
     * @return list<PossibleFix>
     */
    private function bySchool(int $item, array $why): array
    {
        return $this->cell->decider->prepared->plan->guests || ! in_array(Reason::GuestsShut, $why, true) || ! $this->fixing->opensOnceSchoolLetsGuestsIn($this->cell, $item) ? [] : [
            new PossibleFix('school', Sentence::say('why.possible_fixes.guests_in_school'), Sentence::say('why.possible_fixes.opens_for_guests'), WhyLink::school(Say::text('why.possible_fixes.to_the_school'))),
        ];
    }

    /** @return list<PossibleFix> */
    private function byRules(int $item): array
    {
        $fixes = $this->fixing->toOpen($this->cell, $item);
        if ($fixes === []) {
            return [];
        }

        return [new PossibleFix(
            'school',
            Sentence::say(count($fixes) === 1 ? 'why.possible_fixes.another_rule' : 'why.possible_fixes.other_rules_together'),
            self::sentence($this->cell->document, $fixes),
            fixes: array_map(static fn (Fix $fix): FixByRule => $fix->step(), $fixes),
        )];
    }

    /**
     * What several fixes do, in a sentence.
     *
     * @param  non-empty-list<Fix>  $fixes
     */
    public static function sentence(CourseDocument $document, array $fixes): Sentence
    {
        $clauses = array_map(static fn (Fix $fix): string => $fix->clause(array_map(static fn (string $key): string => ($document->readItems()[$key] ?? null)?->title() ?? $key, $fix->items)), $fixes);

        return Sentence::of(ucfirst(RuleWords::enumeration($clauses, 'and')).'.');
    }
}
