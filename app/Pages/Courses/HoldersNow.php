<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\Pass;
use Illuminate\Support\Facades\DB;

/** How many people hold a pass that is active now. */
final readonly class HoldersNow
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /** @return array<int, int> by the course's id; one query */
    public function all(): array
    {
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $holders = [];
        foreach (Pass::query()->toBase()->select('course_id', DB::raw('count(distinct person_id) as holders'))
            ->where('state', 'active')->where('starts_at', '<=', $now)
            ->where(fn ($query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $now))
            ->groupBy('course_id')->get() as $row) {
            $holders[Value::int($row->course_id)] = Value::int($row->holders);
        }

        return $holders;
    }
}
