<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Deciding\StateChange;
use SilentKeep\Core\Outline\Outline;

/** The whole answer on a course for one viewer at one instant, a byte or an entry an item in reading order. */
final readonly class Answers
{
    private const STATES = ['o' => State::Open, 'l' => State::Locked, 'h' => State::Hidden];

    /**
     * @param  string  $states  `o`, `l` or `h`
     * @param  string  $via  what leads there, named by `$routes`
     * @param  array<array-key, ?Route>  $routes  by byte
     * @param  string  $works  mask: open to work in
     * @param  list<list<Reason>>  $why
     * @param  list<?StateChange>  $next
     */
    public function __construct(
        private Outline $outline,
        public string $states,
        private string $via,
        private array $routes,
        public string $works,
        public array $why,
        public array $next,
    ) {
    }

    public function via(int $item): ?Route
    {
        return $this->routes[$this->via[$item]] ?? null;
    }

    /** @return list<Decision> */
    public function decisions(): array
    {
        $decisions = [];
        foreach ($this->outline->items as $item => $it) {
            $decisions[] = new Decision(
                $it->key,
                self::STATES[$this->states[$item]] ?? State::Locked,
                $this->routes[$this->via[$item]] ?? null,
                $this->works[$item] === Mask::IN,
                $this->why[$item],
                $this->next[$item],
            );
        }

        return $decisions;
    }
}
