<?php

declare(strict_types=1);

namespace App\People\Acts;

/** A row that is made, changed or taken away, with as much of it as is needed to undo that. */
final readonly class RowChange
{
    /**
     * @param  ?int  $id  null: not made yet
     * @param  ?array<string, scalar|null>  $before  columns; null: it was not there
     * @param  ?array<string, scalar|null>  $after  null: it is taken away
     */
    public function __construct(public string $table, public ?int $id, public ?array $before, public ?array $after)
    {
    }

    /** @param  array<string, scalar|null>  $columns */
    public static function made(string $table, array $columns): self
    {
        return new self($table, null, null, $columns);
    }

    public function withId(int $id): self
    {
        return new self($this->table, $id, $this->before, $this->after);
    }
}
