<?php

declare(strict_types=1);

namespace App\Ledger\Changes;

use App\Ledger\Past\PastLooker;

/** What a rehearsal foretold beside what came, added up: people by effect, and by what those came to differ of whom it was otherwise. */
final class ForetoldTally
{
    /**
     * @param  array<string, int>  $foretold  people by effect
     * @param  array<string, int>  $came  likewise
     * @param  array<string, array<string, array{int, int, list<string>}>>  $why  by cause and effect: people of whom it was not foretold and came, of whom it was and did not come, and some of them
     */
    private function __construct(public int $looked = 0, public array $foretold = [], public array $came = [], public array $why = [])
    {
    }

    /** @param  array<array-key, mixed>  $kept  as {@see toArray()} made it, or nothing */
    public static function from(array $kept): self
    {
        /** @var array{looked?: int, foretold?: array<string, int>, came?: array<string, int>, why?: array<string, array<string, array{int, int, list<string>}>>} $kept */
        return new self($kept['looked'] ?? 0, $kept['foretold'] ?? [], $kept['came'] ?? [], $kept['why'] ?? []);
    }

    /**
     * Those of observers, each with one of the learners they look in on.
     *
     * @param  array<array-key, mixed>  $kept
     */
    public static function observersFrom(array $kept): self
    {
        return self::from(is_array($kept['observers'] ?? null) ? $kept['observers'] : []);
    }

    /** @return array{looked: int, foretold: array<string, int>, came: array<string, int>, why: array<string, array<string, array{int, int, list<string>}>>} */
    public function toArray(): array
    {
        return ['looked' => $this->looked, 'foretold' => $this->foretold, 'came' => $this->came, 'why' => $this->why];
    }

    /**
     * @param  list<string>  $foretold  effects
     * @param  list<string>  $came  effects
     * @param  string  $cause  the last that was written of them in between
     */
    public function add(PastLooker $looker, array $foretold, array $came, string $cause): void
    {
        $this->looked++;
        foreach ($foretold as $effect) {
            $this->foretold[$effect] = ($this->foretold[$effect] ?? 0) + 1;
        }
        foreach ($came as $effect) {
            $this->came[$effect] = ($this->came[$effect] ?? 0) + 1;
        }
        foreach ([...array_diff($foretold, $came), ...array_diff($came, $foretold)] as $effect) {
            [$more, $less, $some] = $this->why[$cause][$effect] ?? [0, 0, []];
            $unforeseen = in_array($effect, $came, true);
            $this->why[$cause][$effect] = [$more + ($unforeseen ? 1 : 0), $less + ($unforeseen ? 0 : 1), count($some) < ChangeTally::KEPT ? [...$some, ChangeTally::named($looker)] : $some];
        }
    }
}
