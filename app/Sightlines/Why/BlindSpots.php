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
            $fixes === [] ? null : Sentence::say('why.blind_spots.what_then_open_count', ['what' => trim((string) PossibleFixes::sentence($cell->document, $fixes), '.'), 'open' => $open, 'count' => $cell->outline->count()]),
        );
    }

    private function words(CellContext $cell): Sentence
    {
        $common = $this->common($cell);
        $gate = static fn (): Sentence => (new Gates($cell))->of(0)[0]->words;

        return match ($common) {
            Reason::CourseDraft, Reason::CourseRetired, Reason::CourseNotOpen, Reason::CourseOver => $gate(),
            Reason::ObserversShut => Sentence::say('why.blind_spots.observer_door_shut'),
            Reason::ObserversNotHere => Sentence::say('why.blind_spots.observer_door_open_but'),
            Reason::GuestsShut => Sentence::say($cell->decider->prepared->plan->guests ? 'why.blind_spots.guest_door_shut' : 'why.blind_spots.school_lets_no_guests'),
            Reason::GuestsNotHere => Sentence::say('why.blind_spots.guest_door_open_but'),
            Reason::LearnerCannot => $this->ofLearner($cell),
            Reason::PassEnded, Reason::PassPaused, Reason::PassRevoked, Reason::PassNotStarted => $this->lastGate($cell),
            Reason::NoPass => Sentence::say('why.blind_spots.they_hold_no_pass'),
            Reason::NotSignedIn => Sentence::say('why.blind_spots.they_not_signed_in'),
            Reason::SampleNeedsAccount => Sentence::say('why.blind_spots.samples_for_those_who'),
            Reason::Held => Sentence::say('why.blind_spots.everything_handed_out_one'),
            Reason::Draft => Sentence::say('why.blind_spots.every_row_draft'),
            Reason::Tier => Sentence::say('why.blind_spots.every_row_for_other'),
            Reason::NotForYou => Sentence::say('why.blind_spots.no_rows_condition_lets'),
            default => $this->soonest($cell) ?? Sentence::say('why.blind_spots.something_in_way_every'),
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
            ? Sentence::say('why.blind_spots.what_their_learner_may')
            : Sentence::say('why.blind_spots.they_follow_their_learner', ['what' => lcfirst((string) $own->words)]);
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

        return $first === null ? null : Sentence::say('why.blind_spots.nothing_open_yet_title', ['when' => $cell->clock->words($first[0])], ['title' => $cell->title($first[1])]);
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
