<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Access\Kept;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Drafts\DraftedContent;
use App\Models\Content;
use App\Models\Course;
use App\Models\Document\DocumentItem;
use App\Sightlines\Vantages\Look;
use App\Words\Differences;
use Illuminate\Support\Collection;

/** The list of courses, for those who look after them. */
final readonly class CoursesPageBuilder
{
    public function __construct(private CourseHeadBuilder $heads, private Plans $plans, private Kept $kept, private SchoolClock $clock, private HoldersNow $holders)
    {
    }

    public function named(string $key): ?Course
    {
        return Course::query()->with(['liveRevision', 'draft'])->where('key', $key)->first();
    }

    /**
     * @param  ?list<int>  $only  ids; null: all
     * @return list<CourseRow>
     */
    public function list(?array $only = null): array
    {
        // Without their documents: those are read only where what they come to is not known yet.
        $courses = Course::query()->with(['liveRevision:id,number,published_at', 'draft:id,course_id,version,updated_at,publish_at,publish_refused'])->when($only !== null, static fn ($query) => $query->whereIntegerInRaw('id', $only ?? []))->orderBy('id')->get();
        $holders = $this->holders->all();
        $sums = $this->sums($courses);
        $rows = [];
        foreach ($courses as $course) {
            $sum = $sums[$course->id] ?? null;
            $revision = $course->liveRevision;
            if ($sum !== null) {
                $rows[] = new CourseRow(
                    $course->key,
                    $sum->title,
                    $sum->state,
                    $sum->entry,
                    $sum->lessons,
                    $holders[$course->id] ?? 0,
                    $revision?->number,
                    $revision === null ? null : $this->clock->words($revision->published_at->getTimestamp()),
                    $sum->changes,
                    $course->draft?->publish_at === null ? null : $this->clock->words($course->draft->publish_at->getTimestamp()),
                    $course->draft?->publish_refused !== null,
                );
            }
        }

        return $rows;
    }

    /**
     * @param  Collection<int, Course>  $courses
     * @return array<int, CourseSum> by the course's id
     */
    private function sums(Collection $courses): array
    {
        $published = $this->plans->stamps();
        $drafted = Content::query()->whereNotNull('drafted')->groupBy('course_id')->toBase()->selectRaw('course_id, count(*) as items, sum(drafted_version) as times')->get()->keyBy('course_id');
        $stamps = [];
        foreach ($courses as $course) {
            $draft = $course->draft;
            $stamps[$course->id] = ($published[$course->id] ?? '').($draft === null ? '' : " {$draft->id} {$draft->version} {$draft->updated_at} ".json_encode($drafted[$course->id] ?? null));
        }

        return $this->kept->all('course-list', CourseSum::class, $stamps, function (array $missing): array {
            $sums = [];
            foreach (Course::query()->with(['liveRevision', 'draft'])->whereIn('id', $missing)->get() as $course) {
                [$live, $draft] = $this->heads->documents($course);
                $shown = $draft ?? $live;
                if ($shown !== null) {
                    $sums[$course->id] = new CourseSum(
                        $shown->title(),
                        $shown->read()->state(),
                        CourseHeadBuilder::entryWords($shown),
                        count(array_filter($shown->readItems(), static fn (DocumentItem $item): bool => $item->isLesson())),
                        $draft === null ? 0 : count(Differences::between($live, $draft)->sentences) + count(DraftedContent::of($course, $draft)),
                    );
                }
            }

            return $sums;
        });
    }
}
