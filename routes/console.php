<?php

declare(strict_types=1);

use Illuminate\Console\Scheduling\CallbackEvent;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Schedule;

// One after another in the process of the schedule: to begin a program for each takes longer than what most of them do, and whoever waits
// for a page waits for it. Each knows of the school what it reads itself.
// Of several servers of a school one does it each time, whichever is first: they share what is kept (CACHE_STORE). While they do not,
// what is due is still done once.
$keep = static fn (string $command): CallbackEvent => Schedule::call(static function () use ($command): bool {
    app()->forgetScopedInstances();

    return Artisan::call($command) === 0;
})->name($command)->onOneServer();

$keep('keep:beat')->everyMinute();
$keep('keep:publish-due')->everyMinute()->withoutOverlapping(10);
$keep('keep:end-trials')->hourly()->withoutOverlapping(60);
$keep('keep:write-notes')->everyMinute()->withoutOverlapping(10);
$keep('keep:run-triggers')->everyMinute()->withoutOverlapping(30);
$keep('keep:write-letters')->everyMinute()->withoutOverlapping(30);
$keep('keep:look-ahead')->hourly()->withoutOverlapping(60);
$keep('keep:note-ledger')->daily()->withoutOverlapping(60);
$keep('keep:clean-up')->hourly()->withoutOverlapping(60);
// Where no worker runs by itself; where one does, there is hardly ever anything left for this one.
Schedule::command('queue:work --stop-when-empty --max-time=50 --tries=50 --sleep=1')->everyMinute()->withoutOverlapping(5)->runInBackground();
