<?php

declare(strict_types=1);

namespace App\Learning\Letters;

use App\Access\Plans;
use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Learning\LearnerView;
use App\Learning\LearnerViews;
use App\Models\Course;
use App\Models\Pass;
use App\Models\Person;
use App\Words\Say;
use Illuminate\Support\Collection;

/** What letters about passes tell of their courses, asked of the core for a whole group at once. */
final readonly class CoursesOfPasses
{
    public function __construct(private Viewers $viewers, private LearnerViews $views, private Plans $plans, private SchoolClock $clock)
    {
    }

    /**
     * @param  Collection<int, Pass>  $passes  with their people
     * @return array<int, LearnerView> by the pass's id; of courses that are published
     */
    public function views(Collection $passes): array
    {
        $courses = Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->whereIn('id', $passes->map(static fn (Pass $pass): int => $pass->course_id)->unique()->all())->get()->keyBy('id');
        $viewers = $this->viewers->ofAll($passes->map(static fn (Pass $pass): Person => $pass->person)->unique('id')->values(), $courses->values()->toBase());
        $views = [];
        foreach ($passes as $pass) {
            $course = $courses->get($pass->course_id);
            $view = $course === null ? null : $this->views->published($course, $viewers[$pass->person_id][$course->id]);
            if ($view !== null) {
                $views[$pass->id] = $view;
            }
        }

        return $views;
    }

    /** @return array<string, string> values of placeholders that all letters about passes have */
    public function values(Pass $pass, LearnerView $view): array
    {
        return ['course' => $view->title(), 'offer' => $pass->offer->name, 'address' => SchoolAddress::of('course', $view->frame()->key)];
    }

    public function zoned(int $instant): string
    {
        return Say::text('letters.zoned', ['at' => $this->clock->plain($instant), 'zone' => $this->clock->zoneName()]);
    }

    /** Whether a pass of the course is in force at an instant, if only time moves until then. */
    public function goesOn(LearnerView $view, int $at): bool
    {
        $viewer = $view->answer->viewer;

        return $this->plans->ask($view->answer->decider, $viewer, $at)->snapshot()->holdsActivePass();
    }
}
