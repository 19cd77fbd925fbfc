<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\Sentence;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Standing;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Rules\ViewerKind;

/** Answers the question of the blank course: why somebody is let in nowhere at all. */
final readonly class BlindSpots
{
    public function __construct(private FindFixes $fixing)
    {
    }

    /** Null where anything is open to the viewer. */
    public function of(CellContext $cell): ?BlindSpot
    {
        if ($cell->outline->count() === 0 || array_filter($cell->snapshot->standings, static fn (Standing $standing): bool => $standing->isOpen()) !== []) {
            return null;
        }
        $tried = $this->candidates($cell);
        [$fixes, $open] = $tried === [] ? [[], 0] : $this->fixing->toSeeAnything($cell, $tried);

        return new BlindSpot(
            $this->words($cell),
            array_map(static fn (Fix $fix): FixByRule => $fix->step(), $fixes),
            $fixes === [] ? null : Sentence::of(trim((string) PossibleFixes::sentence($cell->document, $fixes), '.').": then {$open} of {$cell->outline->count()} rows are open to them."),
        );
    }

    private function words(CellContext $cell): Sentence
    {
        $common = $this->common($cell);
        $gate = static fn (): Sentence => (new Gates($cell))->of(0)[0]->words;

        return match ($common) {
            Reason::CourseDraft, Reason::CourseRetired, Reason::CourseNotOpen, Reason::CourseOver => $gate(),
            Reason::ObserversShut => Sentence::of('The observer door is shut.'),
            Reason::ObserversNotHere => Sentence::of('The observer door is open, but no row lets observers in.'),
            Reason::GuestsShut => Sentence::of($cell->decider->prepared->plan->guests ? 'The guest door is shut.' : 'The school lets no guests in at all.'),
            Reason::GuestsNotHere => Sentence::of('The guest door is open, but no row lets guests in.'),
            Reason::LearnerCannot => $this->ofLearner($cell),
            Reason::PassEnded, Reason::PassPaused, Reason::PassRevoked, Reason::PassNotStarted => $this->lastGate($cell),
            Reason::NoPass => Sentence::of('They hold no pass, and nothing here is a sample.'),
            Reason::NotSignedIn => Sentence::of('They are not signed in, and nothing here is a sample.'),
            Reason::SampleNeedsAccount => Sentence::of('Samples are for those who are signed in, and they are not.'),
            Reason::Held => Sentence::of('Everything is handed out one by one, and nothing has been handed to them.'),
            Reason::Draft => Sentence::of('Every row is a draft.'),
            Reason::Tier => Sentence::of('Every row is for other tiers than theirs.'),
            Reason::NotForYou => Sentence::of('No row’s condition lets them in.'),
            default => $this->soonest($cell) ?? Sentence::of('Something is in the way of every row; choose one to see what.'),
        };
    }

    private function lastGate(CellContext $cell): Sentence
    {
        $gates = (new Gates($cell))->of(0);

        return $gates[count($gates) - 1]->words;
    }

    private function ofLearner(CellContext $cell): Sentence
    {
        $learner = $cell->viewer->observes;
        $own = $learner === null ? null : $this->of($cell->ofLearner($learner));

        return $own === null
            ? Sentence::of('What their learner may enter does not let observers in, and the rest is closed to the learner too.')
            : Sentence::of('They follow their learner, who sees nothing either: '.lcfirst((string) $own->words));
    }

    /** The one code that says it for every row, where there is one: the first of each. */
    private function common(CellContext $cell): ?Reason
    {
        $codes = [];
        foreach (array_keys($cell->outline->items) as $item) {
            $reason = $cell->snapshot->why($item)[0] ?? null;
            if ($reason !== null && ($reason !== Reason::Draft || $cell->outline->draftOnPath[0])) {
                $codes[$reason->value] = $reason;
            }
        }

        // Where samples are all that could be seen, what keeps those shut is what says it.
        if (isset($codes[Reason::SampleNeedsAccount->value])) {
            unset($codes[Reason::NotSignedIn->value]);
        }

        return count($codes) === 1 ? $codes[array_key_first($codes)] : null;
    }

    private function soonest(CellContext $cell): ?Sentence
    {
        $first = null;
        foreach ($cell->answer->decisions() as $item => $decision) {
            if ($decision->next?->state === State::Open && ($first === null || $decision->next->at < $first[0])) {
                $first = [$decision->next->at, $item];
            }
        }

        return $first === null ? null : Sentence::of('Nothing is open yet: {} is the first, '.$cell->clock->words($first[0]).'.', $cell->title($first[1]));
    }

    /** @return list<Fix> */
    private function candidates(CellContext $cell): array
    {
        return match (true) {
            $cell->snapshot->gate === Reason::CourseDraft, $cell->snapshot->gate === Reason::CourseRetired => [new Fix(FixKind::CourseLive)],
            $cell->snapshot->gate !== null => [],
            $cell->snapshot->kind() === ViewerKind::Observer => [
                ...($cell->decider->course->observerDoor->open ? [] : [new Fix(FixKind::OpenObserverDoor)]),
                ...($cell->decider->course->observerDoor->default ? [] : [new Fix(FixKind::ObserversEverywhere)]),
            ],
            $cell->snapshot->kind() === ViewerKind::Guest && $cell->decider->prepared->plan->guests => [
                ...($cell->decider->course->guestDoor->open ? [] : [new Fix(FixKind::OpenGuestDoor)]),
                ...($cell->decider->course->guestDoor->default ? [] : [new Fix(FixKind::GuestsEverywhere)]),
            ],
            $cell->snapshot->kind() === ViewerKind::Visitor && $cell->decider->course->sampleNeedsAccount => [new Fix(FixKind::SampleForVisitors)],
            default => [],
        };
    }
}
