<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/**
 * For whom an item is (`only`).
 *
 * @phpstan-sealed AllOf|AnyOf|NotSo|HasLabel|HasTier|ByOffer|OfKind|IsDone|FromInstant|UntilInstant
 */
interface Condition
{
    public function read(ConditionFacts $facts): Truth;
}
