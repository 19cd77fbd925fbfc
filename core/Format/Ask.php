<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Viewing\Viewer;

/** One question: what is this course, to this viewer, at this instant? */
final readonly class Ask
{
    public function __construct(public string|int $id, public Course $course, public int $at, public Viewer $viewer)
    {
    }
}
