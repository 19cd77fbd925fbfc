<?php

declare(strict_types=1);

namespace App\Keep;

use App\Http\Pages\Learner\MyCourse;
use App\Keep\Views\LearnerView;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Support\Collection;

/** Puts together what a learner, or anybody else, sees of courses now. */
final readonly class LearnerDesk
{
    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock)
    {
    }

    /** Null where the course was never published. */
    public function view(Course $course, ?Person $person): ?LearnerView
    {
        $decider = $this->plans->live($course);

        return $decider === null ? null : new LearnerView($decider, $this->viewers->of($person, $course), $this->clock);
    }

    /** @return list<MyCourse> the courses with anything open to them, and those they hold a pass of */
    public function coursesOf(Person $person): array
    {
        $courses = Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->orderBy('id')->get();
        $viewers = $this->viewers->ofAll(new Collection([$person]), $courses->toBase())[$person->id] ?? [];
        $mine = [];
        foreach ($courses as $course) {
            $decider = $this->plans->live($course);
            $viewer = $viewers[$course->id] ?? null;
            if ($decider === null || $viewer === null) {
                continue;
            }
            $view = new LearnerView($decider, $viewer, $this->clock);
            $open = $view->somethingOpen() !== null;
            if (! $view->isVisible() || (! $open && $viewer->passes === [])) {
                continue;
            }
            [$finished, $lessons] = $view->progress();
            $detail = $view->passWords() ?? ($viewer->passes === [] ? ($decider->course->entry->value === 'anyone' ? 'Open to anyone' : 'Samples to look at') : 'Your pass is not active');
            $mine[] = new MyCourse($course->key, $view->title(), $detail, $lessons, $finished);
        }

        return $mine;
    }
}
