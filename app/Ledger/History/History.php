<?php

declare(strict_types=1);

namespace App\Ledger\History;

use App\Database\Value;
use App\Ledger\Recording\Entries;
use App\Ledger\Recording\Recording;
use Closure;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Psr\Clock\ClockInterface;

/**
 * Begins the ledger of a school that has none with what its history can tell, in the order in which it happened, and says from when on
 * it is whole. To be called inside a transaction, while nothing is recorded.
 */
final readonly class History
{
    /** Who wrote what is told afterwards, where nobody knows. */
    public const CAUSE = 'history';

    private const ROWS = 500;

    public function __construct(private ClockInterface $clock)
    {
    }

    /** @param  bool  $isAll  whether there is nothing that the history does not know, as of a school that was made up */
    public function tell(bool $isAll = false): void
    {
        $now = $this->clock->now()->getTimestamp();
        $this->collect($now, $isAll);
        $entries = new Entries;
        if ($isAll) {
            $entries->write([self::whole(min($now, Value::int(DB::table('ledger_history')->min('at')) ?: $now))]);
        }
        $after = 0;
        do {
            $rows = DB::table('ledger_history')->where('id', '>', $after)->orderBy('id')->limit(self::ROWS)->get()->all();
            $told = [];
            foreach ($rows as $row) {
                $after = Value::int($row->id);
                $told[] = [min($now, Value::int($row->at)), Value::text($row->by), self::CAUSE, Value::text($row->subject), Value::int($row->row_id), self::number($row->person_id), self::number($row->course_id), Value::text($row->what), Value::text($row->content)];
            }
            $entries->write($told);
        } while ($rows !== []);
        if (! $isAll) {
            $entries->write([self::whole($now)]);
        }
        Schema::drop('ledger_history');
    }

    /**
     * While a school is made up: afterwards its ledger is as if all had happened when the school says that it did. To be called inside
     * a transaction, in a school that begins with it.
     *
     * @param  Closure(): void  $make
     */
    public function of(Closure $make): void
    {
        Recording::end();
        $make();
        // It may have been begun within.
        Recording::end();
        DB::table('ledger')->delete();
        $this->tell(isAll: true);
        Recording::begin();
    }

    /** All that is known, numbered in its order. */
    private function collect(int $now, bool $isMadeUp): void
    {
        foreach (['ledger_known', 'ledger_history'] as $table) {
            Schema::create($table, static function (Blueprint $columns): void {
                $columns->temporary();
                $columns->id();
                $columns->bigInteger('at');
                $columns->integer('rank');
                $columns->string('by');
                $columns->string('subject');
                $columns->bigInteger('row_id');
                $columns->bigInteger('person_id')->nullable();
                $columns->bigInteger('course_id')->nullable();
                $columns->string('what');
                $columns->text('content');
            });
        }
        $columns = 'at, rank, by, subject, row_id, person_id, course_id, what, content';
        foreach (Known::queries(gmdate('Y-m-d H:i:s', $now), $isMadeUp) as $query) {
            DB::insert("insert into ledger_known ({$columns}) {$query}");
        }
        DB::insert("insert into ledger_history ({$columns}) select {$columns} from ledger_known order by at, rank, subject, row_id, person_id");
        Schema::drop('ledger_known');
    }

    /** @return array{int, string, string, string, int, null, null, string, string} the entry that says from when on all is known */
    private static function whole(int $at): array
    {
        return [$at, 'program', self::CAUSE, 'ledger', 0, null, null, 'whole', '{}'];
    }

    private static function number(mixed $value): ?int
    {
        return $value === null ? null : Value::int($value);
    }
}
