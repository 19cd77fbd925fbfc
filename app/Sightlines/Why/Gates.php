<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

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
            return [Gate::passed('Staff', Sentence::of('Staff see everything, drafts too.'))];
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
        $link = WhyLink::course('Season and state');
        $words = fn (int $instant): string => $this->cell->clock->words($instant);
        $season = match (true) {
            $course->opens === null && $course->closes === null => 'no season',
            $course->closes === null => 'since '.$words((int) $course->opens),
            $course->opens === null => 'to '.$words($course->closes),
            default => 'season '.$words($course->opens).' to '.$words($course->closes),
        };

        return match ($this->cell->snapshot->gate) {
            Reason::CourseDraft => Gate::shut('Course', Sentence::of('The course is a draft: only staff see it.'), $link),
            Reason::CourseRetired => Gate::shut('Course', Sentence::of($course->keepAfterRetiring ? 'The course is retired; only who holds an active pass keeps it.' : 'The course is retired, and nobody keeps it.'), $link),
            Reason::CourseNotOpen => Gate::shut('Course', Sentence::of('The course opens '.$words($course->opens ?? 0).'.'), $link),
            Reason::CourseOver => Gate::shut('Course', Sentence::of('The course closed '.$words($course->closes ?? 0).'.'), $link),
            default => Gate::passed('Course', Sentence::of(($course->state === CourseState::Retired ? 'Retired, but kept' : 'Live').'; '.$season.'.')),
        };
    }

    /** @return list<Gate> only where it is in the way */
    private function draft(int $item): array
    {
        foreach ($this->cell->outline->path[$item] as $step) {
            if ($this->cell->outline->items[$step]->draft) {
                return [Gate::shut('Draft', Sentence::of('{} is a draft: only staff see it.', $this->cell->title($step)), WhyLink::rule('Show the row', $this->cell->key($step)))];
            }
        }

        return [];
    }

    private function grant(int $item): Gate
    {
        $grant = $this->cell->snapshot->grantFor($item);
        $position = $grant === null ? null : $this->cell->outline->positionOf($grant->item);
        $until = $grant === null || $grant->until === Instant::NEVER ? 'for good' : 'until '.$this->cell->clock->words($grant->until);

        return Gate::passed('Handed out', Sentence::of("{} is handed to them {$until}, whatever the rules say.", $this->cell->title($position ?? $item)));
    }

    private function lapsed(Pass $pass): Gate
    {
        $offer = $this->cell->decider->prepared->offerOf($pass);
        $words = match (true) {
            $pass->state === PassState::Revoked => '{} was withdrawn.',
            $pass->state === PassState::Paused => '{} is paused.',
            $this->cell->at >= $pass->until => '{} ended '.$this->cell->clock->words($pass->until).'.',
            default => '{} begins '.$this->cell->clock->words($pass->from).'.',
        };

        return Gate::shut('Pass', Sentence::of($words, $offer === null ? $pass->offer : $offer->title ?? $offer->key));
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
            ? Gate::passed('Sample', $this->cell->said($marked, $item, 'A sample, to be looked at without a pass.'))
            : Gate::shut('Account', $this->cell->said($marked, $item, 'A sample, for those who are signed in.'), WhyLink::course('Who may see samples'));
    }

    private function entry(): Gate
    {
        $how = match ($this->cell->decider->course->entry) {
            Entry::Signup => 'by signing up',
            Entry::Offer => 'by an offer',
            default => 'by invitation',
        };

        return $this->cell->viewer->signedIn
            ? Gate::shut('Entry', Sentence::of("The way in is {$how}, and this viewer holds no pass."), WhyLink::course('Who gets in'))
            : Gate::shut('Entry', Sentence::of("The way in is {$how}, and a visitor is not signed in."), WhyLink::course('Who gets in'));
    }
}
