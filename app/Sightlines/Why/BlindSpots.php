<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\Sentence;
use SilentKeep\Core\Compiled\CompiledDecider;
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
    public function of(CellContext $scene): ?BlindSpot
    {
        if ($scene->outline->count() === 0 || array_filter($scene->glance->standings, static fn (Standing $standing): bool => $standing->isOpen()) !== []) {
            return null;
        }
        $tried = $this->candidates($scene);
        [$fixes, $open] = $tried === [] ? [[], 0] : $this->fixing->toSeeAnything($scene, $tried);

        return new BlindSpot(
            $this->words($scene),
            array_map(static fn (Fix $fix): FixByRule => $fix->step(), $fixes),
            $fixes === [] ? null : Sentence::of(trim((string) PossibleFixes::sentence($scene->document, $fixes), '.').": then {$open} of {$scene->outline->count()} rows are open to them."),
        );
    }

    private function words(CellContext $scene): Sentence
    {
        $common = $this->common($scene);
        $gate = static fn (): Sentence => (new Gates($scene))->of(0)[0]->words;

        return match ($common) {
            Reason::CourseDraft, Reason::CourseRetired, Reason::CourseNotOpen, Reason::CourseOver => $gate(),
            Reason::ObserversShut => Sentence::of('The observer door is shut.'),
            Reason::ObserversNotHere => Sentence::of('The observer door is open, but no row lets observers in.'),
            Reason::GuestsShut => Sentence::of($scene->decider->prepared->plan->guests ? 'The guest door is shut.' : 'The school lets no guests in at all.'),
            Reason::GuestsNotHere => Sentence::of('The guest door is open, but no row lets guests in.'),
            Reason::LearnerCannot => $this->ofLearner($scene),
            Reason::PassEnded, Reason::PassPaused, Reason::PassRevoked, Reason::PassNotStarted => $this->lastGate($scene),
            Reason::NoPass => Sentence::of('They hold no pass, and nothing here is a sample.'),
            Reason::NotSignedIn => Sentence::of('They are not signed in, and nothing here is a sample.'),
            Reason::SampleNeedsAccount => Sentence::of('Samples are for those who are signed in, and they are not.'),
            Reason::Held => Sentence::of('Everything is handed out one by one, and nothing has been handed to them.'),
            Reason::Draft => Sentence::of('Every row is a draft.'),
            Reason::Tier => Sentence::of('Every row is for other tiers than theirs.'),
            Reason::NotForYou => Sentence::of('No row’s condition lets them in.'),
            default => $this->soonest($scene) ?? Sentence::of('Something is in the way of every row; choose one to see what.'),
        };
    }

    private function lastGate(CellContext $scene): Sentence
    {
        $gates = (new Gates($scene))->of(0);

        return $gates[count($gates) - 1]->words;
    }

    private function ofLearner(CellContext $scene): Sentence
    {
        $learner = $scene->viewer->observes;
        $own = $learner === null ? null : $this->of($scene->ofLearner($learner));

        return $own === null
            ? Sentence::of('What their learner may enter does not let observers in, and the rest is closed to the learner too.')
            : Sentence::of('They follow their learner, who sees nothing either: '.lcfirst((string) $own->words));
    }

    /** The one code that says it for every row, where there is one: the first of each. */
    private function common(CellContext $scene): ?Reason
    {
        $codes = [];
        foreach (array_keys($scene->outline->items) as $item) {
            $reason = $scene->glance->why($item)[0] ?? null;
            if ($reason !== null && ($reason !== Reason::Draft || $scene->outline->draftOnPath[0])) {
                $codes[$reason->value] = $reason;
            }
        }

        // Where samples are all that could be seen, what keeps those shut is what says it.
        if (isset($codes[Reason::SampleNeedsAccount->value])) {
            unset($codes[Reason::NotSignedIn->value]);
        }

        return count($codes) === 1 ? $codes[array_key_first($codes)] : null;
    }

    private function soonest(CellContext $scene): ?Sentence
    {
        $first = null;
        foreach (CompiledDecider::of($scene->decider->prepared)->decide($scene->viewer, $scene->at) as $item => $decision) {
            if ($decision->next?->state === State::Open && ($first === null || $decision->next->at < $first[0])) {
                $first = [$decision->next->at, $item];
            }
        }

        return $first === null ? null : Sentence::of('Nothing is open yet: {} is the first, '.$scene->clock->words($first[0]).'.', $scene->title($first[1]));
    }

    /** @return list<Fix> */
    private function candidates(CellContext $scene): array
    {
        return match (true) {
            $scene->glance->gate === Reason::CourseDraft, $scene->glance->gate === Reason::CourseRetired => [new Fix(FixKind::CourseLive)],
            $scene->glance->gate !== null => [],
            $scene->glance->kind() === ViewerKind::Observer => [
                ...($scene->decider->course->observerDoor->open ? [] : [new Fix(FixKind::OpenObserverDoor)]),
                ...($scene->decider->course->observerDoor->default ? [] : [new Fix(FixKind::ObserversEverywhere)]),
            ],
            $scene->glance->kind() === ViewerKind::Guest && $scene->decider->prepared->plan->guests => [
                ...($scene->decider->course->guestDoor->open ? [] : [new Fix(FixKind::OpenGuestDoor)]),
                ...($scene->decider->course->guestDoor->default ? [] : [new Fix(FixKind::GuestsEverywhere)]),
            ],
            $scene->glance->kind() === ViewerKind::Visitor && $scene->decider->course->sampleNeedsAccount => [new Fix(FixKind::SampleForVisitors)],
            default => [],
        };
    }
}
