<?php

declare(strict_types=1);

namespace App\Ledger\Story;

use App\Ledger\Past\Entries;
use App\Ledger\Past\Entry;
use App\Ledger\Past\Fact;
use App\Ledger\Past\Facts;
use App\Ledger\Past\Onlooker;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastAnswer;
use App\Models\Course;
use Generator;
use SilentKeep\Core\Deciding\Decision;

/**
 * What became otherwise for somebody at a course from their first day on, and by what: what was written then, or time alone. Each answer
 * is the one that {@see Past} gives for that instant.
 */
final readonly class Story
{
    /** Of a course that has nothing to do with it: what is told of there opens nothing here. */
    private const OF_COURSE = ['passes', 'grants', 'completions', 'offers', 'courses', 'revisions'];

    public function __construct(private Past $past)
    {
    }

    /**
     * @param  int  $until  the last instant that is told of
     * @return Generator<int, Turn> ascending; the first one is their first day
     */
    public function of(Course $course, Onlooker $looker, int $until): Generator
    {
        yield from $this->from(null, Entries::of($looker->people(), $course->id), $course, $looker, $until);
    }

    /**
     * The same from an instant on.
     *
     * @param  ?int  $from  the first turn; null: their first day
     * @param  iterable<Entry>  $all  entries of all time that concern them
     * @return Generator<int, Turn>
     */
    public function from(?int $from, iterable $all, Course $course, Onlooker $looker, int $until): Generator
    {
        $facts = new Facts;
        $answer = null;
        $told = [];
        $at = null;
        foreach (self::instants($all, $until) as $instant => $entries) {
            if ($at === null && $from !== null && $instant > $from) {
                [$at, $answer] = [$from, $this->past->by($facts, $course, $looker, $from)];
                yield new Turn($at, [], $answer, self::changes($told, $answer));
            }
            if ($at !== null) {
                foreach ($this->alone($facts, $course, $looker, $answer, $instant) as $then => $later) {
                    yield new Turn($then, [], $later, self::changes($told, $later));
                    $answer = $later;
                }
            }
            $changed = self::take($facts, $entries, $course->id);
            if ($at === null && ($from !== null || ! self::begins($entries, $looker))) {
                continue;
            }
            $at = $instant;
            $answer = $this->past->by($facts, $course, $looker, $at);
            $changes = self::changes($told, $answer);
            if ($changed !== [] || $changes !== []) {
                yield new Turn($at, $changed, $answer, $changes);
            }
        }
        if ($at === null && $from !== null) {
            [$at, $answer] = [$from, $this->past->by($facts, $course, $looker, $from)];
            yield new Turn($at, [], $answer, self::changes($told, $answer));
        }
        foreach ($at === null ? [] : $this->alone($facts, $course, $looker, $answer, $until + 1) as $then => $later) {
            yield new Turn($then, [], $later, self::changes($told, $later));
        }
    }

    /**
     * @param  iterable<Entry>  $entries
     * @return Generator<int, non-empty-list<Entry>> by the instant at which they were written; a clock that was put back stands still
     */
    private static function instants(iterable $entries, int $until): Generator
    {
        $of = [];
        $at = 0;
        foreach ($entries as $entry) {
            if ($of !== [] && $entry->at > $at) {
                yield $at => $of;
                $of = [];
            }
            $at = max($at, $entry->at);
            if ($at > $until) {
                return;
            }
            $of[] = $entry;
        }
        if ($of !== []) {
            yield $at => $of;
        }
    }

    /**
     * What time alone changes before an instant.
     *
     * @return Generator<int, PastAnswer>
     */
    private function alone(Facts $facts, Course $course, Onlooker $looker, ?PastAnswer $answer, int $before): Generator
    {
        while ($answer !== null && ($at = $answer->answer->holdsUntil()) < $before) {
            $answer = $this->past->by($facts, $course, $looker, $at);
            if ($answer !== null) {
                yield $at => $answer;
            }
        }
    }

    /**
     * @param  non-empty-list<Entry>  $entries
     * @return list<array{Entry, ?Fact}> those that concern the course, each with the row as it was before
     */
    private static function take(Facts $facts, array $entries, int $course): array
    {
        $changed = [];
        foreach ($entries as $entry) {
            $before = $facts->of($entry->subject, $entry->fact->person)[$entry->fact->row] ?? null;
            $facts->take($entry);
            if ($entry->fact->course === $course || ! in_array($entry->subject, self::OF_COURSE, true)) {
                $changed[] = [$entry, $before];
            }
        }

        return $changed;
    }

    /** @param  non-empty-list<Entry>  $entries */
    private static function begins(array $entries, Onlooker $looker): bool
    {
        $person = $looker->people()[0] ?? null;

        return $person === null || array_filter($entries, static fn (Entry $entry): bool => $entry->fact->person === $person) !== [];
    }

    /**
     * @param  array<array-key, string>  $told  what is told of each item up to now; it is what it is from now on afterwards
     * @return array<array-key, Decision>
     */
    private static function changes(array &$told, ?PastAnswer $answer): array
    {
        $changes = $now = [];
        foreach ($answer?->answer->decisions() ?? [] as $decision) {
            $now[$decision->item] = serialize([$decision->state, $decision->via, $decision->act, $decision->why]);
            if (($told[$decision->item] ?? null) !== $now[$decision->item]) {
                $changes[$decision->item] = $decision;
            }
        }
        $told = $now;

        return $changes;
    }
}
