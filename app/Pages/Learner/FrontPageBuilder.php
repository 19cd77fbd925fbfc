<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\Looker;
use App\Access\Lookers;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Learning\LearnerView;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Support\Collection;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;

/** Puts together what a learner, or anybody else, sees of courses now. */
final readonly class FrontPageBuilder
{
    public function __construct(private Plans $plans, private Viewers $viewers, private Lookers $lookers, private SchoolClock $clock)
    {
    }

    /** Null where the course was never published. */
    public function view(Course $course, Looker $looker): ?LearnerView
    {
        $decider = $this->plans->live($course);
        $as = $looker->observed !== null ? "with {$looker->observed->name}" : ($looker->guest ? 'as a guest' : null);

        return $decider === null ? null : new LearnerView($decider, $this->lookers->viewer($looker, $course), $this->clock, $as);
    }

    /** @return list<FrontCourse> what the public may know of */
    public function front(): array
    {
        $front = [];
        foreach (Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->orderBy('id')->get() as $course) {
            $decider = $this->plans->live($course);
            $view = $decider === null ? null : new LearnerView($decider, Viewers::visitor(), $this->clock);
            if ($decider === null || $view === null || ! $view->isVisible() || $decider->course->state !== CourseState::Live) {
                continue;
            }
            [, $lessons] = $view->progress();
            $front[] = new FrontCourse($course->key, $view->title(), $lessons, $view->openLessons(), match ($decider->course->entry) {
                Entry::Anyone => 'Open to anyone',
                Entry::Signup => 'For whoever signs up',
                Entry::Offer => 'By offer',
                default => 'By invitation',
            });
        }

        return $front;
    }

    /** @return list<MyCourse> the courses with anything open to them, and those they, or whom they look with, hold a pass of */
    public function coursesOf(Person $person, ?Person $observed = null): array
    {
        $courses = Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->orderBy('id')->get();
        $all = $this->viewers->ofAll(new Collection(array_filter([$person, $observed])), $courses->toBase());
        $viewers = $all[$person->id] ?? [];
        $mine = [];
        foreach ($courses as $course) {
            $decider = $this->plans->live($course);
            $viewer = $viewers[$course->id] ?? null;
            if ($decider === null || $viewer === null) {
                continue;
            }
            $learner = $observed === null ? null : $all[$observed->id][$course->id] ?? null;
            if ($learner !== null) {
                $viewer = Viewers::lookingWith($viewer->signedIn(), $learner);
            }
            $view = new LearnerView($decider, $viewer, $this->clock);
            $open = $view->somethingOpen() !== null;
            if (! $view->isVisible() || (! $open && ($learner ?? $viewer)->passes === [])) {
                continue;
            }
            [$finished, $lessons] = $view->progress();
            $detail = $view->passWords() ?? (($learner ?? $viewer)->passes === [] ? ($decider->course->entry->value === 'anyone' ? 'Open to anyone' : 'Samples to look at') : 'Your pass is not active');
            $mine[] = new MyCourse($course->key, $view->title(), $detail, $lessons, $finished);
        }

        return $mine;
    }
}
