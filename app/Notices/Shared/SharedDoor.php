<?php

declare(strict_types=1);

namespace App\Notices\Shared;

/** A closed door that was met of late, and at which the words of a shared notice stand. */
final readonly class SharedDoor
{
    /** @param  int  $met  how often, in the last thirty days */
    public function __construct(public int $courseId, public string $item, public string $case, public int $met)
    {
    }
}
