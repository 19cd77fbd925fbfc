<?php

declare(strict_types=1);

namespace App\Learning;

/** Something that opens or closes of a course for somebody, or all that ends with their pass. */
final readonly class DateTurn
{
    /**
     * @param  int  $at  instant
     * @param  ?string  $key  of what opens or closes; null: all that the pass has opened closes
     * @param  list<string>  $titles  of it, or of all that close together
     * @param  list<string>  $mark  the same for the same one, wherever it moves
     */
    public function __construct(public int $at, public ?string $key, public array $titles, public bool $opens, public bool $ending, public array $mark)
    {
    }
}
