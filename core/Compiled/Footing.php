<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

/**
 * What the holders of an offer share who have the same labels between the same dates of conditions: what they may come to at
 * all, what counts for them, and what must come before what.
 */
final class Footing
{
    /** How many answers are kept; holders who have done the same have the same ones. */
    private const MOST_KEPT = 256;

    /** Whose scope, tier and audience let them in. */
    public readonly string $inReach;

    public readonly Precedence $precedence;

    private ?string $failing = null;

    private ?Itinerary $itinerary = null;

    /** @var array<string, Progress> by what is done */
    private array $progress = [];

    /** @var array<string, string> by what is done */
    private array $lasting = [];

    /** @param  string  $eligible  what counts for a pass */
    public function __construct(private readonly CompiledCourse $course, private readonly Profile $profile, public readonly string $audience, public readonly string $eligible)
    {
        $this->inReach = $profile->covered & $audience;
        $this->precedence = $course->precedence($eligible);
    }

    /**
     * What passes all gates but those of time.
     *
     * @param  string  $done  mask
     */
    public function lasting(string $done): string
    {
        if (isset($this->lasting[$done])) {
            return $this->lasting[$done];
        }
        if (count($this->lasting) >= self::MOST_KEPT) {
            $this->lasting = [];
        }

        return $this->lasting[$done] = $this->inReach & $this->progress($done)->passes();
    }

    /**
     * To ask only: whoever follows somebody on their way makes a {@see self::journey()}.
     *
     * @param  string  $done  mask
     */
    public function progress(string $done): Progress
    {
        if (isset($this->progress[$done])) {
            return $this->progress[$done];
        }
        if (count($this->progress) >= self::MOST_KEPT) {
            $this->progress = [];
        }

        return $this->progress[$done] = $this->journey($done);
    }

    /** Progress of its own, that may be told of what is finished. */
    public function journey(string $done): Progress
    {
        return new Progress($this->course, $this->precedence, $done);
    }

    /** In which order all that its holders may come to opens; null: things wait for each other in a circle. */
    public function itinerary(): ?Itinerary
    {
        $this->itinerary ??= new Itinerary($this->course, $this->precedence, $this->inReach);

        return $this->itinerary->circular ? null : $this->itinerary;
    }

    /** The failing gates that depend on neither time nor work, as {@see Why} has them. */
    public function failing(): string
    {
        return $this->failing ??= $this->course->conditions->none ? $this->profile->failingAlways : $this->profile->failingAlways | Mask::as($this->audience ^ $this->course->all, 4);
    }
}
