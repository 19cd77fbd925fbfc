<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Access\SchoolClock;
use App\Models\Course;
use App\Models\Pass;
use App\Sightlines\Vantages\Look;
use App\Words\Differences;
use Illuminate\Support\Facades\DB;

/** The list of courses, for those who look after them. */
final readonly class CoursesPageBuilder
{
    public function __construct(private CourseHeadBuilder $heads, private SchoolClock $clock)
    {
    }

    public function named(string $key): ?Course
    {
        return Course::query()->with(['liveRevision', 'draft'])->where('key', $key)->first();
    }

    /** @return list<CourseRow> */
    public function list(): array
    {
        $courses = Course::query()->with(['liveRevision', 'draft'])->orderBy('id')->get();
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $holders = Pass::query()->select('course_id', DB::raw('count(distinct person_id) as holders'))
            ->where('state', 'active')->where('starts_at', '<=', $now)
            ->where(fn ($query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $now))
            ->groupBy('course_id')->pluck('holders', 'course_id');
        $rows = [];
        foreach ($courses as $course) {
            [$live, $draft] = $this->heads->documents($course);
            $shown = $draft ?? $live;
            if ($shown === null) {
                continue;
            }
            $lessons = count(array_filter(iterator_to_array($shown->items(), false), static fn (\stdClass $item): bool => ($item->kind ?? null) === 'lesson'));
            $revision = $course->liveRevision;
            $rows[] = new CourseRow(
                $course->key,
                $shown->title(),
                CourseHeadBuilder::text($shown->course, 'state'),
                CourseHeadBuilder::entryWords($shown),
                $lessons,
                is_numeric($holders[$course->id] ?? null) ? (int) $holders[$course->id] : 0,
                $revision?->number,
                $revision === null ? null : $this->clock->words($revision->published_at->getTimestamp()),
                $draft === null ? 0 : count(Differences::between($live, $draft)->sentences),
                $course->draft?->publish_at === null ? null : $this->clock->words($course->draft->publish_at->getTimestamp()),
                $course->draft?->publish_refused !== null,
            );
        }

        return $rows;
    }
}
