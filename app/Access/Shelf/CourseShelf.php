<?php

declare(strict_types=1);

namespace App\Access\Shelf;

use App\Access\Kept;
use App\Database\Lists;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Models\Draft;
use App\Models\Revision;
use Illuminate\Support\Facades\DB;

/** The published courses of the school, as far as lists of people need them. Read once a request. */
final class CourseShelf
{
    /** How many courses bring their rows to a page. */
    private const FEW = 12;

    /** So many documents are read one by one, as they are asked for; whoever asks for more asks for many. */
    private const ONE_BY_ONE = 3;

    /** @var ?array<int, Course> by id */
    private ?array $courses = null;

    /** @var array<int, CourseDocument> by id, as far as they were read */
    private array $documents = [];

    /** @var array<int, array<array-key, string>> by id, by key of the item */
    private array $itemTitles = [];

    /** @var ?array<int, ShelfMark> by id */
    private ?array $marks = null;

    /** How many documents were asked for that had not been read. */
    private int $asked = 0;

    public function __construct(private readonly Kept $kept)
    {
    }

    /** @return array<int, array{Course, CourseDocument}> by id, those that were published */
    public function all(): array
    {
        $this->read(array_keys($this->courses()));
        $all = [];
        foreach ($this->courses() as $id => $course) {
            if (isset($this->documents[$id])) {
                $all[$id] = [$course, $this->documents[$id]];
            }
        }

        return $all;
    }

    /** @return array<int, Course> by id, those that were published */
    public function courses(): array
    {
        return $this->courses ??= Course::query()->whereNotNull('live_revision_id')->orderBy('id')->get()->keyBy('id')->all();
    }

    /** Null where it was never published. */
    public function course(int $id): ?Course
    {
        return $this->courses()[$id] ?? null;
    }

    public function document(int $course): ?CourseDocument
    {
        if (! isset($this->documents[$course]) && isset($this->courses()[$course])) {
            $this->read($this->asked++ < self::ONE_BY_ONE ? [$course] : array_keys($this->courses()));
        }

        return $this->documents[$course] ?? null;
    }

    /**
     * @param  list<int>  $courses  ids
     * @return array<int, CourseDocument> by id, of those that were published
     */
    public function documents(array $courses): array
    {
        $this->read(array_values(array_intersect($courses, array_keys($this->courses()))));

        return array_intersect_key($this->documents, array_flip($courses));
    }

    /** @param  list<int>  $courses */
    private function read(array $courses): void
    {
        $missing = array_diff($courses, array_keys($this->documents));
        $revisions = $missing === [] ? [] : Revision::query()->whereIn('id', array_map(fn (int $id): int => (int) $this->courses()[$id]->live_revision_id, $missing))->get()->keyBy('id')->all();
        foreach ($missing as $id) {
            $revision = $revisions[(int) $this->courses()[$id]->live_revision_id] ?? null;
            if ($revision !== null) {
                $this->courses()[$id]->setRelation('liveRevision', $revision);
                $this->documents[$id] = CourseDocument::fromJson($revision->document);
            }
        }
    }

    /** @return array<int, ShelfMark> by id */
    private function marks(): array
    {
        return $this->marks ??= $this->kept->all('shelf', ShelfMark::class, array_map(static fn (Course $course): string => (string) $course->live_revision_id, $this->courses()), function (array $missing): array {
            $this->read($missing);

            return array_map(ShelfMark::of(...), array_intersect_key($this->documents, array_flip($missing)));
        });
    }

    /** Whether it is live: whoever it is meant for may come. */
    public function isLive(int $course): bool
    {
        return $this->state($course) === 'live';
    }

    /** As the plan format has it; empty where it was never published. */
    public function state(int $course): string
    {
        return $this->marks()[$course]->state ?? '';
    }

    public function title(int $course): string
    {
        return $this->marks()[$course]->title ?? '';
    }

    public function itemTitle(int $course, string $item): string
    {
        $this->itemTitles[$course] ??= array_map(static fn (DocumentItem $one): string => $one->title(), $this->document($course)?->readItems() ?? []);

        return $this->itemTitles[$course][$item] ?? $item;
    }

    /** @return list<string> keys of the lessons that are asked for: no draft, nor in one, and not optional, nor in something optional */
    public function lessons(int $course): array
    {
        $lessons = [];
        foreach ($this->document($course)?->read()->places() ?? [] as $place) {
            if (! $place->isDraft && ! $place->isOptional && $place->item->isLesson()) {
                $lessons[] = $place->item->key();
            }
        }

        return $lessons;
    }

    public function byKey(string $key): ?Course
    {
        foreach ($this->courses() as $course) {
            if ($course->key === $key) {
                return $course;
            }
        }

        return null;
    }

    /**
     * Where there are few courses, all of them bring their rows; else only the first do, and those of others are asked for when they are wanted.
     *
     * @param  list<int>  $first  ids of courses that stand before the others
     * @return list<CoursePick> with the rows that are in drafts alone
     */
    public function picksWithRows(array $first): array
    {
        $brought = count($this->courses()) <= self::FEW ? array_keys($this->courses()) : array_slice(array_values(array_intersect($first, array_keys($this->courses()))), 0, self::FEW);
        $this->read($brought);
        $drafts = Draft::query()->whereIn('course_id', $brought)->get(['id', 'course_id', 'document'])->keyBy('course_id');
        $picks = $others = [];
        foreach ($this->courses() as $id => $course) {
            $draft = $drafts->get($id);
            $items = in_array($id, $brought, true) ? $this->document($id)?->readItems() ?? [] : [];
            $waiting = $draft === null ? [] : array_values(array_filter(self::rowsOf(CourseDocument::fromJson($draft->document)), static fn (OutlineRow $row): bool => ! isset($items[$row->key])));
            $pick = new CoursePick($course->key, $this->title($id), $items === [] ? [] : $this->rows($id), $waiting);
            $place = array_search($id, $first, true);
            $place === false ? $others[] = $pick : $picks[$place] = $pick;
        }
        ksort($picks);

        return [...$picks, ...$others];
    }

    /** @return list<CoursePick> without their rows */
    public function picks(): array
    {
        return array_values(array_map(fn (Course $course): CoursePick => new CoursePick($course->key, $this->title($course->id)), $this->courses()));
    }

    /** @return list<OutlineRow> of the draft of a course */
    public function rowsOfDraft(Draft $draft): array
    {
        return self::rowsOf(CourseDocument::fromJson($draft->document));
    }

    /** @return list<OutlineRow> of a published course */
    public function rows(int $course): array
    {
        $document = $this->document($course);

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
        // Not as models: there are as many as courses and more.
        foreach (Lists::of(DB::table('offers')->orderBy('course_id')->orderBy('id')->select(['key', 'name', 'course_id'])) as [$key, $name, $course]) {
            if (in_array((string) $key, $this->marks()[(int) $course]->offers ?? [], true)) {
                $picks[] = new OfferPick((string) $key, (string) $name, $this->courses()[(int) $course]->key);
            }
        }

        return $picks;
    }
}
