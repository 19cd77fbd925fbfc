<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Models\Draft;
use App\Words\Sentence;

/** An edit that is in the draft. */
final readonly class MadeEdit
{
    /** @param  list<Sentence>  $meanwhile  what others had set since the editor looked, and which stands beside this edit */
    public function __construct(public Draft $draft, public array $meanwhile = [], public ?string $who = null)
    {
    }
}
