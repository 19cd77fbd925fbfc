<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use SilentKeep\Core\Viewing\Viewer;

/** Whoever stood before a course, at whatever instant. */
interface Onlooker
{
    /** @return list<int> of whom the ledger is to be read */
    public function people(): array;

    /** As they were by the rows of then. */
    public function viewer(PastRows $rows, int $course): Viewer;

    /** Whether they were known to the school then. */
    public function wasThere(PastRows $rows): bool;
}
