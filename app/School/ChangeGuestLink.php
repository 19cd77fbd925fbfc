<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Course;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Makes a new link for guests; whoever came by the old one is no guest any more. */
final readonly class ChangeGuestLink
{
    public function __construct(private ActivityLog $log)
    {
    }

    public function __invoke(Course $course, Person $author): void
    {
        DB::transaction(function () use ($course, $author): void {
            $course->update(['guest_token' => bin2hex(random_bytes(16))]);
            $this->log->note('guest-link.changed', $author, $course);
        });
    }
}
