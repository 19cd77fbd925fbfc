<?php

declare(strict_types=1);

namespace App\People;

use App\People\Acts\ActStep;

/** How many people an act does something to, or nothing, and what; with the names of the first. */
final class Outcomes
{
    private const NAMES = 20;

    /** @param  array<array-key, array{count: int, changes: bool, names: list<string>}>  $counts  by outcome */
    private function __construct(private array $counts)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    public static function fromJson(string $json): self
    {
        /** @var array<array-key, array{count: int, changes: bool, names: list<string>}> $counts as toJson() wrote them */
        $counts = json_decode($json, true, 512, JSON_THROW_ON_ERROR);

        return new self($counts);
    }

    public function toJson(): string
    {
        return json_encode((object) $this->counts, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    public function add(ActStep $step, string $name): void
    {
        $this->counts[$step->outcome] ??= ['count' => 0, 'changes' => $step->doesSomething(), 'names' => []];
        $this->counts[$step->outcome]['count']++;
        if (count($this->counts[$step->outcome]['names']) < self::NAMES) {
            $this->counts[$step->outcome]['names'][] = $name;
        }
    }

    /** @return array<array-key, array{count: int, changes: bool, names: list<string>}> what changes something first, then by number */
    public function sorted(): array
    {
        $counts = $this->counts;
        uasort($counts, static fn (array $a, array $b): int => [$b['changes'], $b['count']] <=> [$a['changes'], $a['count']]);

        return $counts;
    }
}
