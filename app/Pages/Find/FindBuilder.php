<?php

declare(strict_types=1);

namespace App\Pages\Find;

use App\Access\Shelf\CourseShelf;
use App\Access\Shelf\RowIndex;
use App\Models\Course;
use App\Models\Label;
use App\Models\Offer;
use App\Models\RowTitle;
use App\People\PeopleFinder;
use App\Words\Say;
use App\Words\Typed;

/** Finds courses, rows, people, offers, labels and what can be done, by what somebody types; and answers why somebody cannot see something. */
final readonly class FindBuilder
{
    private const MOST = 12;

    /** Of one kind. */
    private const EACH = 5;

    public function __construct(private CourseShelf $shelf, private PeopleFinder $people, private RowIndex $rows)
    {
    }

    /**
     * @param  ?string  $at  key of the course at hand
     * @param  ?list<int>  $only  ids of the courses of which whatever is found is; null: of all, and of the school
     * @return list<FoundThing> the best first
     */
    public function find(string $text, ?string $at, bool $mayRun, ?array $only = null): array
    {
        $typed = Typed::of($text);
        if ($typed->isEmpty()) {
            return [];
        }
        $why = $only === null ? $this->why($typed) : [];
        if ($why !== []) {
            return $why;
        }
        $all = $this->among($only);
        $course = array_values(array_filter($all, static fn (Course $one): bool => $one->key === $at))[0] ?? array_values($all)[0] ?? null;
        $found = [...Commands::find($typed, $course, $course === null ? '' : $this->shelf->title($course->id), $mayRun, ofCourses: $only !== null)];
        foreach ($all as $id => $one) {
            $score = $typed->score($this->shelf->title($id));
            if ($score > 0) {
                $found[] = [$score + 8, new FoundThing('course', "course {$one->key}", $this->shelf->title($id), Say::text('find.a_course'), route('keep.course', $one, false))];
            }
        }
        foreach ([$this->items($typed, $at, $only), ...($only === null ? [$this->offers($typed), $this->labels($typed), $this->persons($text, $typed)] : [])] as $several) {
            $found = [...$found, ...$several];
        }

        return self::best($found);
    }

    /**
     * Rows of courses alone.
     *
     * @param  ?list<int>  $only  as of {@see self::find()}
     * @return list<FoundThing>
     */
    public function rows(string $text, ?array $only = null): array
    {
        return self::best($this->items(Typed::of($text), null, $only), self::MOST);
    }

    /**
     * `why eira garboard`: every way to take the first words for a person and the others for a row.
     *
     * @return list<FoundThing>
     */
    private function why(Typed $typed): array
    {
        $words = array_values(array_diff($typed->words, ['can', 'cant', 't', 'cannot', 'not', 'see', 'open', 'does', 'is', 'locked', 'for']));
        if (($typed->words[0] ?? '') !== 'why' || count($words) < 3) {
            return [];
        }
        $found = [];
        for ($of = 1; $of < count($words) - 1; $of++) {
            $people = $this->people->find(implode(' ', array_slice($words, 1, $of)));
            $rows = $people === [] ? [] : self::best($this->items(Typed::of(implode(' ', array_slice($words, $of + 1))), null), 3);
            foreach (array_slice($people, 0, 3) as $person) {
                foreach ($rows as $row) {
                    $found["{$person->id} {$row->id}"] ??= new FoundThing('why', "why {$person->id} {$row->id}", Say::text('find.why', ['who' => $person->name, 'what' => $row->title]), $row->note, route('keep.person', ['person' => $person->id, 'why' => "{$row->course}/{$row->item}"], false), $row->course, $row->item, $person->id);
                }
            }
        }

        return array_slice(array_values($found), 0, self::MOST);
    }

    /**
     * @param  ?list<int>  $only
     * @return array<int, Course> by id
     */
    private function among(?array $only): array
    {
        return $only === null ? $this->shelf->courses() : array_intersect_key($this->shelf->courses(), array_flip($only));
    }

    /**
     * @param  ?string  $at  key of the course whose rows come first
     * @param  ?list<int>  $only
     * @return list<array{int, FoundThing}>
     */
    private function items(Typed $typed, ?string $at, ?array $only = null): array
    {
        $courses = $this->among($only);
        $here = array_values(array_filter($courses, static fn (Course $course): bool => $course->key === $at));
        $found = [];
        // Of the course at hand what would be too far down the list elsewhere.
        foreach ([...($here === [] ? [] : $this->rows->find($typed, [$here[0]->id])), ...$this->rows->find($typed, $only)] as $row) {
            $course = $courses[$row->course_id] ?? null;
            $score = $typed->score($row->title);
            if ($course !== null && $score > 0) {
                $found["{$row->course_id} {$row->item_key}"] ??= [$score + ($course->key === $at ? 4 : 0), $this->itemFound($course, $row)];
            }
        }

        return array_values($found);
    }

    private function itemFound(Course $course, RowTitle $row): FoundThing
    {
        return new FoundThing('item', "item {$course->key} {$row->item_key}", $row->title, Say::text('find.in_course', ['kind' => $row->kind, 'course' => $this->shelf->title($course->id)]), route('keep.course', ['course' => $course, 'row' => $row->item_key], false), $course->key, $row->item_key);
    }

    /** @return list<array{int, FoundThing}> */
    private function offers(Typed $typed): array
    {
        $found = [];
        foreach (Offer::query()->with('course:id,key')->orderBy('id')->get(['id', 'course_id', 'key', 'name']) as $offer) {
            $score = $typed->score($offer->name);
            if ($score > 0) {
                $found[] = [$score, new FoundThing('offer', "offer {$offer->key}", $offer->name, Say::text('find.an_offer', ['course' => $this->shelf->title($offer->course_id)]), route('keep.offers', ['course' => $offer->course->key], false).'#'.$offer->course->key, $offer->course->key)];
            }
        }

        return $found;
    }

    /** @return list<array{int, FoundThing}> */
    private function labels(Typed $typed): array
    {
        $found = [];
        foreach (Label::query()->toBase()->select('label')->selectRaw('count(distinct person_id) as people')->groupBy('label')->orderBy('label')->get() as $row) {
            $label = is_string($row->label) ? $row->label : '';
            $score = $typed->score($label);
            if ($score > 0) {
                $found[] = [$score, new FoundThing('label', "label {$label}", $label, Say::text('find.a_label', ['count' => is_numeric($row->people) ? (int) $row->people : 0]), route('keep.people.list', ['label' => $label], false))];
            }
        }

        return $found;
    }

    /** @return list<array{int, FoundThing}> */
    private function persons(string $text, Typed $typed): array
    {
        $found = [];
        foreach ($this->people->find($text) as $nth => $person) {
            $found[] = [max(24 - $nth, $typed->score($person->name)), new FoundThing('person', "person {$person->id}", $person->name, $person->email, route('keep.person', ['person' => $person->id, 'ask' => 'why'], false), person: $person->id)];
        }

        return $found;
    }

    /**
     * @param  list<array{int, FoundThing}>  $found
     * @return list<FoundThing>
     */
    private static function best(array $found, int $each = self::EACH): array
    {
        $found = array_values(array_filter($found, static fn (array $one): bool => $one[0] > 0));
        usort($found, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $kinds = $best = [];
        foreach ($found as [, $thing]) {
            $kinds[$thing->kind] = ($kinds[$thing->kind] ?? 0) + 1;
            if ($kinds[$thing->kind] <= $each && count($best) < self::MOST) {
                $best[] = $thing;
            }
        }

        return $best;
    }
}
