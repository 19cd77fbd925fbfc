<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Models\CourseDocument;
use App\Sightlines\Vantages\VantagePoint;
use App\Words\RuleWords;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Foresight\WaysIn;
use SilentKeep\Core\Rules\ConditionLeaves;
use SilentKeep\Core\Rules\HasLabel;
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
            new PossibleFix('time', Sentence::of('By itself'), Sentence::of('On '.$this->cell->clock->words($next->at).', if nothing else is done.'), WhyLink::instant('Look there', $next->at)),
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
        $list = $first === [] ? 'what comes first' : RuleWords::enumeration(array_fill(0, count($first), '{}'), 'and');
        $is = count($first) < 2 ? 'is' : 'are';
        $when = $opens > $this->cell->at ? ', not before '.$this->cell->clock->words($opens) : '';

        return [new PossibleFix('learner', Sentence::of($observes ? 'By their learner' : 'By the learner'), Sentence::of("Once {$list} {$is} finished{$when}.", ...$first))];
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
            new PossibleFix('learner', Sentence::of('By signing in'), Sentence::of('Whoever is signed in is let in here.'), WhyLink::vantage('See it so', 'member', $this->cell->at)),
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
        $now = $this->cell->clock->minute();
        foreach ((new WaysIn($this->cell->decider, $this->cell->decider->prepared->plan->zone))->to($this->cell->key($item), $this->cell->viewer, $this->cell->at) as $way) {
            $when = match (true) {
                $way->opens > $this->cell->at => 'From '.$this->cell->clock->words($way->opens).', if taken now'.($way->byTimeAlone ? '' : ', once what comes first is finished'),
                default => $way->byTimeAlone ? 'At once' : 'As soon as what comes first is finished',
            };
            $day = intdiv($now - $this->cell->at, 86400);
            $vantage = VantagePoint::holder($way->offer->key, $day, ! $way->byTimeAlone);
            $refusals ??= ($this->refusals)();
            $refusal = $refusals[$way->offer->key] ?? null;
            $detail = $when.$this->lasts($way->pass).'.';
            $fix = new PossibleFix(
                $refusal === null ? 'offer' : 'school',
                Sentence::of($refusal === null ? '{}' : 'Give {}', $way->offer->title ?? $way->offer->key),
                Sentence::of($refusal === null ? $detail : "{$detail} They cannot take it themselves: “{$refusal}”"),
                abs($day) > VantagePoint::MOST_DAYS ? null : WhyLink::vantage('See it so', (string) $vantage, $way->opens),
                byAct: $this->byAct('give', 'Give it', offer: $way->offer->key),
            );
            $refusal === null ? $ways[] = $fix : $given[] = $fix;
        }

        return [...$ways, ...$given];
    }

    private function lasts(Pass $pass): string
    {
        return $pass->until === Instant::NEVER ? '' : '; ends '.$this->cell->clock->date($pass->until);
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
            in_array(Reason::PassPaused, $why, true) => ['Take {} up again', $this->byAct('resume', 'Take it up', offer: $pass->offer)],
            in_array(Reason::PassRevoked, $why, true) => ['Give {} back', $this->byAct('give-back', 'Give it back', offer: $pass->offer)],
            in_array(Reason::PassEnded, $why, true) => ['Extend {}', $this->byAct('extend', 'Extend it', offer: $pass->offer)],
            default => ['Let {} begin now', null],
        };

        return [new PossibleFix('school', Sentence::of($words, $title), Sentence::of('It opens at once then.'), byAct: $byAct)];
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
            new PossibleFix('school', Sentence::of($this->cell->viewer->observes === null ? 'Hand it to one person' : 'Hand it to their learner'), Sentence::of('Opens at once, whatever the gates say.'), byAct: $this->byAct('grant', 'Hand it out', item: $this->cell->key($item))),
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
        foreach (array_diff($this->labelsOnPath($item), $learner->labels) as $label) {
            $with = $learner->withLabel($label);
            if ($learner->signedIn && $this->opens($this->inPlaceOfLearner($with), $item)) {
                $ways[] = new PossibleFix('school', Sentence::of('Give them the label {}', $label), Sentence::of('It opens at once then.'), byAct: $this->byAct('label', 'Give it', label: $label));
            }
        }

        return $ways;
    }

    /** @return list<string> that conditions on the path ask for */
    private function labelsOnPath(int $item): array
    {
        $labels = [];
        foreach ($this->cell->outline->path[$item] as $step) {
            $only = $this->cell->outline->items[$step]->only;
            foreach ($only === null ? [] : ConditionLeaves::of($only) as $leaf) {
                if ($leaf instanceof HasLabel) {
                    $labels[] = $leaf->label;
                }
            }
        }

        return array_values(array_unique($labels));
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
            Sentence::of(count($fixes) === 1 ? 'Another rule' : 'Other rules, together'),
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
        $titles = [];
        foreach ($fixes as $fix) {
            foreach ($fix->items as $key) {
                $titles[] = ($document->readItems()[$key] ?? null)?->title() ?? $key;
            }
        }

        return Sentence::of(ucfirst(RuleWords::enumeration(array_map(static fn (Fix $fix): string => $fix->clause(), $fixes), 'and')).'.', ...$titles);
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
