<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

Schedule::command('keep:beat')->everyMinute();
Schedule::command('keep:publish-due')->everyMinute()->withoutOverlapping(10);
Schedule::command('keep:end-trials')->hourly()->withoutOverlapping(60);
Schedule::command('keep:write-notes')->everyMinute()->withoutOverlapping(10);
Schedule::command('keep:run-triggers')->everyMinute()->withoutOverlapping(30);
Schedule::command('keep:write-letters')->everyMinute()->withoutOverlapping(30);
Schedule::command('keep:look-ahead')->hourly()->withoutOverlapping(60);
Schedule::command('keep:note-ledger')->daily()->withoutOverlapping(60);
Schedule::command('keep:clean-up')->hourly()->withoutOverlapping(60);
// Where no worker runs by itself; where one does, there is hardly ever anything left for this one.
Schedule::command('queue:work --stop-when-empty --max-time=50 --tries=50 --sleep=1')->everyMinute()->withoutOverlapping(5)->runInBackground();
