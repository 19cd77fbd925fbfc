<?php

declare(strict_types=1);

namespace App\School\Zone;

use App\Access\SchoolOf;
use App\Models\Person;
use App\Models\School;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/** Has all rules read by another wall clock. What was given stays at its instant. */
final readonly class ChangeZone
{
    public function __construct(private SchoolOf $school, private ActivityLog $log)
    {
    }

    /**
     * @param  string  $from  the zone that whoever changes it has seen
     *
     * @throws \DomainException if it is not that any more
     */
    public function __invoke(string $from, string $to, Person $author): void
    {
        if ($from === $to) {
            return;
        }
        DB::transaction(function () use ($from, $to, $author): void {
            $school = ($this->school)();
            $changed = School::query()->whereKey($school->id)->where('zone', $from)->update(['zone' => $to]);
            if ($changed === 0) {
                $zone = School::query()->whereKey($school->id)->value('zone');
                throw new \DomainException(Say::text('school_told.zone.meanwhile', ['zone' => is_string($zone) ? $zone : '']));
            }
            $this->log->note('school.changed', $author, before: ['zone' => $from], after: ['zone' => $to]);
        });
        $this->school->forget();
    }
}
