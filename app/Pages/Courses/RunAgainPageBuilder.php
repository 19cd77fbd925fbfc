<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Access\SchoolClock;
use App\Drafts\RunAgain\CourseDates;
use App\Drafts\RunAgain\ShiftDates;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentDate;
use App\Notices\NextRuns\TellOfNextRun;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\Sightlines\Vantages\RulesVersion;
use App\Words\RuleWords;
use App\Words\Say;

/** Puts together what is seen of running a course again. */
final readonly class RunAgainPageBuilder
{
    public function __construct(private SchoolClock $clock, private TellOfNextRun $tell)
    {
    }

    public function page(Course $course, bool $mayEdit, bool $mayRun): RunAgainPage
    {
        $document = self::document($course);
        $dates = CourseDates::of($document);
        $today = substr($this->clock->wall($this->clock->now()), 0, 10);
        $weeks = $dates->firstDay() === null ? 0 : max(1, (int) ceil((strtotime($today) - strtotime($dates->firstDay())) / (7 * 86400)));

        return new RunAgainPage(
            course: $course->key,
            title: $document->title(),
            version: $course->draft->version ?? 0,
            first: $dates->firstDay(),
            next: substr(ShiftDates::moved(($dates->firstDay() ?? $today).'T00:00', 7 * $weeks), 0, 10),
            isRetired: $document->read()->state() === 'retired',
            takes: $course->takes_next_run,
            waiting: TellOfNextRun::waiting($course),
            runs: $this->tell->runs($course),
            mayEdit: $mayEdit,
            mayRun: $mayRun,
        );
    }

    public function days(Course $course, string $first, bool $keepsWeekdays): int
    {
        return CourseDates::of(self::document($course))->daysTo($first, $keepsWeekdays);
    }

    public function moved(Course $course, string $first, bool $keepsWeekdays): ShiftedDates
    {
        $document = self::document($course);
        $dates = CourseDates::of($document);
        $days = $dates->daysTo($first, $keepsWeekdays);
        $plans = count($document->read()->planNames()) > 1;
        $rows = array_map(static fn (DocumentDate $date): ShiftedDate => new ShiftedDate(
            self::what($document, $date),
            $plans ? $date->plan : null,
            RuleWords::local($date->at),
            RuleWords::local(ShiftDates::moved($date->at, $days)),
        ), $dates->dates);

        return new ShiftedDates($days, $rows[0]->after ?? '', $rows);
    }

    private static function what(CourseDocument $document, DocumentDate $date): string
    {
        $offer = null;
        foreach ($document->readOffers() as $one) {
            $offer = $one->key() === $date->offer ? $one->title() : $offer;
        }

        return Say::text("pages.run_again.{$date->what}", ['title' => ($date->item === null ? null : $document->readItems()[$date->item] ?? null)?->title() ?? $offer ?? '']);
    }

    private static function document(Course $course): CourseDocument
    {
        return SightlinesPageBuilder::seen($course, RulesVersion::Draft);
    }
}
