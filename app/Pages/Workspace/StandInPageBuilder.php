<?php

declare(strict_types=1);

namespace App\Pages\Workspace;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Learning\LearnerViews;
use App\Learning\Reading;
use App\Models\Course;
use App\Notices\SentAway;
use App\Pages\Learner\BoardPage;
use App\Pages\Learner\Closed\NoticePage;
use App\Pages\Learner\CoursePage;
use App\Pages\Learner\CoursePageBuilder;
use App\Pages\Learner\LessonPage;
use App\Pages\Shared\StandIn;
use App\Sightlines\Vantages\Look;
use App\Sightlines\Vantages\RulesVersion;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Vantages\Vantage;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Sightlines\Vantages\VantageWords;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\State;

/** Shows an administrator the learner's side as somebody else meets it, at any instant. Nothing is ever recorded by it. */
final readonly class StandInPageBuilder
{
    public function __construct(
        private Plans $plans,
        private Vantages $vantages,
        private VantageWords $words,
        private SchoolClock $clock,
        private CoursePageBuilder $pages,
        private LearnerViews $views,
    ) {
    }

    /** Null where nobody is there to be stood in for. */
    public function frame(Course $course, Look $look, ?string $item): ?StandInPage
    {
        $decider = $this->plans->of(SightlinesPageBuilder::seen($course, $look->see));
        $name = fn (SeenFrom $seen): Vantage => $this->words->of($seen, $decider);
        $usual = $this->vantages->usual($decider);
        $now = $this->clock->now();
        $seen = $look->points === null ? $this->first($course, $decider, $usual, $item) : $this->vantages->stand($course, $decider, array_slice($look->points, 0, 2));
        if ($seen === []) {
            return null;
        }

        return new StandInPage(
            course: $course->key,
            title: $decider->course->title ?? $course->key,
            vantages: array_map($name, $seen),
            others: array_map($name, $this->vantages->stand($course, $decider, $usual)),
            at: $look->at ?? $now,
            now: $now,
            see: $look->see->value,
            offsets: $this->clock->offsets(),
            item: $item !== null && $decider->course->outline->positionOf($item) !== null ? $item : null,
            hasDraft: $course->draft !== null && $course->liveRevision !== null,
        );
    }

    /**
     * Whoever is looked with where nobody is named: the first to whom the item is open, so that one sees what it holds.
     *
     * @param  list<VantagePoint>  $usual
     * @return list<SeenFrom>
     */
    private function first(Course $course, Decider $decider, array $usual, ?string $item): array
    {
        $all = $this->vantages->stand($course, $decider, $item === null ? array_slice($usual, 0, 1) : $usual);
        foreach ($all as $seen) {
            if ($item !== null && $this->views->of($decider, $seen->viewer, $this->clock)->decision($item)?->state === State::Open) {
                return [$seen];
            }
        }

        return array_slice($all, 0, 1);
    }

    /**
     * The page itself, as its viewer would get it, and what says that it is not theirs; null where nobody is there. The page is
     * null where its viewer would be told that there is none.
     *
     * @param  string  $bearer  for whom addresses of media are made: whoever stands in
     * @return ?array{CoursePage|LessonPage|BoardPage|NoticePage|SentAway|null, StandIn}
     */
    public function page(Course $course, Look $look, ?string $item, string $bearer): ?array
    {
        $decider = $this->plans->of(SightlinesPageBuilder::seen($course, $look->see));
        $seen = $this->vantages->stand($course, $decider, $look->points ?? [VantagePoint::visitor()])[0] ?? null;
        if ($seen === null) {
            return null;
        }
        $clock = $this->clock->stoppedAt($look->at ?? $this->clock->now());
        $view = $this->views->of($decider, $seen->viewer, $clock);
        $standIn = new StandIn(
            $this->words->of($seen, $decider)->name,
            $seen->viewer->signedIn,
            $this->clock->words($clock->now()),
            route('keep.stand-in.view', [$course], false),
            http_build_query(['v' => [(string) $seen->point], 'see' => $look->see->value, ...($look->at === null ? [] : ['at' => gmdate('Y-m-d\TH:i:s\Z', $look->at)])]),
        );

        return [$item === null ? $this->pages->course($course, $view, $seen->viewer->observes === null ? $seen->person?->id : null, $seen->viewer->observes === null ? $seen->person : null, drafted: $look->see === RulesVersion::Draft) : $this->pages->item($course, $view, $item, new Reading($bearer, $seen->viewer->signedIn ? null : '', $seen->viewer->observes === null ? $seen->person : null, $seen->person?->id, real: false, drafted: $look->see === RulesVersion::Draft)), $standIn];
    }
}
