<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Person;
use App\Models\School;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Changes what holds for the whole school. */
final readonly class SaveSchool
{
    public function __construct(private ActivityLog $log)
    {
    }

    /** @param  array<string, mixed>  $columns */
    public function __invoke(School $school, array $columns, Person $author): void
    {
        DB::transaction(function () use ($school, $columns, $author): void {
            $before = array_intersect_key($school->attributesToArray(), $columns);
            $school->fill($columns)->save();
            if ($school->wasChanged()) {
                $this->log->note('school.changed', $author, before: $before, after: $columns);
            }
        });
    }
}
