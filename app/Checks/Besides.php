<?php

declare(strict_types=1);

namespace App\Checks;

use App\Words\Say;
use App\Words\Sentence;

/** Something found in what is not rules: in who holds what, in texts, in notices. */
final readonly class Besides
{
    /**
     * @param  string  $why  it matters; empty: it is said with it
     * @param  ?string  $where  address of where it is put right; null: of the course
     */
    private function __construct(public Sentence $what, public string $why, public ?string $where)
    {
    }

    /**
     * @param  string  $kind  as lang/en/checks.php names it
     * @param  array<string, string|int>  $with
     * @param  array<string, string|list<string>>  $titles
     */
    public static function of(string $kind, array $with = [], array $titles = [], ?string $where = null): self
    {
        return new self(Sentence::say("checks.besides.{$kind}", $with, $titles), Say::text("checks.besides_why.{$kind}"), $where);
    }

    /** What another room has found, said already. */
    public static function told(string $sentence, ?string $where): self
    {
        return new self(Sentence::of($sentence), '', $where);
    }
}
