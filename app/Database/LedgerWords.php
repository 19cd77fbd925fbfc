<?php

declare(strict_types=1);

namespace App\Database;

use Carbon\FactoryImmutable;
use Closure;
use PDO;

/** What SQLite asks of this program when it writes the ledger. Whoever opens the file with another program can read it, and change nothing on which access depends. */
final class LedgerWords
{
    private function __construct()
    {
    }

    /** @param  ?Closure(): Hand  $hand  null: that of whatever is at work here */
    public static function teach(PDO $sqlite, ?Closure $hand = null): void
    {
        $hand ??= static fn (): Hand => app(Hand::class);
        $sqlite->sqliteCreateFunction('keep_at', static fn (): int => $hand()->now(), 0);
        $sqlite->sqliteCreateFunction('keep_by', static fn (): string => $hand()->by(), 0);
        $sqlite->sqliteCreateFunction('keep_cause', static fn (): string => $hand()->cause(), 0);
        $sqlite->sqliteCreateFunction('keep_digest', self::digest(...), 1);
        // After the others: SQLite evaluates the columns of a row from left to right.
        $sqlite->sqliteCreateFunction('keep_chain', static function (string $previous, string $subject, int $row, ?int $person, ?int $course, string $what, string $content) use ($hand): string {
            $own = $hand();

            return self::chained([$previous, $own->told(), $own->by(), $own->cause(), $subject, $row, $person, $course, $what, $content]);
        }, 7);
    }

    /** For a program that is not this one, as one that fills a school to be measured. */
    public static function teachAlone(PDO $sqlite): void
    {
        $hand = new Hand(new FactoryImmutable);
        self::teach($sqlite, static fn (): Hand => $hand);
    }

    /** SHA-256 in base64: 44 letters. */
    public static function digest(string $text): string
    {
        return base64_encode(hash('sha256', $text, binary: true));
    }

    /**
     * How entries of the ledger are chained: each tells in few letters all that stands in it, and all that stood in those before it.
     *
     * @param  list<string|int|float|null>  $says  the link of the entry before, then its own instant, by, cause, subject, row, person, course, what and content
     */
    public static function chained(array $says): string
    {
        // A byte that stands in none of them parts them: no two entries can be written alike.
        return self::digest(implode("\x1f", $says));
    }
}
