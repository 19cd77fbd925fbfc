<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Outline\Audience;
use SilentKeep\Core\Outline\Door;
use SilentKeep\Core\Outline\Outline;

/** Which items admit an audience, who said so, and whether tiers stand in its way. Depends on nobody and on no instant. */
final readonly class Admission
{
    /** @var list<bool> */
    public array $admits;

    /** @var list<?int> the nearest item upward that says something; null where the door's default decides */
    public array $deciding;

    /** @var list<bool> whether each tier on the path stands at the deciding item or above it: whoever permits below a tier means it */
    public array $tiersAllow;

    public function __construct(Outline $outline, Audience $audience, Door $door)
    {
        $admits = $tiersAllow = $forbidden = [];
        /** @var list<?int> $deciding */
        $deciding = [];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            $says = $item->admits($audience);
            $forbidden[] = ($above !== Outline::TOP && $forbidden[$above]) || in_array($audience, $item->neverFor, true);
            $deciding[] = $says !== null ? $at : ($above === Outline::TOP ? null : $deciding[$above]);
            $nearest = $deciding[$at];
            $admits[] = ! $forbidden[$at] && ($nearest === null ? $door->default : (bool) $outline->items[$nearest]->admits($audience));
            $allow = true;
            foreach ($outline->path[$at] as $step) {
                $allow = $allow && ($outline->items[$step]->tiers === null || ($nearest !== null && $step <= $nearest));
            }
            $tiersAllow[] = $allow;
        }
        $this->admits = $admits;
        $this->deciding = $deciding;
        $this->tiersAllow = $tiersAllow;
    }
}
