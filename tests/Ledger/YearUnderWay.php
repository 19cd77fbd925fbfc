<?php

declare(strict_types=1);

namespace Tests\Ledger;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** A simulated year in a process of its own, in a school that is there already; {@see KilledYearTest} kills it. */
final class YearUnderWay extends TestCase
{
    public function test_goes_on(): void
    {
        DB::purge();
        config(['database.connections.sqlite.database' => getenv('YEAR_SCHOOL')]);
        DB::extend('sqlite', static fn (array $config, string $name): mixed => app('db.factory')->make($config, $name));
        // Time goes on after all that was written, and after all that was answered.
        $before = new SimulatedYear(0, static fn () => null);
        $before->recall((string) getenv('YEAR_ANSWERS'));
        Carbon::setTestNow(Carbon::createFromTimestamp(max((int) DB::table('ledger')->max('at'), $before->latest()) + 60, 'UTC'));
        $hege = $this->person('hege');
        $year = new SimulatedYear((int) getenv('YEAR_SEED'), function (string $to, array $form) use ($hege): void {
            $this->inAnotherProcess();
            $this->actingAs($hege)->post($to, $form);
        });
        $year->live((int) getenv('YEAR_STEPS'), (int) getenv('YEAR_STEPS') * 43_200, (string) getenv('YEAR_ANSWERS'));
        self::assertGreaterThan(0, $year->count());
    }
}
