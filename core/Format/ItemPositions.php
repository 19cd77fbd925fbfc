<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;

/** Where the items of a course stand, known before anything that may refer to them is read. */
final class ItemPositions
{
    /** @var array<array-key, int> position by item key */
    private array $position = [];

    /** @var list<int<-1, max>> the position of the item above, or Outline::TOP */
    private array $parent = [];

    /** @var list<?Kind> */
    private array $kinds = [];

    public function __construct(Fields $course)
    {
        $this->number($course, Outline::TOP);
    }

    public function of(string $key): ?int
    {
        return $this->position[$key] ?? null;
    }

    /**
     * Of items that a list names.
     *
     * @param  array<int, string>  $keys
     * @param  ?\Closure(int): ?string  $objection
     * @return list<int>
     */
    public function listed(array $keys, Fields $fields, string $list, ?\Closure $objection = null): array
    {
        $positions = [];
        foreach ($keys as $index => $key) {
            $position = $this->position[$key] ?? null;
            $message = $position === null ? 'names an item that the course does not have: '.$key : ($objection === null ? null : $objection($position));
            if ($message !== null) {
                $fields->offences->add($fields->at($list).'/'.$index, $message);
            } elseif ($position !== null) {
                $positions[] = $position;
            }
        }

        return $positions;
    }

    /** Why an item cannot be waited for by another; null: it can. */
    public function cannotComeFirst(int $item, int $of): ?string
    {
        return match (true) {
            $this->kinds[$item] === Kind::Board => 'a board is never finished, so nothing can wait for it',
            $item === $of => 'an item cannot wait for itself',
            $this->isAbove($item, $of) => 'an item cannot wait for one that it is inside of',
            $this->isAbove($of, $item) => 'an item cannot wait for one that is inside it',
            default => null,
        };
    }

    /** @param  int<-1, max>  $above */
    private function number(Fields $container, int $above): void
    {
        foreach ($container->objectsInSilence('items') as $fields) {
            $at = count($this->parent);
            $this->parent[] = $above;
            $kind = $fields->raw('kind');
            $this->kinds[] = is_string($kind) ? Kind::tryFrom($kind) : null;
            $key = $fields->raw('key');
            if (is_string($key)) {
                if (isset($this->position[$key])) {
                    $fields->offend('key', 'is used twice in this course: '.$key);
                }
                $this->position[$key] ??= $at;
            }
            $this->number($fields, $at);
        }
    }

    private function isAbove(int $upper, int $lower): bool
    {
        for ($at = $this->parent[$lower]; $at !== Outline::TOP; $at = $this->parent[$at]) {
            if ($at === $upper) {
                return true;
            }
        }

        return false;
    }
}
