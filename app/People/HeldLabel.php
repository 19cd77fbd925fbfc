<?php

declare(strict_types=1);

namespace App\People;

/** A label that somebody has now, and why. */
final readonly class HeldLabel
{
    /**
     * @param  string  $source  what gave it: an act, a file, an offer by its name
     * @param  bool  $byPass  for as long as a pass of that offer is active
     * @param  ?int  $until  the first instant at which it is not held any more; null: for good
     */
    public function __construct(public string $label, public string $source, public bool $byPass, public ?int $until)
    {
    }
}
