<?php

declare(strict_types=1);

namespace SilentKeep\Core\Viewing;

/** Which labels a viewer has when: their own, for good or for a time, and those that the offers of their active passes give. */
final readonly class LabelTimes
{
    /**
     * @param  list<string>  $lasting  held for good
     * @param  list<TimedLabel>  $timed
     */
    private function __construct(private array $lasting, private array $timed)
    {
    }

    /**
     * @param  array<array-key, Offer>  $offers  by key, of any course
     * @param  ?array<array-key, true>  $only  the labels that matter; null: all
     */
    public static function of(Viewer $viewer, array $offers, ?array $only = null): self
    {
        if ($only === []) {
            return new self([], []);
        }
        $timed = $viewer->timedLabels;
        foreach ($viewer->passes as $pass) {
            foreach ($pass->state === PassState::Active ? $offers[$pass->offer]->labels ?? [] : [] as $label) {
                $timed[] = new TimedLabel($label, $pass->from, $pass->until);
            }
        }
        $lasting = $viewer->labels;
        if ($only !== null && $lasting !== []) {
            $lasting = array_values(array_filter($lasting, static fn (string $label): bool => isset($only[$label])));
        }
        if ($only !== null && $timed !== []) {
            $timed = array_values(array_filter($timed, static fn (TimedLabel $label): bool => isset($only[$label->label])));
        }

        return new self($lasting, $timed);
    }

    /** @return list<string> each once, sorted by its bytes */
    public function at(int $at): array
    {
        if ($this->timed === [] && count($this->lasting) < 2) {
            return $this->lasting;
        }
        $held = array_fill_keys($this->lasting, true);
        foreach ($this->timed as $label) {
            if ($label->isHeld($at)) {
                $held[$label->label] = true;
            }
        }
        // A label of digits comes back from PHP's arrays as a number.
        $labels = array_map(strval(...), array_keys($held));
        sort($labels, SORT_STRING);

        return $labels;
    }

    /** @return list<int> the instants at which a label may come or go, ascending */
    public function instants(): array
    {
        if ($this->timed === []) {
            return [];
        }
        $instants = [];
        foreach ($this->timed as $label) {
            if ($label->from < $label->until) {
                $instants[$label->from] = $instants[$label->until] = true;
            }
        }
        ksort($instants);

        return array_keys($instants);
    }
}
