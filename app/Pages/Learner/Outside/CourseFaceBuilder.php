<?php

declare(strict_types=1);

namespace App\Pages\Learner\Outside;

use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Front\CourseSizes;
use App\Front\Covers;
use App\Front\Sizes;
use App\Front\Takes;
use App\Learning\LearnerView;
use App\Learning\PathRow;
use App\Models\Course;
use App\Models\CourseFace;
use App\Pages\Shared\ReadyTexts;
use App\Words\Glyph;
use App\Words\Say;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;

/** What a course shows of itself to one viewer: of what is hidden from them nothing is counted. */
final readonly class CourseFaceBuilder
{
    public function __construct(private Covers $covers, private Sizes $sizes, private SchoolOf $school, private SchoolClock $clock, private ReadyTexts $texts)
    {
    }

    /** @param  list<PathRow>  $rows  of which they may know */
    public function of(Course $course, LearnerView $view, array $rows): CourseFaceTold
    {
        $face = CourseFace::query()->find($course->id) ?? new CourseFace;
        $school = ($this->school)();
        $sizes = $this->sizes->of($course->id);
        $known = array_map(static fn (PathRow $row): string => $row->key, array_filter($rows, static fn (PathRow $row): bool => in_array($row->kind, [Kind::Lesson->value, Kind::Part->value], true)));
        $lessons = count(array_filter($rows, static fn (PathRow $row): bool => $row->kind === Kind::Lesson->value));
        $all = $sizes->together(array_values($known));

        $texts = $this->texts->all("face {$course->id}", [$course->about, ...array_column($face->questions, 'answer')]);

        return new CourseFaceTold(
            $this->covers->of($face, $course->key),
            $face->sentence,
            $texts[0] ?? '',
            $face->outcomes,
            array_map(static fn (array $question, int $nth): AskedQuestion => new AskedQuestion($question['ask'], $texts[$nth + 1] ?? ''), $face->questions, array_keys($face->questions)),
            Takes::lessons($lessons, $all->films, $sizes->quizzes(array_values($known)), $all->minutes),
            $this->season($view),
            self::holds($view->answer->decider->course->outline, $rows, $sizes),
            $face->contact_email === null ? $school->contact_name : $face->contact_name ?? $school->contact_name,
            $face->contact_email ?? $school->contact_email,
        );
    }

    private function season(LearnerView $view): ?string
    {
        [$opens, $closes] = [$view->answer->decider->course->opens, $view->answer->decider->course->closes];
        $with = ['from' => $opens === null ? '' : $this->clock->date($opens), 'until' => $closes === null ? '' : $this->clock->date($closes)];

        return match (true) {
            $opens !== null && $closes !== null => Say::text('front.season.both', $with),
            $opens !== null && $opens > $view->answer->at => Say::text('front.season.from', $with),
            $closes !== null => Say::text('front.season.until', $with),
            default => null,
        };
    }

    /**
     * @param  list<PathRow>  $rows
     * @return list<string>
     */
    private static function holds(Outline $outline, array $rows, CourseSizes $sizes): array
    {
        return array_map(static function (PathRow $row) use ($outline, $rows, $sizes): string {
            if ($row->kind === Kind::Module->value) {
                return self::module($outline, $rows, $sizes, $outline->positionOf($row->key) ?? 0);
            }
            $takes = Takes::lesson($sizes->of($row->key));

            return $row->glyph === Glyph::Sample->value ? implode(', ', array_filter([Say::text('front.rows.look'), $takes], static fn (string $one): bool => $one !== '')) : $takes;
        }, $rows);
    }

    /** @param  list<PathRow>  $rows */
    private static function module(Outline $outline, array $rows, CourseSizes $sizes, int $module): string
    {
        $inside = array_filter($rows, static function (PathRow $row) use ($outline, $module): bool {
            $position = $outline->positionOf($row->key) ?? 0;

            return $position > $module && $position < $outline->end[$module];
        });
        $lessons = count(array_filter($inside, static fn (PathRow $row): bool => $row->kind === Kind::Lesson->value));
        $size = $sizes->together(array_values(array_map(static fn (PathRow $row): string => $row->key, $inside)));
        $takes = $lessons === 0 ? '' : Takes::lessons($lessons, $size->films, 0, $size->minutes);

        return implode(', ', array_filter([$takes, $outline->items[$module]->inOrder ? Say::text('front.rows.in_order') : ''], static fn (string $one): bool => $one !== ''));
    }
}
