<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Comparing;

use SilentKeep\Core\Foresight\Effect;

/** What became otherwise for somebody on an item, and by what. */
final readonly class Change
{
    /** @param  ?string  $cause  of the stage that brought it; null: time alone did */
    public function __construct(public Effect $effect, public ?string $cause)
    {
    }
}
