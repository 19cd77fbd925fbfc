<?php

declare(strict_types=1);

namespace App\Ledger\Recording;

use App\Database\Dialects;

/** A table on which access depends: each change of one of its rows is an entry of the ledger. */
final readonly class Subject
{
    /**
     * @param  string  $row  column by which rows are told apart, at least those of one person
     * @param  ?string  $person  column that says whose it is; null: nobody's
     * @param  ?string  $course  column that says of which course it is; null: of none, or of all
     * @param  list<string>  $columns  what is kept of it besides
     * @param  list<string>  $flags  those of the columns that are yes or no
     * @param  list<string>  $digests  texts that are never altered and of which only a digest is kept
     */
    public function __construct(public string $table, public string $row, public ?string $person, public ?string $course, public array $columns, public array $flags = [], public array $digests = [])
    {
    }

    /** @return list<string> all that the ledger knows of a row */
    public function known(): array
    {
        return array_values(array_unique(array_filter([$this->row, $this->person, $this->course, ...$this->columns], is_string(...))));
    }

    /** @return list<string> by which a row is told from all others */
    public function key(): array
    {
        return $this->row === 'id' ? ['id'] : array_values(array_filter([$this->person, $this->row], is_string(...)));
    }

    /**
     * What an entry holds of a row, as SQL for a JSON object.
     *
     * @param  string  $row  alias of the row, as `new`
     * @param  array<string, string>  $instead  SQL in place of some columns
     */
    public function content(string $row, array $instead = []): string
    {
        $dialect = Dialects::spoken();
        $members = [];
        foreach ($this->columns as $column) {
            $members[$column] = $instead[$column] ?? (in_array($column, $this->flags, true) ? "cast({$row}.\"{$column}\" as int)" : "{$row}.\"{$column}\"");
        }
        foreach ($this->digests as $column) {
            $members[$column] = $dialect->digest("{$row}.\"{$column}\"");
        }

        return $dialect->object($members);
    }
}
