<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Learning\LearnerView;
use App\Learning\LearnerViews;
use App\Models\Course;
use App\Models\NoticeText;
use App\Notices\Met\Meetings;
use App\Notices\NoticeCase;
use App\Notices\NoticeLevel;
use App\Notices\NoticeTexts;
use App\Notices\SentAway;
use App\Notices\StandingWords;
use App\Pages\Learner\Closed\NoticePage;
use App\Pages\Learner\CoursePageBuilder;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\Sightlines\Vantages\Look;
use App\Sightlines\Vantages\Vantages;
use SilentKeep\Core\Deciding\State;

/** Puts together what the sheet of the Notices lens shows. */
final readonly class NoticeMetBuilder
{
    /** Of the words of a level. */
    private const SHOWN = 60;

    public function __construct(
        private Plans $plans,
        private Vantages $vantages,
        private SchoolClock $clock,
        private LearnerViews $views,
        private CoursePageBuilder $pages,
        private NoticeTexts $texts,
        private Meetings $meetings,
    ) {
    }

    /** Null where there is no such row or vantage, or the row is not closed to it. */
    public function of(Course $course, Look $look, string $item, string $bearer): ?NoticeMet
    {
        $decider = $this->plans->of(SightlinesPageBuilder::seen($course, $look->see));
        $seen = $this->vantages->stand($course, $decider, $look->points ?? [])[0] ?? null;
        $view = $seen === null ? null : $this->views->of($decider, $seen->viewer, $this->clock->stoppedAt(max($look->at ?? $this->clock->now(), $this->clock->now())));
        $decision = $view?->decision($item);
        if ($seen === null || $view === null || $decision === null || $decision->state === State::Open) {
            return null;
        }
        $page = $this->pages->item($course, $view, $item, ReadBy::vantage($seen, $bearer));
        $case = NoticeCase::of($view->told($item) ?? $decision);

        return new NoticeMet(
            $case->value,
            $case->words(),
            $page instanceof NoticePage ? $page : null,
            $page instanceof SentAway ? $page->address : null,
            $this->levels($course, $view, $item, $case),
            $this->meetings->at($course, $item, $case->value),
        );
    }

    /** @return list<NoticeMetLevel> each level, whether anything is said there or not */
    private function levels(Course $course, LearnerView $view, string $item, NoticeCase $case): array
    {
        $outline = $view->answer->decider->course->outline;
        $path = $outline->keysUp($outline->positionOf($item) ?? 0);
        $standing = $this->texts->at($course, $path, $view->answer->offersHeld(), $case);
        $first = $standing[0] ?? null;
        $levels = [];
        foreach ([...$path, null] as $index => $key) {
            $level = match (true) {
                $key === null => NoticeLevel::Course,
                $index === 0 => NoticeLevel::Own,
                default => NoticeLevel::Module,
            };
            $here = array_values(array_filter($standing, static fn (StandingWords $one): bool => $one->level === $level && $one->item === $key));
            foreach ($here === [] ? [null] : $here as $one) {
                $levels[] = $this->level($view, $level, $key, $one, $one !== null && $one === $first);
            }
        }
        $school = array_values(array_filter($standing, static fn (StandingWords $one): bool => $one->level === NoticeLevel::School))[0] ?? null;

        return [...$levels, $this->level($view, NoticeLevel::School, null, $school, $school !== null && $school === $first), new NoticeMetLevel(NoticeLevel::Usual->value, null, null, null, null, null, $first === null)];
    }

    private function level(LearnerView $view, NoticeLevel $level, ?string $item, ?StandingWords $words, bool $holds): NoticeMetLevel
    {
        $course = $view->answer->decider->course;
        $position = $item === null ? null : $course->outline->positionOf($item);
        $offer = $words?->text->offer_key;

        return new NoticeMetLevel(
            $level->value,
            $item,
            $position === null ? null : $course->outline->items[$position]->title ?? $item,
            $offer,
            $offer === null ? null : $view->answer->decider->prepared->plan->offer($offer)->title ?? $offer,
            $words === null ? null : self::shown($words->text),
            $holds,
        );
    }

    private static function shown(NoticeText $text): string
    {
        $words = match (true) {
            $text->way === 'address' => (string) $text->address,
            $text->heading !== '' => $text->heading,
            default => trim((string) preg_replace('/\s+/', ' ', $text->text)),
        };

        return mb_strlen($words) > self::SHOWN ? mb_substr($words, 0, self::SHOWN - 1).'…' : $words;
    }
}
