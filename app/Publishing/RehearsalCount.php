<?php

declare(strict_types=1);

namespace App\Publishing;

/** How far a rehearsal has come: people first, then observers, each with one of the learners they look in on. */
final class RehearsalCount
{
    public const PEOPLE = 'people';

    public const OBSERVERS = 'observers';

    public const DONE = 'done';

    /** @param  int  $lastId  everybody of the phase up to this one is counted */
    private function __construct(public RehearsalTally $people, public RehearsalTally $observers, public string $phase = self::PEOPLE, public int $lastId = 0)
    {
    }

    public static function none(): self
    {
        return new self(RehearsalTally::none(), RehearsalTally::none());
    }

    public static function at(string $people, string $observers, string $phase, int $lastId): self
    {
        return new self(RehearsalTally::fromJson($people), RehearsalTally::fromJson($observers), $phase, $lastId);
    }

    /** From whom something is taken or put off. */
    public function losers(): int
    {
        return $this->people->losers + $this->observers->losers;
    }

    public function looked(): int
    {
        return $this->people->people + $this->observers->people;
    }
}
