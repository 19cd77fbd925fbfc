<?php

declare(strict_types=1);

namespace App\Models\Document;

/** Prerequisites of an item by name, read. */
final readonly class DocumentAfter extends Fields
{
    /** @return 'all'|'any'|'at_least' of {@see items()} */
    public function mode(): string
    {
        return match (true) {
            $this->texts('any') !== null => 'any',
            $this->texts('of') !== null => 'at_least',
            default => 'all',
        };
    }

    /** @return list<string> keys of items */
    public function items(): array
    {
        return $this->texts($this->mode() === 'at_least' ? 'of' : $this->mode()) ?? [];
    }

    /** How many of them are enough; null: that is not said. */
    public function atLeast(): ?int
    {
        return $this->int('at_least');
    }

    /** @return list<string> keys of items, in whatever way they are named */
    public function named(): array
    {
        return array_merge($this->texts('all') ?? [], $this->texts('any') ?? [], $this->texts('of') ?? []);
    }

    /**
     * With other items in place of some.
     *
     * @param  \Closure(string): ?string  $instead  null: it is left out
     * @return ?self null: nothing is left to be finished first
     */
    public function mapped(\Closure $instead): ?self
    {
        $after = $this->raw();
        foreach (['all', 'any', 'of'] as $list) {
            if (isset($after->{$list})) {
                $after->{$list} = array_values(array_filter(array_map($instead, $this->texts($list) ?? []), is_string(...)));
            }
        }
        $mapped = new self($after);
        if (isset($after->at_least) && $after->at_least > count($mapped->texts('of') ?? [])) {
            $after->at_least = count($mapped->texts('of') ?? []);
        }

        return $mapped->named() === [] ? null : $mapped;
    }
}
