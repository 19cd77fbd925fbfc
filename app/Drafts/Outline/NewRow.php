<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

/** A row that is to be added to an outline. */
final readonly class NewRow
{
    /** @param  int  $depth  how far inside the place where all are put; at most one more than the row before has */
    public function __construct(public int $depth, public string $kind, public string $title)
    {
    }
}
