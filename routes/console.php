<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// Commands live in app/Console/Commands and are found by themselves.

Schedule::command('ustrel:backup --thin')->dailyAt('02:30')->withoutOverlapping();
Schedule::command('ustrel:try-backup')->weeklyOn(7, '03:30')->withoutOverlapping();
Schedule::command('ustrel:tidy')->dailyAt('04:30')->withoutOverlapping();
