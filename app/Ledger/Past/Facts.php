<?php

declare(strict_types=1);

namespace App\Ledger\Past;

/** Rows as they were, from entries of the ledger alone. */
final class Facts
{
    /** @var array<string, array<int, array<int, Fact>>> by subject, person (0: nobody's) and row */
    private array $facts = [];

    /** @param  iterable<Entry>  $entries */
    public static function after(iterable $entries): self
    {
        $facts = new self;
        foreach ($entries as $entry) {
            $facts->take($entry);
        }

        return $facts;
    }

    public function take(Entry $entry): void
    {
        $fact = $entry->fact;
        if ($entry->what === 'gone') {
            unset($this->facts[$entry->subject][$fact->person ?? 0][$fact->row]);
        } else {
            $this->facts[$entry->subject][$fact->person ?? 0][$fact->row] = $fact;
        }
    }

    public function put(string $subject, Fact $fact): void
    {
        $this->facts[$subject][$fact->person ?? 0][$fact->row] = $fact;
    }

    /**
     * @param  ?int  $person  null: nobody's
     * @return array<int, Fact> by row, ascending
     */
    public function of(string $subject, ?int $person = null): array
    {
        $rows = $this->facts[$subject][$person ?? 0] ?? [];
        ksort($rows);

        return $rows;
    }
}
