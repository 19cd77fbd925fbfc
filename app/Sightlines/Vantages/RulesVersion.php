<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

use App\Models\Course;

/** Which rules are looked at where some wait to be published. */
enum RulesVersion: string
{
    case Draft = 'draft';
    case Published = 'published';
    case Both = 'both';

    /** Whether what is looked at is what is published. */
    public function isLive(Course $course): bool
    {
        return $course->live_revision_id !== null && ($this === self::Published || $course->draft === null);
    }
}
