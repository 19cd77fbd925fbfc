<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Deciding\StateChange;
use SilentKeep\Core\Outline\Outline;

/**
 * The whole answer on a course for one viewer at one instant, a byte an item in reading order; spelled out item by item only
 * when it is read.
 */
final readonly class Answers
{
    private const STATES = ['o' => State::Open, 'l' => State::Locked, 'h' => State::Hidden];

    /**
     * @param  string  $states  `o`, `l` or `h`
     * @param  string  $via  what leads there, named by `$routes`
     * @param  array<array-key, ?Route>  $routes  by byte
     * @param  string  $works  mask: open to work in
     * @param  array<int, int>  $next  of every item, as {@see ChangeCode}
     */
    public function __construct(
        private Outline $outline,
        public string $states,
        private string $via,
        private array $routes,
        public string $works,
        private Why $why,
        private array $next,
    ) {
    }

    public function via(int $item): ?Route
    {
        return $this->routes[$this->via[$item]] ?? null;
    }

    /** @return list<Reason> */
    public function why(int $item): array
    {
        return $this->why->at($item);
    }

    public function next(int $item): ?StateChange
    {
        return ChangeCode::told($this->next[$item]);
    }

    /** State, way in and leave to work there, in a few letters: the same for the same. */
    public function codeOf(int $item): string
    {
        return $this->states[$item].($this->routes[$this->via[$item]] ?? null)?->value.($this->works[$item] === Mask::IN ? '+' : '-');
    }

    /**
     * The items that are not the same in both; now and then also one that is.
     *
     * @return \Generator<int, int> positions, ascending
     */
    public function changedFrom(self $other): \Generator
    {
        $differs = ($this->states ^ $other->states) | ($this->works ^ $other->works) | ($this->why->bytes ^ $other->why->bytes)
            | ($this->why->learnerCannot === $other->why->learnerCannot && $this->routes === $other->routes ? $this->via ^ $other->via : $this->states);
        foreach ($this->next as $item => $next) {
            if ($next !== $other->next[$item]) {
                $differs[$item] = Mask::IN;
            }
        }
        for ($item = strspn($differs, Mask::OUT); $item < strlen($differs); $item += 1 + strspn($differs, Mask::OUT, $item + 1)) {
            yield $item;
        }
    }

    public function decision(int $item): Decision
    {
        return new Decision(
            $this->outline->items[$item]->key,
            self::STATES[$this->states[$item]] ?? State::Locked,
            $this->routes[$this->via[$item]] ?? null,
            $this->works[$item] === Mask::IN,
            $this->why->at($item),
            ChangeCode::told($this->next[$item]),
        );
    }

    /** @return list<Decision> */
    public function decisions(): array
    {
        $decisions = [];
        $works = $this->works;
        $states = array_map(static fn (string $letter): State => self::STATES[$letter] ?? State::Locked, str_split($this->states));
        $via = str_split($this->via);
        $why = $this->why->all();
        $changes = [];
        foreach ($this->outline->items as $at => $item) {
            $next = $this->next[$at];
            $decisions[] = new Decision($item->key, $states[$at], $this->routes[$via[$at]] ?? null, $works[$at] === Mask::IN, $why[$at], $next === ChangeCode::NONE ? null : $changes[$next] ??= ChangeCode::told($next));
        }

        return $decisions;
    }
}
