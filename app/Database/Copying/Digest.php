<?php

declare(strict_types=1);

namespace App\Database\Copying;

use HashContext;

/** What stands in rows, in their order, in few letters. */
final class Digest
{
    private HashContext $hash;

    private int $rows = 0;

    private ?string $told = null;

    public function __construct()
    {
        $this->hash = hash_init('xxh128');
    }

    /** @param  list<list<?string>>  $rows */
    public function add(array $rows): void
    {
        $this->rows += count($rows);
        hash_update($this->hash, serialize($rows));
    }

    public function rows(): int
    {
        return $this->rows;
    }

    public function told(): string
    {
        return $this->told ??= hash_final($this->hash);
    }
}
