<?php

declare(strict_types=1);

namespace App\Labels;

/** A label, who has it and where it is named. */
final class UsedLabel
{
    /** People who have it now, by themselves or by a pass. */
    public int $people = 0;

    /** @var list<LabelUse> */
    public array $uses = [];

    public function __construct(public readonly string $label)
    {
    }

    /** @return list<LabelUse> */
    public function where(bool $gives): array
    {
        return array_values(array_filter($this->uses, static fn (LabelUse $use): bool => $use->gives === $gives));
    }
}
