<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// Commands live in app/Console/Commands and are found by themselves.

Schedule::command('ustrel:backup --thin')->dailyAt('02:30')->withoutOverlapping();
