<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Learning\CourseSummaries;
use App\Learning\CourseSummary;
use App\Models\Course;
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
    /** So many courses are named at the end of another. */
    private const INSTEAD = 6;

    public function __construct(private CourseSummaries $summaries, private Viewers $viewers, private SchoolClock $clock)
    {
    }

    /** What the public may know of: what is given; and beside it what is over, of what was retired that which is still to be named. */
    public function front(): FrontPage
    {
        $courses = $over = [];
        $listed = Course::query()->where('listed_over', true)->pluck('id')->flip();
        foreach ($this->publicSummaries() as $id => $summary) {
            if (! $summary->isOver) {
                $courses[] = self::told($summary);
            } elseif ($summary->state === CourseState::Live || $listed->has($id)) {
                $over[] = self::told($summary);
            }
        }

        return new FrontPage($courses, $over);
    }

    /** @return list<FrontCourse> where to go instead of a course that is over: those of its subject; where it has none, or is the only one, any */
    public function insteadOf(Course $course): array
    {
        $like = $course->subject === '' ? null : Course::query()->where('subject', $course->subject)->pluck('id')->flip();
        $any = $same = [];
        foreach ($this->publicSummaries() as $id => $summary) {
            if ($summary->isOver || $id === $course->id) {
                continue;
            }
            $any[] = self::told($summary);
            if ($like?->has($id) === true) {
                $same[] = self::told($summary);
            }
        }

        return array_slice($same === [] ? $any : $same, 0, self::INSTEAD);
    }

    /** @return array<int, CourseSummary> by the course's id */
    private function publicSummaries(): array
    {
        return array_filter($this->summaries->all(static fn (array $courses): array => array_fill_keys($courses, Viewers::visitor()), 0), static fn (CourseSummary $summary): bool => $summary->visible);
    }

    private static function told(CourseSummary $summary): FrontCourse
    {
        return new FrontCourse($summary->key, $summary->title, $summary->lessons, $summary->open, Say::text("learner.entry.{$summary->entry->value}"));
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
