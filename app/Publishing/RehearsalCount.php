<?php

declare(strict_types=1);

namespace App\Publishing;

/** How far a rehearsal, or a part of one, has come: people first, then observers, each with one of the learners they look in on. */
final class RehearsalCount
{
    public const PEOPLE = 'people';

    public const OBSERVERS = 'observers';

    public const DONE = 'done';

    /**
     * @param  int  $lastId  everybody of the phase up to this one is counted
     * @param  bool  $inPart  whether it ends with its phase
     * @param  ?int  $upTo  the last of the part; null: to the end
     */
    private function __construct(
        public RehearsalTally $people,
        public RehearsalTally $observers,
        public string $phase = self::PEOPLE,
        public int $lastId = 0,
        private readonly bool $inPart = false,
        public readonly ?int $upTo = null,
    ) {
    }

    public static function none(): self
    {
        return new self(RehearsalTally::none(), RehearsalTally::none());
    }

    public static function at(string $people, string $observers, string $phase, int $lastId): self
    {
        return new self(RehearsalTally::fromJson($people), RehearsalTally::fromJson($observers), $phase, $lastId);
    }

    public static function ofPart(string $tally, string $phase, int $lastId, ?int $upTo): self
    {
        [$found, $none] = [RehearsalTally::fromJson($tally), RehearsalTally::none()];

        return $phase === self::PEOPLE ? new self($found, $none, $phase, $lastId, inPart: true, upTo: $upTo) : new self($none, $found, $phase, $lastId, inPart: true, upTo: $upTo);
    }

    /** Of its phase all are counted. */
    public function next(): void
    {
        $this->phase = $this->phase === self::PEOPLE && ! $this->inPart ? self::OBSERVERS : self::DONE;
        $this->lastId = 0;
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
