<?php

declare(strict_types=1);

namespace App\Database\Copying;

/** A table as both databases have it. */
final readonly class CopiedTable
{
    /**
     * @param  array<string, string>  $columns  'bool', 'integer', 'float' or 'text' by name, in the order of the first database
     * @param  non-empty-list<string>  $key  by which its rows are told apart
     */
    public function __construct(public string $name, public array $columns, public array $key)
    {
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->columns);
    }
}
