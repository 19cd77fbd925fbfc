<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Learning\CourseSummaries;
use App\Learning\CourseSummary;
use App\Models\Person;
use App\Words\ClosedWords;
use App\Words\Say;
use Illuminate\Support\Collection;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Viewing\Viewer;

/** The courses of somebody, or of whom they look with. */
final readonly class MyCoursesBuilder
{
    public function __construct(private CourseSummaries $summaries, private Viewers $viewers, private SchoolClock $clock)
    {
    }

    /** @return array<int, CourseSummary> of all that were ever published, by the course's id */
    public function summaries(Person $person, ?Person $observed): array
    {
        return $this->summaries->all(fn (array $courses): array => $this->viewersOf($person, $observed, $courses), $person->id);
    }

    /** @return list<MyCourse> the courses with anything open to them, and those they, or whom they look with, hold a pass of */
    public function coursesOf(Person $person, ?Person $observed = null): array
    {
        $mine = [];
        foreach ($this->summaries($person, $observed) as $summary) {
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
        foreach ($this->summaries($observer, $learner) as $summary) {
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
