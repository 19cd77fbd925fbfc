<?php

declare(strict_types=1);

namespace App\Sightlines\Expectations;

use App\Models\Course;
use App\Models\Expectation;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Writes down what is to stay so; every rehearsal checks it from then on. */
final readonly class KeepExpectation
{
    public function __construct(private ClockInterface $clock, private ActivityLog $log)
    {
    }

    /**
     * @param  string  $vantage  as addresses name it
     * @param  string  $must  open, closed or never
     */
    public function __invoke(Course $course, string $vantage, string $item, string $must, Person $author): void
    {
        $told = ['vantage' => $vantage, 'item_key' => $item, 'must' => $must];
        DB::transaction(function () use ($course, $told, $author): void {
            $kept = Expectation::query()->firstOrCreate(['course_id' => $course->id, ...$told], ['author_id' => $author->id, 'made_at' => $this->clock->now()]);
            if ($kept->wasRecentlyCreated) {
                $this->log->note('expectation.kept', $author, $course, after: $told);
            }
        });
    }

    public function letGo(Course $course, int $id, Person $author): void
    {
        DB::transaction(function () use ($course, $id, $author): void {
            $kept = Expectation::query()->where('course_id', $course->id)->whereKey($id)->first();
            if ($kept !== null) {
                $this->log->note('expectation.let-go', $author, $course, before: ['vantage' => $kept->vantage, 'item_key' => $kept->item_key, 'must' => $kept->must]);
                $kept->delete();
            }
        });
    }
}
