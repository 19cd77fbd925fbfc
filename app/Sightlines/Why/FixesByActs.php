<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;

/** What the school can do for a viewer, or for whom they look in on, so that an item opens to them. Each is tried out on the core before it is said. */
final readonly class FixesByActs
{
    private Viewer $learner;

    private bool $observed;

    public function __construct(private CellContext $cell)
    {
        $this->learner = $cell->viewer->observes ?? $cell->viewer;
        $this->observed = $cell->viewer->observes !== null;
    }

    /**
     * @param  list<Reason>  $why
     * @return list<PossibleFix>
     */
    public function of(int $item, array $why): array
    {
        return [...$this->byPass($item, $why), ...$this->byMarking($item, $why), ...$this->byGrant($item), ...$this->byLabel($item, $why)];
    }

    /**
     * What the school can do with a pass that lets nobody in.
     *
     * @param  list<Reason>  $why
     * @return list<PossibleFix>
     */
    private function byPass(int $item, array $why): array
    {
        $pass = ($this->cell->snapshot->learner() ?? $this->cell->snapshot)->latestPass();
        if ($pass === null || array_intersect(self::codes($why), ['pass_ended', 'pass_paused', 'pass_revoked', 'pass_not_started']) === []) {
            return [];
        }
        $active = new Pass($pass->offer, min($pass->from, $this->cell->at), $pass->until > $this->cell->at ? $pass->until : Instant::NEVER, PassState::Active, $pass->pacedFrom);
        $passes = array_map(static fn (Pass $one): Pass => $one === $pass ? $active : $one, $this->learner->passes);
        $with = $this->learner->withPasses($passes);
        if (! $this->opensWith($with, $item)) {
            return [];
        }
        $title = $this->cell->decider->prepared->offerOf($pass)->title ?? $pass->offer;

        [$words, $byAct] = match (true) {
            in_array(Reason::PassPaused, $why, true) => ['why.possible_fixes.take_title_up', $this->act('resume', Say::text('why.possible_fixes.take_it_up'), offer: $pass->offer)],
            in_array(Reason::PassRevoked, $why, true) => ['why.possible_fixes.give_title_back', $this->act('give-back', Say::text('why.possible_fixes.give_it_back'), offer: $pass->offer)],
            in_array(Reason::PassEnded, $why, true) => ['why.possible_fixes.extend_title', $this->act('extend', Say::text('why.possible_fixes.extend_it'), offer: $pass->offer)],
            default => ['why.possible_fixes.let_title_begin', $this->act('begin', Say::text('why.possible_fixes.let_begin'), offer: $pass->offer)],
        };

        return [new PossibleFix('school', Sentence::say($words, $this->whose(), ['title' => $title]), Sentence::say('why.possible_fixes.opens_at_once_then'), byAct: $byAct)];
    }

    /**
     * What comes first, marked as finished for them: of several, each that opens it by itself; where none does, all of them.
     *
     * @param  list<Reason>  $why
     * @return list<PossibleFix>
     */
    private function byMarking(int $item, array $why): array
    {
        if (array_intersect(self::codes($why), ['progress', 'stuck']) === [] || ! $this->learner->signedIn) {
            return [];
        }
        $first = array_map($this->cell->key(...), $this->cell->waitsFor($item));
        $alone = array_values(array_filter($first, fn (string $key): bool => $this->opensOnceMarked([$key], $item)));
        $marked = $alone !== [] || count($first) < 2 || ! $this->opensOnceMarked($first, $item) ? array_map(static fn (string $key): array => [$key], $alone) : [$first];

        return array_map(fn (array $keys): PossibleFix => new PossibleFix(
            'school',
            Sentence::say('why.possible_fixes.mark', [...$this->whose(), 'list' => RuleWords::enumeration(array_map(fn (string $key): string => Sentence::title($this->cell->title($this->cell->outline->positionOf($key) ?? 0)), $keys), 'and')]),
            Sentence::say('why.possible_fixes.opens_at_once_then'),
            byAct: count($keys) === 1 ? $this->act('finish', Say::text('why.possible_fixes.mark_it'), item: $keys[0]) : $this->act('finish', Say::text('why.possible_fixes.mark_them'), items: $keys),
        ), $marked);
    }

    /** @param  list<string>  $keys */
    private function opensOnceMarked(array $keys, int $item): bool
    {
        $marked = array_merge(...array_map($this->cell->document->toFinish(...), $keys));

        return $this->opensWith($this->learner->withDone($this->learner->done + array_fill_keys($marked, $this->cell->at)), $item);
    }

    /** @return list<PossibleFix> */
    private function byGrant(int $item): array
    {
        if (! $this->learner->signedIn && ! $this->observed) {
            return [];
        }
        $with = $this->learner->withGrant(new Grant($this->cell->key($item), $this->cell->at));

        return ! $this->opensWith($with, $item) ? [] : [
            new PossibleFix('school', Sentence::say($this->observed ? 'why.possible_fixes.hand_their_learner' : 'why.possible_fixes.hand_one_person'), Sentence::say('why.possible_fixes.opens_at_once_whatever'), byAct: $this->act('grant', Say::text('why.possible_fixes.hand_it_out'), item: $this->cell->key($item))),
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
        $ways = [];
        foreach (array_diff($this->cell->labelsOnPath($item), $this->learner->labels) as $label) {
            $with = $this->learner->withLabel($label);
            if ($this->learner->signedIn && $this->opensWith($with, $item)) {
                $ways[] = new PossibleFix('school', Sentence::say('why.possible_fixes.give_them_label_label', $this->whose(), ['label' => $label]), Sentence::say('why.possible_fixes.opens_at_once_then'), byAct: $this->act('label', Say::text('why.possible_fixes.give_it'), label: $label));
            }
        }

        return $ways;
    }

    private function opensWith(Viewer $learner, int $item): bool
    {
        $viewer = $this->observed ? $this->cell->viewer->observing($learner) : $learner;

        return $this->cell->decider->snapshot($viewer, $this->cell->at)->standings[$item]->isOpen();
    }

    /** @param  list<string>  $items */
    private function act(string $do, string $button, ?string $item = null, ?string $offer = null, ?string $label = null, array $items = []): FixByAct
    {
        return new FixByAct($do, $button, $this->cell->decider->course->key, $item, $offer, $label, $items, $this->observed);
    }

    /** @return array{whose: string} */
    private function whose(): array
    {
        return ['whose' => $this->observed ? 'learner' : 'theirs'];
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
