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
    public function __construct(private CellContext $scene)
    {
    }

    /** @return list<Gate> */
    public function of(int $item): array
    {
        $glance = $this->scene->glance;
        if ($this->scene->viewer->staff) {
            return [new Gate('Staff', true, Sentence::of('Staff see everything, drafts too.'))];
        }
        $via = $glance->standings[$item]->via;
        if ($via === Route::Grant) {
            return [$this->grant($item)];
        }
        $course = [$this->course(), ...$this->draft($item)];
        if ($via === Route::Sample) {
            return [...$course, $this->sample($item, true)];
        }
        $reading = $glance->passFor($item);
        $why = $glance->why($item);
        $doors = new DoorGates($this->scene, static fn (CellContext $scene): array => (new self($scene))->of($item));

        return [...$course, ...match (true) {
            // What opens it is told; where nothing does, what `why` speaks of.
            $via === Route::Anyone => $doors->anyone($item, []),
            $via === Route::Guest => $doors->guest($item, []),
            $via === Route::Observer => $doors->observer($item, []),
            $reading !== null => (new PassGates($this->scene))->of($item, $reading),
            $glance->learner() !== null => $doors->observer($item, $why),
            $glance->latestPass() !== null => [$this->lapsed($glance->latestPass())],
            $this->scene->viewer->guest => $doors->guest($item, $why),
            $this->scene->decider->course->entry === Entry::Anyone => $doors->anyone($item, $why),
            $this->scene->decider->prepared->partOfSample[$item] => [$this->sample($item, false)],
            default => [$this->entry()],
        }];
    }

    private function course(): Gate
    {
        $course = $this->scene->decider->course;
        $link = WhyLink::course('Season and state');
        $words = fn (int $instant): string => $this->scene->clock->words($instant);
        $season = match (true) {
            $course->opens === null && $course->closes === null => 'no season',
            $course->closes === null => 'since '.$words((int) $course->opens),
            $course->opens === null => 'to '.$words($course->closes),
            default => 'season '.$words($course->opens).' to '.$words($course->closes),
        };

        return match ($this->scene->glance->gate) {
            Reason::CourseDraft => new Gate('Course', false, Sentence::of('The course is a draft: only staff see it.'), $link),
            Reason::CourseRetired => new Gate('Course', false, Sentence::of($course->keepAfterRetiring ? 'The course is retired; only who holds an active pass keeps it.' : 'The course is retired, and nobody keeps it.'), $link),
            Reason::CourseNotOpen => new Gate('Course', false, Sentence::of('The course opens '.$words($course->opens ?? 0).'.'), $link),
            Reason::CourseOver => new Gate('Course', false, Sentence::of('The course closed '.$words($course->closes ?? 0).'.'), $link),
            default => new Gate('Course', true, Sentence::of(($course->state === CourseState::Retired ? 'Retired, but kept' : 'Live').'; '.$season.'.')),
        };
    }

    /** @return list<Gate> only where it is in the way */
    private function draft(int $item): array
    {
        foreach ($this->scene->outline->path[$item] as $step) {
            if ($this->scene->outline->items[$step]->draft) {
                return [new Gate('Draft', false, Sentence::of('{} is a draft: only staff see it.', $this->scene->title($step)), WhyLink::rule('Show the row', $this->scene->key($step)))];
            }
        }

        return [];
    }

    private function grant(int $item): Gate
    {
        $grant = $this->scene->glance->grantFor($item);
        $position = $grant === null ? null : $this->scene->outline->positionOf($grant->item);
        $until = $grant === null || $grant->until === Instant::NEVER ? 'for good' : 'until '.$this->scene->clock->words($grant->until);

        return new Gate('Handed out', true, Sentence::of("{} is handed to them {$until}, whatever the rules say.", $this->scene->title($position ?? $item)));
    }

    private function lapsed(Pass $pass): Gate
    {
        $offer = $this->scene->decider->prepared->offerOf($pass);
        $words = match (true) {
            $pass->state === PassState::Revoked => '{} was withdrawn.',
            $pass->state === PassState::Paused => '{} is paused.',
            $this->scene->at >= $pass->until => '{} ended '.$this->scene->clock->words($pass->until).'.',
            default => '{} begins '.$this->scene->clock->words($pass->from).'.',
        };

        return new Gate('Pass', false, Sentence::of($words, $offer === null ? $pass->offer : $offer->title ?? $offer->key));
    }

    private function sample(int $item, bool $open): Gate
    {
        $marked = $item;
        foreach ($this->scene->outline->path[$item] as $step) {
            if ($this->scene->outline->items[$step]->sample) {
                $marked = $step;
            }
        }

        return $open
            ? new Gate('Sample', true, $this->scene->said($marked, $item, 'A sample, to be looked at without a pass.'))
            : new Gate('Account', false, $this->scene->said($marked, $item, 'A sample, for those who are signed in.'), WhyLink::course('Who may see samples'));
    }

    private function entry(): Gate
    {
        $how = match ($this->scene->decider->course->entry) {
            Entry::Signup => 'by signing up',
            Entry::Offer => 'by an offer',
            default => 'by invitation',
        };

        return $this->scene->viewer->signedIn
            ? new Gate('Entry', false, Sentence::of("The way in is {$how}, and this viewer holds no pass."), WhyLink::course('Who gets in'))
            : new Gate('Entry', false, Sentence::of("The way in is {$how}, and a visitor is not signed in."), WhyLink::course('Who gets in'));
    }
}
