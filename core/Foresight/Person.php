<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Viewing\Viewer;

final readonly class Person
{
    public function __construct(public string $id, public Viewer $viewer)
    {
    }
}
