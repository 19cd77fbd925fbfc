<?php

declare(strict_types=1);

namespace App\Pages\Learner\Shared;

use App\Access\SchoolAddress;
use App\Access\SchoolOf;
use App\Access\Viewers;
use App\Learning\CourseSummaries;
use App\Learning\CourseSummary;
use App\Models\Course;
use App\Pages\Learner\CoursePage;
use App\Pages\Learner\FrontPage;
use App\Pages\Learner\LessonPage;
use SilentKeep\Core\Outline\Entry;

/**
 * Which pages are for everybody to find, and what they say of themselves there. A course that is hidden, or by invitation, is found
 * nowhere: neither by its page, nor by its picture, nor in the list of addresses.
 */
final readonly class PublicPages
{
    public function __construct(private CourseSummaries $summaries, private SchoolOf $school)
    {
    }

    public function front(FrontPage $page): PageHead
    {
        $school = ($this->school)();

        return PageHead::found('', $school->name, trim("{$page->heading}. {$page->text}"), SchoolAddress::of('home', []), SchoolAddress::of('share', []));
    }

    public function course(Course $course, CoursePage $page): PageHead
    {
        $summary = $this->find($course);
        $described = $page->face->sentence !== '' ? $page->face->sentence : $page->face->about;

        return $summary === null ? $this->hidden($page->course->title) : PageHead::found($page->course->title, ($this->school)()->name, $described, SchoolAddress::of('course', ['course' => $summary->key]), SchoolAddress::of('share.course', ['course' => $summary->key]));
    }

    /** Of a lesson only a sample is found, which anybody may read. */
    public function lesson(Course $course, LessonPage $page): PageHead
    {
        $summary = $this->find($course);

        return $summary === null || ! in_array($page->item->key, $summary->openTo, true) ? $this->hidden($page->item->title)
            : PageHead::found("{$page->item->title} · {$summary->title}", ($this->school)()->name, $page->html, SchoolAddress::of('lesson', ['course' => $summary->key, 'item' => $page->item->key]), SchoolAddress::of('share.course', ['course' => $summary->key]));
    }

    public function hidden(string $title): PageHead
    {
        return PageHead::hidden($title, ($this->school)()->name);
    }

    /** The title of a course that is for everybody to find; null: it is not. */
    public function titleOf(Course $course): ?string
    {
        return $this->find($course)?->title;
    }

    /** @return list<string> the addresses of all that is for everybody to find */
    public function addresses(): array
    {
        $addresses = [SchoolAddress::of('home', [])];
        foreach ($this->found() as $summary) {
            $addresses[] = SchoolAddress::of('course', ['course' => $summary->key]);
            foreach ($summary->openTo as $item) {
                $addresses[] = SchoolAddress::of('lesson', ['course' => $summary->key, 'item' => $item]);
            }
        }

        return $addresses;
    }

    private function find(Course $course): ?CourseSummary
    {
        return $course->hidden ? null : $this->found()[$course->id] ?? null;
    }

    /** @return array<int, CourseSummary> by the course's id */
    private function found(): array
    {
        $all = $this->summaries->all(static fn (array $courses): array => array_fill_keys($courses, Viewers::visitor()), 0);

        return array_filter($all, static fn (CourseSummary $summary): bool => $summary->visible && ! $summary->isOver && $summary->entry !== Entry::Invite);
    }
}
