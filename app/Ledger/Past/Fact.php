<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Database\Value;

/** A row as an entry of the ledger has it. */
final readonly class Fact
{
    /** @param  array<array-key, mixed>  $content  columns by name, as the database has them */
    public function __construct(public int $row, public ?int $person, public ?int $course, private array $content)
    {
    }

    public function text(string $column): string
    {
        return Value::text($this->content[$column] ?? null);
    }

    public function textOrNull(string $column): ?string
    {
        return isset($this->content[$column]) ? Value::text($this->content[$column]) : null;
    }

    public function intOrNull(string $column): ?int
    {
        return isset($this->content[$column]) ? Value::int($this->content[$column]) : null;
    }

    public function flag(string $column): bool
    {
        return Value::int($this->content[$column] ?? null) === 1;
    }

    /** Seconds since 1970; null: never. */
    public function instant(string $column): ?int
    {
        return isset($this->content[$column]) ? Value::instant(Value::text($this->content[$column])) : null;
    }

    public function with(string $column, ?string $value): self
    {
        return new self($this->row, $this->person, $this->course, [...$this->content, $column => $value]);
    }
}
