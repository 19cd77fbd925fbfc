<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Learning\CourseSummaries;
use App\Models\Person;
use App\Words\ClosedWords;
use App\Words\Say;
use Illuminate\Support\Collection;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Viewing\Viewer;

/** The lists of courses as a learner, or anybody else, meets them. */
final readonly class FrontPageBuilder
{
    public function __construct(private CourseSummaries $summaries, private Viewers $viewers, private SchoolClock $clock)
    {
    }

    /** @return list<FrontCourse> what the public may know of */
    public function front(): array
    {
        $front = [];
        foreach ($this->summaries->all(static fn (array $courses): array => array_fill_keys($courses, Viewers::visitor()), 0) as $summary) {
            if ($summary->visible && $summary->state === CourseState::Live) {
                $front[] = new FrontCourse($summary->key, $summary->title, $summary->lessons, $summary->open, Say::text("learner.entry.{$summary->entry->value}"));
            }
        }

        return $front;
    }

    /** @return list<MyCourse> the courses with anything open to them, and those they, or whom they look with, hold a pass of */
    public function coursesOf(Person $person, ?Person $observed = null): array
    {
        $mine = [];
        foreach ($this->summaries->all(fn (array $courses): array => $this->viewersOf($person, $observed, $courses), $person->id) as $summary) {
            $holdsPass = $summary->passes > 0;
            if (! $summary->visible || ($summary->open === 0 && ! $holdsPass)) {
                continue;
            }
            $mine[] = new MyCourse($summary->key, $summary->title, match (true) {
                $summary->pass !== null && $summary->offer !== null => ClosedWords::passWords($summary->pass, $summary->offer, $this->clock),
                $holdsPass => Say::text('learner.pass.not_active'),
                $summary->entry === Entry::Anyone => Say::text('learner.entry.anyone'),
                default => Say::text('learner.entry.samples'),
            }, $summary->lessons, $summary->finished, $summary->more);
        }

        return $mine;
    }

    /** The key of the one course that a learner holds a pass of, where an observer may see anything of it; null: there are none, or several. */
    public function onlyCourse(Person $observer, Person $learner): ?string
    {
        $held = [];
        foreach ($this->summaries->all(fn (array $courses): array => $this->viewersOf($observer, $learner, $courses), $observer->id) as $summary) {
            if ($summary->visible && $summary->pass !== null) {
                $held[] = $summary->key;
            }
        }

        return count($held) === 1 ? $held[0] : null;
    }

    /**
     * @param  list<int>  $courses
     * @return array<int, Viewer>
     */
    private function viewersOf(Person $person, ?Person $observed, array $courses): array
    {
        $all = $this->viewers->in(new Collection(array_filter([$person, $observed])), $courses);
        $viewers = $all[$person->id] ?? [];
        if ($observed !== null) {
            foreach ($viewers as $id => $viewer) {
                $viewers[$id] = Viewers::lookingWith($viewer->signedIn(), $all[$observed->id][$id] ?? null);
            }
        }

        return $viewers;
    }
}
