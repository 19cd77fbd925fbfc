<?php

declare(strict_types=1);

namespace App\Ledger\Proof;

use App\Database\Value;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

/** The last entry of the ledger. Whoever has noted it elsewhere knows later whether anything before it was touched. */
final readonly class Head
{
    /** @param  string  $chain  its link: 44 letters */
    public function __construct(public int $entry, public string $chain)
    {
    }

    public static function now(?Connection $database = null): self
    {
        $last = ($database ?? DB::connection())->table('ledger')->orderByDesc('id')->first(['id', 'chain']);

        return new self(Value::int($last->id ?? null), Value::text($last->chain ?? null));
    }

    /** As it is told, and understood by {@see self::from()}. */
    public function told(): string
    {
        return "{$this->entry}:{$this->chain}";
    }

    public static function from(string $told): ?self
    {
        return preg_match('#^(\d{1,18}):([A-Za-z0-9+/]{43}=)$#D', $told, $parts) === 1 ? new self((int) $parts[1], $parts[2]) : null;
    }
}
