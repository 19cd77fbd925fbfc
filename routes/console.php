<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

Schedule::command('keep:publish-due')->everyMinute()->withoutOverlapping(10);
Schedule::command('keep:end-trials')->hourly()->withoutOverlapping(60);
Schedule::command('keep:write-notes')->everyMinute()->withoutOverlapping(10);
