<?php

declare(strict_types=1);

namespace App\Ledger\Proof;

use App\Database\LedgerWords;
use App\Database\Lists;
use App\Database\Value;
use Illuminate\Support\Facades\DB;

/** All entries of the ledger, one after the other: whether each is as it was written, where it was written. */
final readonly class Chain
{
    private const ROWS = 2000;

    private const COLUMNS = ['id', 'at', 'by', 'cause', 'subject', 'row_id', 'person_id', 'course_id', 'what', 'content', 'chain'];

    /**
     * @param  list<Head>  $heads  noted elsewhere when they were the last entries
     * @return array{entries: int, findings: list<Finding>}
     */
    public function read(array $heads = []): array
    {
        $heads = array_column([...$heads, ...self::noted()], 'chain', 'entry');
        $findings = [];
        $entries = $last = 0;
        $chain = '';
        do {
            $read = 0;
            foreach (Lists::of(DB::table('ledger')->where('id', '>', $last)->orderBy('id')->limit(self::ROWS)->select(self::COLUMNS)) as $row) {
                $read++;
                $entry = (int) $row[0];
                $is = (string) $row[10];
                if ($entry !== $last + 1) {
                    $findings[] = self::missing($last + 1, $entry - 1);
                } elseif (LedgerWords::chained([$chain, ...array_slice($row, 1, 9)]) !== $is) {
                    $findings[] = new Finding('altered', (string) $entry);
                }
                if (isset($heads[$entry]) && $heads[$entry] !== $is) {
                    $findings[] = new Finding('head', (string) $entry);
                }
                unset($heads[$entry]);
                [$last, $chain] = [$entry, $is];
            }
            $entries += $read;
        } while ($read > 0);
        // What was noted and is not there any more.
        $heads === [] || $findings[] = self::missing($last + 1, max(array_keys($heads)));

        return ['entries' => $entries, 'findings' => self::joined($findings)];
    }

    private static function missing(int $first, int $last): Finding
    {
        return new Finding('missing', $first === $last ? (string) $first : "{$first} to {$last}", $last - $first + 1);
    }

    /**
     * Entries side by side that are altered are told in one.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function joined(array $findings): array
    {
        $joined = [];
        foreach ($findings as $finding) {
            $before = end($joined) ?: null;
            if ($finding->kind === 'altered' && $before?->kind === 'altered' && (int) $finding->place === (int) explode(' to ', $before->place)[0] + $before->count) {
                array_pop($joined);
                $joined[] = new Finding('altered', explode(' to ', $before->place)[0]." to {$finding->place}", $before->count + 1);
            } else {
                $joined[] = $finding;
            }
        }

        return $joined;
    }

    /** @return list<Head> as the log has them */
    private static function noted(): array
    {
        $heads = [];
        foreach (DB::table('activities')->where('action', NoteHead::ACTION)->orderBy('id')->pluck('after') as $after) {
            $told = json_decode(Value::text($after), true);
            $head = Head::from(is_array($told) ? Value::text($told['head'] ?? null) : '');
            $head === null || $heads[] = $head;
        }

        return $heads;
    }
}
