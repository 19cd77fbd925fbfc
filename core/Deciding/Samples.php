<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Conditions\AnybodyFacts;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\ConditionFacts;
use SilentKeep\Core\Rules\Truth;
use SilentKeep\Core\Rules\ViewerKind;

/** Which items are part of a sample: for everybody, or where a sample has a condition of its own, for one viewer. */
final readonly class Samples
{
    /** Whether it is the same for everybody. */
    public bool $unconditional;

    /** Whether anything is marked as a sample. */
    public bool $any;

    /** @var list<bool> what is part of a sample for somebody: every condition of a sample taken as if it held */
    public array $forSomebody;

    public function __construct(private Outline $outline)
    {
        $any = $conditional = false;
        foreach ($outline->items as $item) {
            $any = $any || $item->sample;
            $conditional = $conditional || ($item->sample && $item->only !== null);
        }
        $this->any = $any;
        $this->unconditional = ! $conditional;
        $this->forSomebody = self::parts($outline, static fn (): bool => true);
    }

    /**
     * @param  ConditionFacts  $facts  the viewer as they stand there, as a member or a visitor and without a pass
     * @return list<bool> by position in reading order
     */
    public function for(ConditionFacts $facts): array
    {
        return $this->unconditional ? $this->forSomebody : self::parts($this->outline, fn (int $at): bool => $this->outline->items[$at]->only?->read($facts) === Truth::Yes);
    }

    /** Whether the condition of something marked as a sample may ever let in somebody of a kind, who has no pass. */
    public function mayAdmit(int $item, ViewerKind $kind): bool
    {
        return $this->outline->items[$item]->only?->read(new AnybodyFacts($kind)) !== Truth::No;
    }

    /**
     * @param  \Closure(int): bool  $holds  whether the condition of something marked as a sample lets the viewer see it
     * @return list<bool>
     */
    private static function parts(Outline $outline, \Closure $holds): array
    {
        $parts = [];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            $parts[] = $item->sample
                ? $item->only === null || $holds($at)
                : $above !== Outline::TOP && $parts[$above] && $item->kind !== Kind::Board && $item->tiers === null && $item->only === null && $item->neverFor === [];
        }

        return $parts;
    }
}
