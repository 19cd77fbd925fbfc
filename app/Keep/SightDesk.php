<?php

declare(strict_types=1);

namespace App\Keep;

use App\Http\Pages\Keep\SightlinesGrid;
use App\Keep\Vantages\Look;
use App\Keep\Vantages\See;
use App\Keep\Views\RuleTable;
use App\Keep\Views\Sightlines;
use App\Models\Course;
use SilentKeep\Core\Deciding\Decider;

/** Puts together what an administrator asks about what others see, beside the pages themselves. */
final readonly class SightDesk
{
    public function __construct(private Plans $plans, private Sightlines $sightlines, private SchoolClock $clock)
    {
    }

    /** The grid of Sightlines over time, and with what the Timeline shows besides. */
    public function overTime(Course $course, Look $look, bool $timeline): SightlinesGrid
    {
        $document = self::seen($course, $look->see);
        $live = $look->see === See::Both && $course->draft !== null && $course->liveRevision !== null ? $this->plans->live($course) : null;
        $rules = $timeline ? new RuleTable($document, null, null, $this->clock->year(), $this->plans->schoolLetsGuestsIn()) : null;

        return $this->sightlines->overTime($course, $this->plans->of($document), $live, $look, $rules);
    }

    /** The rules that are looked at: those of the draft, where there is one and it is not what is published that is wanted. */
    public static function seen(Course $course, See $see): CourseDocument
    {
        $live = $course->liveRevision?->document;
        $draft = $course->draft?->document;
        $document = $see === See::Published ? $live ?? $draft : $draft ?? $live;

        return CourseDocument::fromJson($document ?? throw new \LogicException('A course has a revision or a draft.'));
    }

    public function decider(Course $course, See $see): Decider
    {
        return $this->plans->of(self::seen($course, $see));
    }
}
