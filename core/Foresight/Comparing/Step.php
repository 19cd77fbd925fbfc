<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Comparing;

/** From one standing to the next, whatever made the difference. */
final readonly class Step
{
    /** @param  ?string  $cause  null: time alone went on */
    public function __construct(public Prospect $before, public Prospect $after, public ?string $cause)
    {
    }
}
