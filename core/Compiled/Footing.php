<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Compiled\Order\Precedence;

/**
 * What the holders of an offer share who have the same labels between the same dates of conditions: what they may come to at
 * all, what counts for them, and what must come before what.
 */
final class Footing
{
    /** Whose scope, tier and audience let them in. */
    public readonly string $inReach;

    private ?string $failing = null;

    /** @param  string  $name  digits, another for each */
    public function __construct(private readonly CourseMasks $course, private readonly Profile $profile, public readonly string $name, public readonly Precedence $precedence, public readonly string $audience)
    {
        $this->inReach = $profile->covered & $audience;
    }

    /** The failing gates that depend on neither time nor work, as {@see Why} has them. */
    public function failing(): string
    {
        return $this->failing ??= $this->course->conditions->none ? $this->profile->failingAlways : $this->profile->failingAlways | Mask::as($this->audience ^ $this->course->all, 4);
    }
}
