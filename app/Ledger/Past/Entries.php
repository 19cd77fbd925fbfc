<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Database\Lists;
use Generator;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Reads what the ledger says of some people at one course, and of the school and that course, in the order in which it was written. */
final class Entries
{
    private const COLUMNS = ['id', 'at', 'by', 'cause', 'subject', 'what', 'row_id', 'person_id', 'course_id', 'content'];

    private function __construct()
    {
    }

    /**
     * One query of what is theirs, whatever course it is of, one of what is nobody's.
     *
     * @param  list<int>  $people
     * @param  ?Moment  $until  null: up to now
     * @return Generator<int, Entry>
     */
    public static function of(array $people, int $course, ?Moment $until = null): Generator
    {
        $until ??= new Moment(PHP_INT_MAX);
        $theirs = $people === [] ? [] : Lists::of($until->among(DB::table('ledger')->whereIntegerInRaw('person_id', $people))->orderBy('id')->select(self::COLUMNS));
        $schools = Lists::of($until->among(DB::table('ledger')->whereNull('person_id')->whereIn('subject', ['schools', 'offers', 'courses', 'revisions']))
            ->where(static fn (Builder $of): Builder => $of->where('course_id', $course)->orWhereIn('subject', ['schools', 'offers']))->orderBy('id')->select(self::COLUMNS));
        for ($one = $other = 0; isset($theirs[$one]) || isset($schools[$other]);) {
            yield self::entry(($theirs[$one][0] ?? PHP_INT_MAX) < ($schools[$other][0] ?? PHP_INT_MAX) ? $theirs[$one++] : $schools[$other++]);
        }
    }

    /**
     * What is theirs alone, whatever course it is of, one after another. One query.
     *
     * @param  list<int>  $people
     * @return Generator<int, Entry>
     */
    public static function ofPeople(array $people, int $until): Generator
    {
        foreach (Lists::of(DB::table('ledger')->whereIntegerInRaw('person_id', $people)->where('at', '<=', $until)->orderBy('person_id')->orderBy('id')->select(self::COLUMNS)) as $row) {
            yield self::entry($row);
        }
    }

    /** @param  list<int|float|string|null>  $row */
    private static function entry(array $row): Entry
    {
        $content = json_decode((string) $row[9], true);
        $what = (string) $row[5];

        return new Entry((int) $row[0], (int) $row[1], (string) $row[2], (string) $row[3], (string) $row[4], in_array($what, ['made', 'changed', 'gone'], true) ? $what : 'whole', new Fact((int) $row[6], $row[7] === null ? null : (int) $row[7], $row[8] === null ? null : (int) $row[8], is_array($content) ? $content : []));
    }
}
