<?php

declare(strict_types=1);

namespace App\Ledger\Past;

/** What was entered after a moment and counts from before it, as a pass that was given with an earlier day: known now, and not then. */
final class Later
{
    /** From when on a row of each kind counts. */
    private const COUNTS_FROM = ['passes' => 'starts_at', 'grants' => 'starts_at', 'labels' => 'starts_at', 'completions' => 'completed_at'];

    private function __construct()
    {
    }

    /**
     * @param  Facts  $facts  as they were known at the moment; what is known now is put to them
     * @param  iterable<Entry>  $entries  of those people, all of them
     * @return list<Entry> those by which it is known
     */
    public static function put(Facts $facts, iterable $entries, Moment $moment): array
    {
        /** @var array<string, Entry> $last by kind, person and row */
        $last = [];
        foreach ($entries as $entry) {
            if (isset(self::COUNTS_FROM[$entry->subject]) && $entry->at > $moment->at) {
                $last["{$entry->subject} {$entry->fact->person} {$entry->fact->row}"] = $entry;
            }
        }
        $known = [];
        foreach ($last as $entry) {
            $then = $facts->of($entry->subject, $entry->fact->person)[$entry->fact->row] ?? null;
            $from = $entry->fact->instant(self::COUNTS_FROM[$entry->subject]);
            if ($entry->what !== 'gone' && $from !== null && $from <= $moment->at && self::isNews($entry, $then, $moment->at)) {
                // What has become of it since is another matter.
                $facts->put($entry->subject, $entry->subject === 'passes' ? $entry->fact->with('state', $then?->text('state') ?? 'active') : $entry->fact);
                $known[] = $entry;
            }
        }

        return $known;
    }

    private static function isNews(Entry $entry, ?Fact $then, int $at): bool
    {
        if ($then === null) {
            return true;
        }
        $from = self::COUNTS_FROM[$entry->subject];
        $ends = $entry->fact->instant('ends_at');
        $ended = $then->instant('ends_at');

        return $entry->fact->instant($from) < ($then->instant($from) ?? PHP_INT_MAX) || ($ended !== null && $ended <= $at && ($ends === null || $ends > $at));
    }
}
