<?php

declare(strict_types=1);

namespace App\Ledger\Rebuilding;

use App\Database\Copying\OtherDatabase;
use App\Database\Lists;
use App\Database\Room;
use App\Ledger\Recording\Entries;
use App\Ledger\Recording\Recording;
use App\Ledger\Recording\Subject;
use App\Ledger\Recording\Subjects;
use Closure;
use Illuminate\Support\Facades\DB;

/** The tables on which access depends beside what the ledger says of them. */
final readonly class PresentTables
{
    private const ROWS = 500;

    /**
     * As they are at one instant: nobody waits meanwhile.
     *
     * @return array<string, Difference> by table
     */
    public function differences(): array
    {
        $instant = OtherDatabase::sameAgain();
        $instant->connection->unprepared(DB::getDriverName() === 'pgsql' ? 'begin isolation level repeatable read' : 'begin');
        try {
            $rebuilt = new Rebuilt($instant->connection);
            $rebuilt->make();

            return array_map($rebuilt->difference(...), Subjects::all());
        } finally {
            // With the connection all goes that was made for it.
            $instant->close();
        }
    }

    /**
     * Puts what the ledger says in place of what is there. Whoever writes waits meanwhile.
     *
     * @return array<string, Difference> what was put right, by table
     */
    public function putBack(): array
    {
        return self::locked(static function (Rebuilt $rebuilt): array {
            $differences = array_map($rebuilt->difference(...), Subjects::all());
            // It is written already.
            Recording::end();
            foreach (Subjects::all() as $table => $subject) {
                $differences[$table]->count() === 0 || $rebuilt->put($subject);
            }
            Recording::begin();

            return $differences;
        });
    }

    /**
     * The other way round: the ledger takes over what is there. Whoever writes waits meanwhile.
     *
     * @return int how many entries that took
     */
    public function takeOver(int $at, string $by, string $cause): int
    {
        return self::locked(static function (Rebuilt $rebuilt) use ($at, $by, $cause): int {
            $written = 0;
            $entries = new Entries;
            foreach (Subjects::all() as $subject) {
                foreach ($rebuilt->unwritten($subject) as $what => $query) {
                    foreach (array_chunk(Lists::of($query), self::ROWS) as $rows) {
                        $entries->write(array_map(static fn (array $row): array => self::says($subject, $at, $by, $cause, $what, $row), $rows));
                        $written += count($rows);
                    }
                }
            }

            return $written;
        });
    }

    /**
     * @param  list<int|float|string|null>  $row  row, person, course and content
     * @return array{int, string, string, string, int, ?int, ?int, string, string}
     */
    private static function says(Subject $subject, int $at, string $by, string $cause, string $what, array $row): array
    {
        return [$at, $by, $cause, $subject->table, (int) $row[0], $row[1] === null ? null : (int) $row[1], $row[2] === null ? null : (int) $row[2], $what, (string) $row[3]];
    }

    /**
     * @template T
     *
     * @param  Closure(Rebuilt): T  $do
     * @return T
     */
    private static function locked(Closure $do): mixed
    {
        return DB::transaction(static fn (): mixed => Room::for(static function () use ($do): mixed {
            $rebuilt = new Rebuilt(DB::connection());
            $rebuilt->make();
            $done = $do($rebuilt);
            $rebuilt->drop();

            return $done;
        }));
    }
}
