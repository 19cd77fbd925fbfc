<?php

declare(strict_types=1);

namespace App\Sightlines;

use App\Ledger\Past\Entries;
use App\Ledger\Past\Entry;
use App\Ledger\Past\Onlooker;
use App\Ledger\Past\PastLooker;
use App\Ledger\Past\PastRules;
use App\Ledger\Past\SameLooker;
use App\Ledger\Story\Story;
use App\Models\Course;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Vantages\VantageKind;
use App\Words\Say;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Outline\Item;

/** What was seen before now: by the rules and by what was known of each day. */
final readonly class PastColumns
{
    public function __construct(private Story $story, private PastRules $rules)
    {
    }

    /**
     * @param  list<SeenFrom>  $seen
     * @param  int  $until  the last instant that is told of
     * @return list<?array<int, array<array-key, Decision>>> decisions by item, by the instant from which they held, of each who stands there; null: nothing has come about since
     */
    public function of(Course $course, array $seen, int $from, int $until): array
    {
        $lookers = array_map(self::looker(...), $seen);
        $entries = iterator_to_array(Entries::of(array_values(array_unique(array_merge([], ...array_map(static fn (Onlooker $one): array => $one->people(), $lookers)))), $course->id), preserve_keys: false);

        return array_map(fn (Onlooker $looker): ?array => $this->column($course, $looker, array_filter($entries, static fn (Entry $entry): bool => $entry->fact->person === null || in_array($entry->fact->person, $looker->people(), true)), $from, $until), $lookers);
    }

    /**
     * At one instant that is past, by the rows of today.
     *
     * @param  list<SeenFrom>  $seen
     * @param  list<Item>  $items
     * @return list<?list<Decision>> of each who stands there; null: nothing has come about since
     */
    public function at(Course $course, array $seen, array $items, int $at): array
    {
        return array_map(static fn (?array $column): ?array => $column === null ? null : array_map(static fn (Item $item): Decision => $column[$at][$item->key] ?? self::notThere($item->key), $items), $this->of($course, $seen, $at, $at));
    }

    /** What is told of a row that was not in the course then. */
    public static function notThere(string $item): Decision
    {
        return new Decision($item, State::Hidden, null, act: false, why: [], next: null);
    }

    /** Who stood there then, where anything has come about since that could make a difference; null: nothing has. */
    public function since(Course $course, SeenFrom $one, int $at): ?Onlooker
    {
        $looker = self::looker($one);
        foreach (Entries::of($looker->people(), $course->id) as $entry) {
            if ($entry->at > $at) {
                return $looker;
            }
        }

        return null;
    }

    /** @return list<RevisionMark> ascending; the first is what was live at that instant, where anything was */
    public function revisions(Course $course, int $from): array
    {
        $marks = [];
        $live = null;
        foreach (Entries::of([], $course->id) as $entry) {
            $number = $entry->subject === 'courses' ? $entry->fact->intOrNull('live_revision_id') : $live;
            if ($number !== $live && $number !== null) {
                $revision = $this->rules->of($number);
                $mark = new RevisionMark(max($from, $entry->at), $revision->number ?? 0, Say::text('sightlines.revision', ['number' => $revision->number ?? 0, 'note' => $revision->note ?? '', 'noted' => ($revision->note ?? '') === '' ? 'no' : 'yes']));
                $marks = $entry->at <= $from ? [$mark] : [...$marks, $mark];
            }
            $live = $number;
        }

        return $marks;
    }

    public static function looker(SeenFrom $one): Onlooker
    {
        $learner = $one->point->observed ?? $one->point;

        return match (true) {
            $learner->kind !== VantageKind::Person => SameLooker::always($one->viewer),
            $one->point->observed !== null => SameLooker::observing((int) $learner->person),
            default => new PastLooker($learner->person),
        };
    }

    /**
     * @param  array<Entry>  $entries
     * @return ?array<int, array<array-key, Decision>>
     */
    private function column(Course $course, Onlooker $looker, array $entries, int $from, int $until): ?array
    {
        if (array_filter($entries, static fn (Entry $entry): bool => $entry->at > $from) === []) {
            return null;
        }
        $column = [];
        foreach ($this->story->from($from, $entries, $course, $looker, $until) as $turn) {
            $column[$turn->at] = array_column($turn->answer?->answer->decisions() ?? [], null, 'item');
        }

        return $column;
    }
}
