<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Access\Viewers;
use SilentKeep\Core\Viewing\Viewer;

/** Somebody who looks with a learner and has nothing of their own; or who is the same at every instant, and nobody in particular. */
final readonly class SameLooker implements Onlooker
{
    private function __construct(private ?Viewer $viewer, private ?int $learner)
    {
    }

    public static function always(Viewer $viewer): self
    {
        return new self($viewer, null);
    }

    public static function observing(int $learner): self
    {
        return new self(null, $learner);
    }

    public function people(): array
    {
        return $this->learner === null ? [] : [$this->learner];
    }

    public function viewer(PastRows $rows, int $course): Viewer
    {
        return $this->viewer ?? Viewers::observerOf($rows->viewer((int) $this->learner, $course));
    }

    public function wasThere(PastRows $rows): bool
    {
        return $this->learner === null || $rows->staff([$this->learner]) !== [];
    }
}
