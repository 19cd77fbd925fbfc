<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;

/**
 * The gates on the way to an item in the order in which they are tried, each passed or shut, in plain sentences: those
 * of the way by which it is open, or of the one that comes nearest.
 */
final readonly class Gates
{
    public function __construct(private CellContext $cell)
    {
    }

    /** @return list<Gate> */
    public function of(int $item): array
    {
        $snapshot = $this->cell->snapshot;
        if ($this->cell->viewer->staff) {
            return [Gate::passed(Say::text('why.gate.staff'), Sentence::say('why.gates.staff_see_everything_drafts'))];
        }
        $via = $snapshot->standings[$item]->via;
        if ($via === Route::Grant) {
            return [$this->grant($item)];
        }
        $course = [$this->course(), ...$this->draft($item)];
        if ($via === Route::Sample) {
            return [...$course, $this->sample($item, open: true)];
        }
        $reading = $snapshot->passFor($item);
        $why = $snapshot->why($item);
        $doors = new DoorGates($this->cell, static fn (CellContext $cell): array => (new self($cell))->of($item));

        return [...$course, ...match (true) {
            // What opens it is told; where nothing does, what `why` speaks of.
            $via === Route::Anyone => $doors->anyone($item, []),
            $via === Route::Guest => $doors->guest($item, []),
            $via === Route::Observer => $doors->observer($item, []),
            $reading !== null => (new PassGates($this->cell))->of($item, $reading),
            $snapshot->learner() !== null => $doors->observer($item, $why),
            $snapshot->latestPass() !== null => [$this->lapsed($snapshot->latestPass())],
            $this->cell->viewer->guest => $doors->guest($item, $why),
            $this->cell->decider->course->entry === Entry::Anyone => $doors->anyone($item, $why),
            $snapshot->wantsAnAccount($item) => [$this->sample($item, open: false)],
            default => [$this->entry()],
        }];
    }

    private function course(): Gate
    {
        $course = $this->cell->decider->course;
        $link = WhyLink::course(Say::text('why.gates.season_and_state'));
        $words = fn (int $instant): string => $this->cell->clock->words($instant);
        $season = match (true) {
            $course->opens === null && $course->closes === null => Say::text('why.gates.no_season'),
            $course->closes === null => Say::text('why.gates.since_words', ['words' => $words((int) $course->opens)]),
            $course->opens === null => Say::text('why.gates.to_words', ['words' => $words($course->closes)]),
            default => Say::text('why.gates.season_words_to_words2', ['words' => $words($course->opens), 'words2' => $words($course->closes)]),
        };

        return match ($this->cell->snapshot->gate) {
            Reason::CourseDraft => Gate::shut(Say::text('why.gate.course'), Sentence::say('why.gates.course_draft_only_staff'), $link),
            Reason::CourseRetired => Gate::shut(Say::text('why.gate.course'), Sentence::say($course->keepAfterRetiring ? 'why.gates.course_retired_only_who' : 'why.gates.course_retired_and_nobody'), $link),
            Reason::CourseNotOpen => Gate::shut(Say::text('why.gate.course'), Sentence::say('why.gates.the_course_opens_words', ['words' => $words($course->opens ?? 0)]), $link),
            Reason::CourseOver => Gate::shut(Say::text('why.gate.course'), Sentence::say('why.gates.the_course_closed_words', ['words' => $words($course->closes ?? 0)]), $link),
            default => Gate::passed(Say::text('why.gate.course'), Sentence::say($course->state === CourseState::Retired ? 'why.gates.retired_kept' : 'why.gates.live', ['season' => $season])),
        };
    }

    /** @return list<Gate> only where it is in the way */
    private function draft(int $item): array
    {
        foreach ($this->cell->outline->path[$item] as $step) {
            if ($this->cell->outline->items[$step]->draft) {
                return [Gate::shut(Say::text('why.gate.draft'), Sentence::say('why.gates.title_draft_only_staff', titles: ['title' => $this->cell->title($step)]), WhyLink::rule(Say::text('why.gates.show_the_row'), $this->cell->key($step)))];
            }
        }

        return [];
    }

    private function grant(int $item): Gate
    {
        $grant = $this->cell->snapshot->grantFor($item);
        $position = $grant === null ? null : $this->cell->outline->positionOf($grant->item);
        $until = $grant === null || $grant->until === Instant::NEVER ? Say::text('why.gates.for_good') : Say::text('why.gates.until_when', ['when' => $this->cell->clock->words($grant->until)]);

        return Gate::passed(Say::text('why.gates.handed_out'), Sentence::say('why.gates.title_handed_them_until', ['until' => $until], ['title' => $this->cell->title($position ?? $item)]));
    }

    private function lapsed(Pass $pass): Gate
    {
        $offer = $this->cell->decider->prepared->offerOf($pass);
        $title = ['title' => $offer === null ? $pass->offer : $offer->title ?? $offer->key];

        return Gate::shut(Say::text('why.gate.pass'), match (true) {
            $pass->state === PassState::Revoked => Sentence::say('why.gates.title_was_withdrawn', titles: $title),
            $pass->state === PassState::Paused => Sentence::say('why.gates.title_is_paused', titles: $title),
            $this->cell->at >= $pass->until => Sentence::say('why.gates.title_ended_when', ['when' => $this->cell->clock->words($pass->until)], $title),
            default => Sentence::say('why.gates.title_begins_when', ['when' => $this->cell->clock->words($pass->from)], $title),
        });
    }

    private function sample(int $item, bool $open): Gate
    {
        $marked = $item;
        foreach ($this->cell->outline->path[$item] as $step) {
            if ($this->cell->outline->items[$step]->sample) {
                $marked = $step;
            }
        }

        return $open
            ? Gate::passed(Say::text('why.gate.sample'), $this->cell->said($marked, $item, Say::text('why.gates.sample_be_looked_at')))
            : Gate::shut(Say::text('why.gate.account'), $this->cell->said($marked, $item, Say::text('why.gates.sample_for_those_who')), WhyLink::course(Say::text('why.gates.who_may_see_samples')));
    }

    private function entry(): Gate
    {
        $how = match ($this->cell->decider->course->entry) {
            Entry::Signup => Say::text('why.gates.by_signing_up'),
            Entry::Offer => Say::text('why.gates.by_an_offer'),
            default => Say::text('why.gates.by_invitation'),
        };

        return $this->cell->viewer->signedIn
            ? Gate::shut(Say::text('why.gate.entry'), Sentence::say('why.gates.way_in_how_and', ['how' => $how]), WhyLink::course(Say::text('why.gates.who_gets_in')))
            : Gate::shut(Say::text('why.gate.entry'), Sentence::say('why.gates.way_in_how_and_visitor', ['how' => $how]), WhyLink::course(Say::text('why.gates.who_gets_in')));
    }
}
