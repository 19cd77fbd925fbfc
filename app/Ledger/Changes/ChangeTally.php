<?php

declare(strict_types=1);

namespace App\Ledger\Changes;

use App\Ledger\Past\PastLooker;
use SilentKeep\Core\Foresight\Comparing\Change;
use SilentKeep\Core\Foresight\Effect;

/**
 * What became otherwise for many, added up: by cause and effect, how many items of how many people. Each item of each of them is counted
 * once, so the causes add up to all of it.
 */
final class ChangeTally
{
    /** People that are kept by number of each. */
    public const KEPT = 200;

    /**
     * @param  array<string, array<string, array{int, int, list<string>}>>  $causes  items, people and some of them, as {@see named()}, by cause and effect
     * @param  array<string, array{int, int}>  $all  items and people by effect
     */
    private function __construct(public int $looked = 0, public int $touched = 0, public array $causes = [], public array $all = [])
    {
    }

    /** @param  array<array-key, mixed>  $kept  as {@see toArray()} made it, or nothing */
    public static function from(array $kept): self
    {
        /** @var array{looked?: int, touched?: int, causes?: array<string, array<string, array{int, int, list<string>}>>, all?: array<string, array{int, int}>} $kept */
        return new self($kept['looked'] ?? 0, $kept['touched'] ?? 0, $kept['causes'] ?? [], $kept['all'] ?? []);
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

    /** @return array{looked: int, touched: int, causes: array<string, array<string, array{int, int, list<string>}>>, all: array<string, array{int, int}>} */
    public function toArray(): array
    {
        return ['looked' => $this->looked, 'touched' => $this->touched, 'causes' => $this->causes, 'all' => $this->all];
    }

    /** @param  array<array-key, Change>  $changes  by item */
    public function add(PastLooker $looker, array $changes): void
    {
        $this->looked++;
        $this->touched += $changes === [] ? 0 : 1;
        $by = $effects = [];
        foreach ($changes as $change) {
            $effect = $change->effect->value;
            $cause = $change->cause ?? Cause::TIME;
            $by[$cause][$effect] = ($by[$cause][$effect] ?? 0) + 1;
            $effects[$effect] = ($effects[$effect] ?? 0) + 1;
        }
        foreach ($by as $cause => $counts) {
            foreach ($counts as $effect => $items) {
                [$had, $people, $some] = $this->causes[$cause][$effect] ?? [0, 0, []];
                $this->causes[$cause][$effect] = [$had + $items, $people + 1, count($some) < self::KEPT ? [...$some, self::named($looker)] : $some];
            }
        }
        foreach ($effects as $effect => $items) {
            [$had, $people] = $this->all[$effect] ?? [0, 0];
            $this->all[$effect] = [$had + $items, $people + 1];
        }
    }

    /** By number; an observer with that of whom they look in on, after a blank. */
    public static function named(PastLooker $looker): string
    {
        return $looker->person.($looker->observed === null ? '' : " {$looker->observed}");
    }

    /** @return list<Effect> those that there are, in the order in which they are told */
    public function effects(): array
    {
        return array_values(array_filter(Effect::cases(), fn (Effect $effect): bool => isset($this->all[$effect->value])));
    }
}
