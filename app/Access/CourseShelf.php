<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Offer;

/** The published courses of the school, as far as lists of people need them. Read once a request. */
final class CourseShelf
{
    /** @var ?array<int, array{Course, CourseDocument}> by id */
    private ?array $courses = null;

    /** @return array<int, array{Course, CourseDocument}> by id, those that were published */
    public function all(): array
    {
        if ($this->courses === null) {
            $this->courses = [];
            foreach (Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->orderBy('id')->get() as $course) {
                if ($course->liveRevision !== null) {
                    $this->courses[$course->id] = [$course, CourseDocument::fromJson($course->liveRevision->document)];
                }
            }
        }

        return $this->courses;
    }

    public function title(int $course): string
    {
        return isset($this->all()[$course]) ? $this->all()[$course][1]->title() : '';
    }

    public function itemTitle(int $course, string $item): string
    {
        $found = ($this->all()[$course][1] ?? null)?->item($item);

        return $found === null ? $item : CourseDocument::titleOf($found);
    }

    /** @return list<string> keys of the lessons that are no draft, nor in one */
    public function lessons(int $course): array
    {
        $document = $this->all()[$course][1] ?? null;
        $lessons = [];
        foreach ($document === null ? [] : self::walk($document->course, 0, false) as [$item, , $draft]) {
            if (! $draft && ($item->kind ?? null) === 'lesson' && is_string($item->key)) {
                $lessons[] = $item->key;
            }
        }

        return $lessons;
    }

    public function byKey(string $key): ?Course
    {
        foreach ($this->all() as [$course]) {
            if ($course->key === $key) {
                return $course;
            }
        }

        return null;
    }

    /** @return list<CoursePick> */
    public function picks(bool $withRows): array
    {
        $picks = [];
        foreach ($this->all() as [$course, $document]) {
            $rows = [];
            foreach ($withRows ? self::walk($document->course, 0, false) : [] as [$item, $depth, $draft]) {
                $rows[] = new OutlineRow(is_string($item->key) ? $item->key : '', CourseDocument::titleOf($item), is_string($item->kind ?? null) ? $item->kind : '', $depth, $draft);
            }
            $picks[] = new CoursePick($course->key, $document->title(), $rows);
        }

        return $picks;
    }

    /** @return list<OfferPick> of published offers, under their present names, with their courses' keys as plans */
    public function offers(): array
    {
        $picks = [];
        foreach (Offer::query()->with('course')->orderBy('course_id')->orderBy('id')->get() as $offer) {
            $published = $this->all()[$offer->course_id][1] ?? null;
            if ($published !== null && array_filter($published->offers, static fn (\stdClass $one): bool => ($one->key ?? null) === $offer->key) !== []) {
                $picks[] = new OfferPick($offer->key, $offer->name, $offer->course->key);
            }
        }

        return $picks;
    }

    /** @return \Generator<int, array{\stdClass, int, bool}> item, depth, whether it is a draft */
    private static function walk(\stdClass $container, int $depth, bool $draft): \Generator
    {
        foreach (is_array($container->items ?? null) ? $container->items : [] as $item) {
            if ($item instanceof \stdClass) {
                $isDraft = $draft || ($item->draft ?? false) === true;
                yield [$item, $depth, $isDraft];
                foreach (self::walk($item, $depth + 1, $isDraft) as $inside) {
                    yield $inside;
                }
            }
        }
    }
}
