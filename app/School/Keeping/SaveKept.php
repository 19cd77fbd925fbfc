<?php

declare(strict_types=1);

namespace App\School\Keeping;

use App\Access\SchoolOf;
use App\Models\Person;
use App\Models\School;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/** Sets for how many days the school keeps what. */
final readonly class SaveKept
{
    public function __construct(private ActivityLog $log, private SchoolOf $school, private KeptDays $kept)
    {
    }

    /**
     * @param  array<string, ?int>  $days  by kind; null: for good
     * @param  array<string, ?int>  $from  what was set when whoever changes it looked
     *
     * @throws \DomainException if somebody else has changed it since
     */
    public function __invoke(array $days, array $from, Person $author): void
    {
        DB::transaction(function () use ($days, $from, $author): void {
            $school = School::query()->lockForUpdate()->findOrFail(($this->school)()->id);
            $this->school->forget();
            $before = [];
            foreach (KeptKind::cases() as $kind) {
                $before[$kind->value] = $this->kept->of($kind);
            }
            if ($before != $from) {
                throw new \DomainException(Say::text('privacy_told.kept.meanwhile'));
            }
            if ($days != $before) {
                $school->update(['kept_days' => $days]);
                $this->log->note('school.kept-days', $author, before: array_diff_assoc($before, $days), after: array_diff_assoc($days, $before));
            }
        });
        $this->school->forget();
    }
}
