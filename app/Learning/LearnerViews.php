<?php

declare(strict_types=1);

namespace App\Learning;

use App\Access\Looker;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Course;
use App\Words\Say;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Viewing\Viewer;

/** Courses in the eyes of whoever looks. */
final readonly class LearnerViews
{
    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock)
    {
    }

    /** As it is to whoever is at the other end now; null where the course was never published. */
    public function at(Course $course, Looker $looker): ?LearnerView
    {
        $as = $looker->observed !== null ? Say::text('learner.as.with', ['name' => $looker->observed->name]) : ($looker->guest ? Say::text('learner.as.guest') : null);

        return $this->published($course, $this->viewers->lookingAt($looker, $course), $as);
    }

    /**
     * As it is published, to a viewer; null where it never was.
     *
     * @param  ?string  $as  how one looks, where not as oneself
     * @param  ?int  $at  instant; null: now
     */
    public function published(Course $course, Viewer $viewer, ?string $as = null, ?int $at = null): ?LearnerView
    {
        $decider = $this->plans->live($course);
        $clock = $at === null ? $this->clock : $this->clock->stoppedAt($at);

        return $decider === null ? null : new LearnerView($this->plans->ask($decider, $viewer, $clock->now()), $clock, $as, $course->getRouteKey());
    }

    /** As it is published; by its key, where it never was. */
    public function titleOf(Course $course): string
    {
        return $this->plans->live($course)->course->title ?? $course->key;
    }

    /** By any rules, at the instant of any clock. */
    public function of(Decider $decider, Viewer $viewer, SchoolClock $clock, ?string $as = null): LearnerView
    {
        return new LearnerView($this->plans->ask($decider, $viewer, $clock->now()), $clock, $as);
    }
}
