<?php

declare(strict_types=1);

namespace App\Cartridges;

/** The outline of a course from a Common Cartridge. */
final readonly class Cartridge
{
    /**
     * @param  list<CartridgeItem>  $items
     * @param  list<array{what: 'quiz'|'tool'|'file'|'text'|'other', title: string}>  $left  what could not be taken, the first of each title
     */
    public function __construct(public string $title, public array $items, public array $left)
    {
    }
}
