<?php

declare(strict_types=1);

namespace App\Ledger\Changes;

use App\Counting\Counts;
use App\Counting\CountsWhom;
use App\Ledger\Past\Entry;
use App\Ledger\Past\Fact;
use App\Ledger\Past\Facts;
use App\Ledger\Past\PastLooker;
use App\Ledger\Past\PastRows;
use App\Models\Course;
use App\Models\PeopleCount;
use App\Models\Revision;
use Illuminate\Database\Query\Builder;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Outline\Plan;

/**
 * What the rehearsal of a publication told, said again by what was known when it was made, beside what publishing did, by what was known
 * when that was; and where the two differ for somebody, what was written of them in between.
 */
final readonly class ForetoldAndCame implements CountsWhom
{
    private const HOLDS = 366 * 86400;

    public function __construct(private Counts $counts, private RulesOverTime $rules, private Holding $holding)
    {
    }

    /**
     * @param  int  $madeAt  when the rehearsal was begun
     * @param  int  $for  the instant that it told of
     */
    public function of(Course $course, Revision $revision, int $madeAt, int $for): PeopleCount
    {
        return $this->counts->of($course, "came {$revision->id} {$madeAt} {$for} {$revision->published_at->getTimestamp()}", Holding::STAMP, self::HOLDS, self::class);
    }

    public function whom(string $what, Course $course): Builder
    {
        return $this->holding->of($course);
    }

    public function look(PeopleCount $count, Course $course, array $people): array
    {
        [, $revision, $madeAt, $for, $came] = array_map(intval(...), explode(' ', $count->what));
        $rules = $this->rules->of($course, $came);
        $now = $rules[count($rules) - 1];
        $then = $rules[count($rules) - 2] ?? null;
        if ($now->school->revision() !== $revision || $now->decider === null || $then?->decider === null) {
            // Others went live in the very same second: nothing can be said of these alone.
            return $count->result;
        }
        [$told, $done] = [self::impact($then, $now, $course, $for), self::impact($then, $now, $course, $came)];
        $tally = ForetoldTally::from($count->result);
        $watching = ForetoldTally::observersFrom($count->result);
        foreach (Holding::lookers($people, $course, $came) as [$looker, $entries]) {
            $before = array_values(array_filter($entries, static fn (Entry $entry): bool => $entry->at <= $madeAt));
            ($looker->observed === null ? $tally : $watching)->add($looker, self::effects($told, Facts::after($before), $looker, $then, $course), self::effects($done, Facts::after($entries), $looker, $then, $course), self::between($entries, count($before)));
        }

        return [...$tally->toArray(), 'observers' => $watching->toArray()];
    }

    /** As the school was at that instant: another zone goes live with other rules, or by itself. */
    private static function impact(RulesThen $then, RulesThen $now, Course $course, int $at): Impact
    {
        return new Impact(self::plan($then), self::plan($now), $course->key, $at, $at + WhatChanged::DAYS * 86400);
    }

    private static function plan(RulesThen $rules): Plan
    {
        return $rules->decider->prepared->plan ?? throw new \LogicException('It was published.');
    }

    /** @return list<string> what it does to them; where nothing was held then, or nobody tied to whoever held it, nothing that is counted */
    private static function effects(Impact $impact, Facts $facts, PastLooker $looker, RulesThen $then, Course $course): array
    {
        $rows = new PastRows($facts, $then->school);
        $holder = $looker->observed ?? $looker->person;
        $held = array_filter([...$facts->of('passes', $holder), ...$facts->of('grants', $holder)], static fn (Fact $fact): bool => $fact->course === $course->id);
        if ($held === [] || ($looker->observed !== null && ! $rows->observed((int) $looker->person, $looker->observed))) {
            return [];
        }
        $viewer = $looker->viewer($rows, $course->id);

        return array_keys(array_filter($impact->on([new Person('', $viewer)])->toArray(names: false)['touched'], static fn (mixed $number): bool => $number === 1));
    }

    /**
     * @param  list<Entry>  $entries
     * @param  int  $known  how many of them were known before
     */
    private static function between(array $entries, int $known): string
    {
        $facts = Facts::after(array_slice($entries, 0, $known));
        $cause = Cause::TIME;
        foreach (array_slice($entries, $known) as $entry) {
            $cause = Cause::of([[$entry, $facts->of($entry->subject, $entry->fact->person)[$entry->fact->row] ?? null]]);
            $facts->take($entry);
        }

        return $cause;
    }
}
