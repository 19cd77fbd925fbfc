<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
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
        $found = ($this->all()[$course][1] ?? null)?->readItems()[$item] ?? null;

        return $found === null ? $item : $found->title();
    }

    /** @return list<string> keys of the lessons that are asked for: no draft, nor in one, and not optional, nor in something optional */
    public function lessons(int $course): array
    {
        $document = $this->all()[$course][1] ?? null;
        $lessons = [];
        foreach ($document?->read()->places() ?? [] as $place) {
            if (! $place->isDraft && ! $place->isOptional && $place->item->isLesson()) {
                $lessons[] = $place->item->key();
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

    /**
     * @param  list<int>  $first  ids of courses that stand before the others
     * @param  bool  $withWaiting  with the rows that are in drafts alone
     * @return list<CoursePick>
     */
    public function picks(bool $withRows, array $first = [], bool $withWaiting = false): array
    {
        $picks = $others = [];
        $drafts = $withWaiting ? Draft::query()->whereIn('course_id', array_keys($this->all()))->get(['id', 'course_id', 'document'])->keyBy('course_id') : collect();
        foreach ($this->all() as $id => [$course, $document]) {
            $draft = $drafts->get($id);
            $waiting = $draft === null ? [] : array_values(array_filter(self::rowsOf(CourseDocument::fromJson($draft->document)), static fn (OutlineRow $row): bool => ! isset($document->readItems()[$row->key])));
            $pick = new CoursePick($course->key, $document->title(), $withRows ? $this->rows($id) : [], $waiting);
            $place = array_search($id, $first, true);
            $place === false ? $others[] = $pick : $picks[$place] = $pick;
        }
        ksort($picks);

        return [...$picks, ...$others];
    }

    /** @return list<OutlineRow> of a published course */
    public function rows(int $course): array
    {
        $document = $this->all()[$course][1] ?? null;

        return $document === null ? [] : self::rowsOf($document);
    }

    /** @return list<OutlineRow> */
    private static function rowsOf(CourseDocument $document): array
    {
        $rows = [];
        foreach ($document->read()->places() as $place) {
            $rows[] = new OutlineRow($place->item->key(), $place->item->title(), $place->item->kind(), $place->depth(), $place->isDraft);
        }

        return $rows;
    }

    /** @return list<OfferPick> of published offers, under their present names, with their courses' keys as plans */
    public function offers(): array
    {
        $picks = [];
        foreach (Offer::query()->with('course')->orderBy('course_id')->orderBy('id')->get() as $offer) {
            $published = $this->all()[$offer->course_id][1] ?? null;
            if ($published?->hasOffer($offer->key) === true) {
                $picks[] = new OfferPick($offer->key, $offer->name, $offer->course->key);
            }
        }

        return $picks;
    }
}
