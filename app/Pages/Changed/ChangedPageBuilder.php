<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Access\Staff\PeopleInSight;
use App\Access\Viewers;
use App\Database\Value;
use App\Ledger\Changes\Cause;
use App\Ledger\Changes\ChangeTally;
use App\Ledger\Changes\ForetoldAndCame;
use App\Ledger\Changes\ForetoldTally;
use App\Ledger\Changes\WhatChanged;
use App\Ledger\Past\Past;
use App\Ledger\Past\SameLooker;
use App\Models\Course;
use App\Models\PeopleCount;
use App\Models\Person;
use App\Models\Revision;
use App\Words\Say;
use App\Words\Sentence;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Foresight\Effect;

/** Puts together what changed for whom. */
final readonly class ChangedPageBuilder
{
    /** People that are told by name of each. */
    private const NAMES = 24;

    /** Titles that are told of each kind of viewer. */
    private const TITLES = 6;

    private const REVISIONS = 12;

    private const PEOPLE = 'changed_told.people';

    private const OBSERVERS = 'changed_told.observers';

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private WhatChanged $changed, private ForetoldAndCame $came, private CauseWords $causes, private PeopleInSight $sight)
    {
    }

    public function page(Course $course, string $from, string $until, string $revision): ChangedPage
    {
        $asked = ChangedAsked::of($course, $this->clock, $from, $until, $revision);
        $count = $asked->isWrong ? null : $this->changed->of($course, $asked->from, $asked->until);
        [$tally, $watching] = [ChangeTally::from($count->result ?? []), ChangeTally::observersFrom($count->result ?? [])];
        $foretold = $asked->revision === null ? null : $this->rehearsed($course, $asked->revision);
        $causes = [$tally->causes, $watching->causes, ...$foretold === null ? [] : [$foretold[1]->why, $foretold[2]->why]];
        $names = $this->names($course, array_merge(...array_map(array_values(...), $causes)));
        $words = $this->causes->of(array_merge(...array_map(array_keys(...), $causes)));
        $whole = Past::wholeSince();

        return new ChangedPage(
            $course->key, $this->shelf->title($course->id), $this->clock->wall($asked->from), $this->clock->wall($asked->until), $this->clock->words($asked->from), $this->clock->words($asked->until), $asked->until,
            $asked->isWrong ? Say::text('changed_told.wrong') : null, $asked->revision?->number, $this->since($course), $asked->from < $whole ? $this->clock->words($whole) : null,
            $count !== null && $count->finished_at === null, $count->looked ?? 0, $count->of ?? 0, $tally->looked, $tally->touched,
            self::totals(self::PEOPLE, $tally), self::told(self::PEOPLE, $tally, $names, $words),
            self::observers($watching, $names, $words),
            $asked->isWrong ? [] : $this->kinds($course, $asked),
            $foretold === null ? null : $this->foretold($foretold, $names, $words),
        );
    }

    /** @return array{ChangedAmong, ?ChangedAmong} people and observers, as far as they have been counted */
    public function among(Course $course, PeopleCount $count): array
    {
        [$tally, $watching] = [ChangeTally::from($count->result), ChangeTally::observersFrom($count->result)];
        $names = $this->names($course, [...array_values($tally->causes), ...array_values($watching->causes)]);
        $words = $this->causes->of([...array_keys($tally->causes), ...array_keys($watching->causes)]);

        return [new ChangedAmong($tally->looked, $tally->touched, self::totals(self::PEOPLE, $tally), self::told(self::PEOPLE, $tally, $names, $words)), self::observers($watching, $names, $words)];
    }

    /**
     * @param  array<int, string>  $names
     * @param  array<string, string>  $words
     * @return ?ChangedAmong null: nobody looks in on any of these people
     */
    private static function observers(ChangeTally $tally, array $names, array $words): ?ChangedAmong
    {
        return $tally->looked === 0 ? null : new ChangedAmong($tally->looked, $tally->touched, self::totals(self::OBSERVERS, $tally), self::told(self::OBSERVERS, $tally, $names, $words));
    }

    /** @return list<ChangedSince> */
    private function since(Course $course): array
    {
        $revisions = $course->revisions()->orderByDesc('number')->limit(self::REVISIONS)->get(['number', 'published_at']);

        return array_values($revisions->map(fn (Revision $one): ChangedSince => new ChangedSince($one->number, $this->clock->words($one->published_at->getTimestamp()), $this->clock->wall($one->published_at->getTimestamp() - 60)))->all());
    }

    /** @return list<ChangedCount> */
    private static function totals(string $who, ChangeTally $tally): array
    {
        return array_map(static fn (Effect $effect): ChangedCount => self::counted($who, $effect->value, $tally->all[$effect->value][1], $tally->all[$effect->value][0], []), $tally->effects());
    }

    /**
     * @param  array<int, string>  $names
     * @param  array<string, string>  $words
     * @return list<ChangedCause> those that did the most first, time last
     */
    private static function told(string $who, ChangeTally $tally, array $names, array $words): array
    {
        $causes = [];
        foreach ($tally->causes as $cause => $effects) {
            $counts = [];
            foreach (Effect::cases() as $effect) {
                if (isset($effects[$effect->value])) {
                    [$items, $people, $some] = $effects[$effect->value];
                    $counts[] = self::counted($who, $effect->value, $people, $items, self::named($some, $names));
                }
            }
            $causes[] = new ChangedCause($cause, $words[$cause], array_sum(array_map(static fn (ChangedCount $one): int => $one->items, $counts)), $counts);
        }
        usort($causes, static fn (ChangedCause $one, ChangedCause $other): int => [$one->key === Cause::TIME, -$one->items, $one->key] <=> [$other->key === Cause::TIME, -$other->items, $other->key]);

        return $causes;
    }

    /**
     * @param  string  $who  the key of how those who were counted are called
     * @param  list<ChangedPerson>  $some
     */
    private static function counted(string $who, string $effect, int $people, int $items, array $some): ChangedCount
    {
        return new ChangedCount($effect, Say::text("changed_told.effects.{$effect}", ['people' => $people, 'who' => Say::text($who, ['people' => $people])]), $people, $items, $some);
    }

    /** @return ?array{object{made_at: int, for: int}, ForetoldTally, ForetoldTally, bool} of people and of observers; the last says whether it is still being counted */
    private function rehearsed(Course $course, Revision $revision): ?array
    {
        $shown = DB::table('rehearsed')->where('revision_id', $revision->id)->first();
        if ($shown === null) {
            return null;
        }
        $shown = (object) ['made_at' => Value::int($shown->made_at), 'for' => Value::int($shown->for)];
        $count = $this->came->of($course, $revision, $shown->made_at, $shown->for);

        return [$shown, ForetoldTally::from($count->result), ForetoldTally::observersFrom($count->result), $count->finished_at === null];
    }

    /**
     * @param  array{object{made_at: int, for: int}, ForetoldTally, ForetoldTally, bool}  $foretold
     * @param  array<int, string>  $names
     * @param  array<string, string>  $words
     */
    private function foretold(array $foretold, array $names, array $words): ForetoldTold
    {
        [$shown, $people, $observers, $counting] = $foretold;

        return new ForetoldTold($this->clock->words($shown->made_at), $this->clock->words($shown->for), $counting, self::beside($people), self::why($people, $names, $words), self::beside($observers), self::why($observers, $names, $words));
    }

    /** @return list<ForetoldRow> */
    private static function beside(ForetoldTally $tally): array
    {
        $rows = [];
        foreach (Effect::cases() as $effect) {
            [$told, $came] = [$tally->foretold[$effect->value] ?? 0, $tally->came[$effect->value] ?? 0];
            if ($told + $came > 0) {
                $rows[] = new ForetoldRow($effect->value, Say::text("changed_told.of.{$effect->value}"), $told, $came);
            }
        }

        return $rows;
    }

    /**
     * @param  array<int, string>  $names
     * @param  array<string, string>  $words
     * @return list<ChangedCause>
     */
    private static function why(ForetoldTally $tally, array $names, array $words): array
    {
        $why = [];
        foreach ($tally->why as $cause => $effects) {
            $counts = [];
            foreach ($effects as $effect => [$more, $less, $some]) {
                $counts[] = new ChangedCount($effect, Say::text('changed_told.why', ['more' => $more, 'less' => $less, 'both' => $more > 0 && $less > 0 ? 'yes' : 'no', 'effect' => Say::text("changed_told.of.{$effect}")]), $more + $less, 0, self::named($some, $names));
            }
            $why[] = new ChangedCause($cause, $words[$cause], 0, $counts);
        }

        return $why;
    }

    /**
     * What is open to whoever holds nothing: there is nothing to be counted.
     *
     * @return list<ChangedKind>
     */
    private function kinds(Course $course, ChangedAsked $asked): array
    {
        $kinds = [];
        foreach (['visitor' => Viewers::visitor(), 'guest' => Viewers::guest(), 'member' => Viewers::member(), 'observer' => Viewers::observerOf(Viewers::member())] as $kind => $viewer) {
            $lines = [];
            $byEffect = [];
            foreach ($this->changed->on($course, SameLooker::always($viewer), $asked->from, $asked->until) as $item => $change) {
                $byEffect[$change->effect->value][] = $this->shelf->itemTitle($course->id, (string) $item);
            }
            foreach ($byEffect as $effect => $titles) {
                $lines[] = Sentence::say("published.effects_on_one.{$effect}", ['more' => max(0, count($titles) - self::TITLES)], ['titles' => array_slice($titles, 0, self::TITLES)]);
            }
            if ($lines !== []) {
                $kinds[] = new ChangedKind(Say::text("changed_told.kinds.{$kind}"), $lines);
            }
        }

        return $kinds;
    }

    /**
     * @param  list<array<string, array{int, int, list<string>}>>  $causes
     * @return array<int, string> by number; those who are gone, and of whom whoever looks may not know, are left out
     */
    private function names(Course $course, array $causes): array
    {
        $ids = [];
        foreach ($causes as $effects) {
            foreach ($effects as [, , $some]) {
                array_push($ids, ...array_map(intval(...), explode(' ', implode(' ', array_slice($some, 0, self::NAMES)))));
            }
        }
        $names = [];
        foreach ($this->sight->at($course, Person::query())->whereIntegerInRaw('id', array_unique($ids))->pluck('name', 'id') as $id => $name) {
            $names[(int) $id] = Value::text($name);
        }

        return $names;
    }

    /**
     * @param  list<string>  $some  as {@see ChangeTally::named()} has them
     * @param  array<int, string>  $names
     * @return list<ChangedPerson>
     */
    private static function named(array $some, array $names): array
    {
        $name = static fn (int $id): string => $names[$id] ?? Say::text('changed_told.gone');

        return array_map(static function (string $one) use ($name): ChangedPerson {
            $ids = array_map(intval(...), explode(' ', $one));
            $with = $ids[1] ?? null;

            return new ChangedPerson($ids[0], $with === null ? $name($ids[0]) : Say::text('changed_told.with', ['observer' => $name($ids[0]), 'learner' => $name($with)]), $with);
        }, array_slice($some, 0, self::NAMES));
    }
}
