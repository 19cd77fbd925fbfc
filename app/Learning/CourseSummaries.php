<?php

declare(strict_types=1);

namespace App\Learning;

use App\Access\Kept;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Models\Course;
use SilentKeep\Core\Viewing\Viewer;

/**
 * Sums up many courses for one viewer. A list of two hundred courses is not two hundred plans compiled: what was said of a course
 * to such a viewer is kept until something in it may be another.
 */
final readonly class CourseSummaries
{
    /** People whose numbers leave the same rest share a place, the last one has it: so what is kept never grows beyond it. */
    private const PLACES = 512;

    public function __construct(private Plans $plans, private LearnerViews $views, private Kept $kept, private SchoolClock $clock)
    {
    }

    /**
     * @param  \Closure(list<int>): array<int, Viewer>  $viewers  who looks, by the course's id
     * @param  int  $person  who it is; 0: nobody who is known
     * @return array<int, CourseSummary> by the course's id, in order, of all that were ever published
     */
    public function all(\Closure $viewers, int $person): array
    {
        $published = $this->plans->stamps();
        $stamps = [];
        $viewers = $viewers(array_keys($published));
        foreach ($viewers as $id => $viewer) {
            // Whoever holds nothing of a course sees what all their like do.
            $nothing = self::holdsNothing($viewer);
            $stamps[$nothing ? self::kind($viewer) : 'own-'.$person % self::PLACES][$id] = $published[$id].($nothing ? '' : hash('xxh128', serialize($viewer)));
        }
        $now = $this->clock->now();
        $found = [];
        foreach ($stamps as $place => $wanted) {
            $found += $this->kept->all("summaries-{$place}", CourseSummary::class, $wanted, fn (array $missing): array => $this->sumUpAll($missing, $viewers), static fn (CourseSummary $summary): bool => $summary->holdsAt($now));
        }
        ksort($found);

        return $found;
    }

    /**
     * @param  list<int>  $courses
     * @param  array<int, Viewer>  $viewers
     * @return array<int, CourseSummary>
     */
    private function sumUpAll(array $courses, array $viewers): array
    {
        $summaries = [];
        foreach (Course::query()->whereIntegerInRaw('id', $courses)->get() as $course) {
            $summaries[$course->id] = $this->sumUp($course, $viewers[$course->id]);
        }

        return array_filter($summaries);
    }

    private function sumUp(Course $course, Viewer $viewer): ?CourseSummary
    {
        $view = $this->views->published($course, $viewer);
        if ($view === null) {
            return null;
        }
        [$finished, $lessons, $more] = $view->progress();
        $decider = $view->answer->decider;
        $pass = $view->pass();

        return new CourseSummary(
            key: $course->getRouteKey(),
            title: $view->title(),
            state: $decider->course->state,
            entry: $decider->course->entry,
            visible: $view->isVisible(),
            isOver: $view->answer->isOver(),
            open: $view->openLessons(),
            finished: $finished,
            lessons: $lessons,
            more: $more,
            passes: count(($viewer->observes ?? $viewer)->passes),
            pass: $pass,
            offer: $view->offerName(),
            known: $view->path->known(),
            openTo: array_values(array_filter($view->path->known(), $view->isOpen(...))),
            sample: $view->path->somethingOpen()?->key,
            opens: $decider->course->opens !== null && $decider->course->opens > $view->answer->at ? $decider->course->opens : null,
            from: $view->answer->at,
            until: $view->answer->holdsUntil(),
        );
    }

    private static function holdsNothing(Viewer $viewer): bool
    {
        return $viewer->labels === [] && $viewer->timedLabels === [] && $viewer->passes === [] && $viewer->grants === [] && $viewer->done === [] && ($viewer->observes === null || self::holdsNothing($viewer->observes));
    }

    private static function kind(Viewer $viewer): string
    {
        return match (true) {
            $viewer->staff => 'staff',
            $viewer->signedIn => 'member',
            default => 'visitor',
        }.($viewer->guest ? '-guest' : '').($viewer->observes === null ? '' : '-with-'.self::kind($viewer->observes));
    }
}
