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
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
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
            ...$this->byPass($item, $decision->why),
            ...$this->byMarking($item, $decision->why),
            ...$this->byGrant($item),
            ...$this->byLabel($item, $decision->why),
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
        return $this->cell->viewer->signedIn || ! $this->opens($this->cell->viewer->signedIn(), $item) ? [] : [
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
                byAct: $this->byAct('give', Say::text('why.possible_fixes.give_it'), offer: $way->offer->key),
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
     * What the school can do with a pass that lets nobody in.
     *
     * @param  list<Reason>  $why
     * @return list<PossibleFix>
     */
    private function byPass(int $item, array $why): array
    {
        $learner = $this->cell->viewer->observes ?? $this->cell->viewer;
        $pass = ($this->cell->snapshot->learner() ?? $this->cell->snapshot)->latestPass();
        if ($pass === null || array_intersect(self::codes($why), ['pass_ended', 'pass_paused', 'pass_revoked', 'pass_not_started']) === []) {
            return [];
        }
        $active = new Pass($pass->offer, min($pass->from, $this->cell->at), $pass->until > $this->cell->at ? $pass->until : Instant::NEVER, PassState::Active, $pass->pacedFrom);
        $passes = array_map(static fn (Pass $one): Pass => $one === $pass ? $active : $one, $learner->passes);
        $with = $learner->withPasses($passes);
        if (! $this->opens($this->inPlaceOfLearner($with), $item)) {
            return [];
        }
        $title = $this->cell->decider->prepared->offerOf($pass)->title ?? $pass->offer;

        [$words, $byAct] = match (true) {
            in_array(Reason::PassPaused, $why, true) => ['why.possible_fixes.take_title_up', $this->byAct('resume', Say::text('why.possible_fixes.take_it_up'), offer: $pass->offer)],
            in_array(Reason::PassRevoked, $why, true) => ['why.possible_fixes.give_title_back', $this->byAct('give-back', Say::text('why.possible_fixes.give_it_back'), offer: $pass->offer)],
            in_array(Reason::PassEnded, $why, true) => ['why.possible_fixes.extend_title', $this->byAct('extend', Say::text('why.possible_fixes.extend_it'), offer: $pass->offer)],
            default => ['why.possible_fixes.let_title_begin', null],
        };

        return [new PossibleFix('school', Sentence::say($words, titles: ['title' => $title]), Sentence::say('why.possible_fixes.opens_at_once_then'), byAct: $byAct)];
    }

    /**
     * What comes first, marked as finished for them: of several, each that opens it by itself.
     *
     * @param  list<Reason>  $why
     * @return list<PossibleFix>
     */
    private function byMarking(int $item, array $why): array
    {
        $learner = $this->cell->viewer->observes ?? $this->cell->viewer;
        if (array_intersect(self::codes($why), ['progress', 'stuck']) === [] || ! $learner->signedIn) {
            return [];
        }
        $ways = [];
        foreach ($this->cell->waitsFor($item) as $first) {
            $key = $this->cell->key($first);
            $with = $learner->withDone($learner->done + array_fill_keys($this->cell->document->toFinish($key), $this->cell->at));
            if ($this->opens($this->inPlaceOfLearner($with), $item)) {
                $ways[] = new PossibleFix('school', Sentence::say($this->cell->viewer->observes === null ? 'why.possible_fixes.mark_title' : 'why.possible_fixes.mark_for_learner', titles: ['title' => $this->cell->title($first)]), Sentence::say('why.possible_fixes.opens_at_once_then'), byAct: $this->byAct('finish', Say::text('why.possible_fixes.mark_it'), item: $key));
            }
        }

        return $ways;
    }

    /** @return list<PossibleFix> */
    private function byGrant(int $item): array
    {
        $learner = $this->cell->viewer->observes ?? $this->cell->viewer;
        if (! $learner->signedIn && $this->cell->viewer->observes === null) {
            return [];
        }
        $with = $learner->withGrant(new Grant($this->cell->key($item), $this->cell->at));

        return ! $this->opens($this->inPlaceOfLearner($with), $item) ? [] : [
            new PossibleFix('school', Sentence::say($this->cell->viewer->observes === null ? 'why.possible_fixes.hand_one_person' : 'why.possible_fixes.hand_their_learner'), Sentence::say('why.possible_fixes.opens_at_once_whatever'), byAct: $this->byAct('grant', Say::text('why.possible_fixes.hand_it_out'), item: $this->cell->key($item))),
        ];
    }

    /**
     * @param  list<Reason>  $why
     * @return list<PossibleFix>
     */
    private function byLabel(int $item, array $why): array
    {
        if (! in_array(Reason::NotForYou, $why, true)) {
            return [];
        }
        $learner = $this->cell->viewer->observes ?? $this->cell->viewer;
        $ways = [];
        foreach (array_diff($this->cell->labelsOnPath($item), $learner->labels) as $label) {
            $with = $learner->withLabel($label);
            if ($learner->signedIn && $this->opens($this->inPlaceOfLearner($with), $item)) {
                $ways[] = new PossibleFix('school', Sentence::say('why.possible_fixes.give_them_label_label', titles: ['label' => $label]), Sentence::say('why.possible_fixes.opens_at_once_then'), byAct: $this->byAct('label', Say::text('why.possible_fixes.give_it'), label: $label));
            }
        }

        return $ways;
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

    private function inPlaceOfLearner(Viewer $learner): Viewer
    {
        $observer = $this->cell->viewer;

        return $observer->observes === null ? $learner
            : $observer->observing($learner);
    }

    /** Only for the viewer themselves: whoever is observed is helped on their own page. */
    private function byAct(string $do, string $button, ?string $item = null, ?string $offer = null, ?string $label = null): ?FixByAct
    {
        return $this->cell->viewer->observes !== null ? null : new FixByAct($do, $button, $this->cell->decider->course->key, $item, $offer, $label);
    }

    private function opens(Viewer $viewer, int $item): bool
    {
        return $this->cell->decider->snapshot($viewer, $this->cell->at)->standings[$item]->isOpen();
    }

    /**
     * @param  list<Reason>  $why
     * @return list<string>
     */
    private static function codes(array $why): array
    {
        return array_map(static fn (Reason $reason): string => $reason->value, $why);
    }
}
