<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

/**
 * What the holders of an offer share who have the same labels between the same dates of conditions: what they may come to at
 * all, what counts for them, and what must come before what.
 */
final class Footing
{
    /** Whose scope, tier and audience let them in. */
    public readonly string $inReach;

    public readonly Precedence $precedence;

    private ?string $failing = null;

    /**
     * @param  string  $name  digits, another for each
     * @param  string  $eligible  what counts for a pass
     */
    public function __construct(private readonly CompiledCourse $course, private readonly Profile $profile, public readonly string $name, public readonly string $audience, public readonly string $eligible)
    {
        $this->inReach = $profile->covered & $audience;
        $this->precedence = $course->precedence($eligible);
    }

    /** In which order all that its holders may come to opens; null: things wait for each other in a circle. */
    public function itinerary(): ?Itinerary
    {
        return $this->course->itinerary($this);
    }

    /** The failing gates that depend on neither time nor work, as {@see Why} has them. */
    public function failing(): string
    {
        return $this->failing ??= $this->course->conditions->none ? $this->profile->failingAlways : $this->profile->failingAlways | Mask::as($this->audience ^ $this->course->all, 4);
    }
}
