<?php

declare(strict_types=1);

namespace App\Ledger\Recording;

use App\Database\LedgerWords;
use App\Database\Value;
use Illuminate\Support\Facades\DB;

/** Writes entries that no change of a row writes. To be called inside a transaction. */
final class Entries
{
    private int $entry;

    private string $chain;

    public function __construct()
    {
        $last = DB::table('ledger')->orderByDesc('id')->first(['id', 'chain']);
        [$this->entry, $this->chain] = [Value::int($last->id ?? null), Value::text($last->chain ?? null)];
    }

    /** @param  list<array{int, string, string, string, int, ?int, ?int, string, string}>  $entries  instant, by, cause, subject, row, person, course, what and content of each */
    public function write(array $entries): void
    {
        $rows = [];
        foreach ($entries as $says) {
            $this->entry++;
            $this->chain = LedgerWords::chained([$this->chain, ...$says]);
            $rows[] = array_combine(['id', 'at', 'by', 'cause', 'subject', 'row_id', 'person_id', 'course_id', 'what', 'content', 'chain'], [$this->entry, ...$says, $this->chain]);
        }
        if ($rows !== []) {
            DB::table('ledger')->insert($rows);
        }
    }
}
