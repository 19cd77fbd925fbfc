<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Drafts\RunAgain\CourseDates;
use App\Drafts\RunAgain\MovedDates;
use App\Drafts\RunAgain\ShiftDates;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentDate;
use App\Models\Holidays;
use App\Notices\NextRuns\TellOfNextRun;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\Sightlines\Vantages\RulesVersion;
use App\Words\RuleWords;
use App\Words\Say;

/** Puts together what is seen of running a course again. */
final readonly class RunAgainPageBuilder
{
    public function __construct(private SchoolClock $clock, private SchoolOf $school, private TellOfNextRun $tell)
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
            next: substr(MovedDates::shifted(($dates->firstDay() ?? $today).'T00:00', 7 * $weeks), 0, 10),
            hasHolidays: ($this->school)()->holidays !== [],
            isRetired: $document->read()->state() === 'retired',
            takes: $course->takes_next_run,
            waiting: TellOfNextRun::waiting($course),
            runs: $this->tell->runs($course),
            mayEdit: $mayEdit,
            mayRun: $mayRun,
        );
    }

    /** The edit that moves them so. */
    public function shift(Course $course, string $first, bool $keepsWeekdays, bool $skipsHolidays, bool $reopens): ShiftDates
    {
        return new ShiftDates(CourseDates::of(self::document($course))->daysTo($first, $keepsWeekdays), $reopens, $skipsHolidays ? ($this->school)()->holidays : [], $keepsWeekdays);
    }

    public function moved(Course $course, string $first, bool $keepsWeekdays, bool $skipsHolidays): ShiftedDates
    {
        $document = self::document($course);
        $dates = CourseDates::of($document);
        $days = $dates->daysTo($first, $keepsWeekdays);
        $moved = MovedDates::of($dates, $days, new Holidays($skipsHolidays ? ($this->school)()->holidays : []), $keepsWeekdays);
        $holidays = new Holidays(($this->school)()->holidays);
        $plans = count($document->read()->planNames()) > 1;
        $rows = array_map(static fn (DocumentDate $date): ShiftedDate => new ShiftedDate(
            self::what($document, $date),
            $plans ? $date->plan : null,
            RuleWords::local($date->at),
            RuleWords::local($moved->at($date->at)),
            $holidays->has(substr($moved->at($date->at), 0, 10)),
        ), $dates->dates);

        return new ShiftedDates($days, $rows[0]->after ?? '', $moved->skipped, $rows);
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
