<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Spec\LoadTypicalSheets;
use Illuminate\Console\Command;

final class LoadSheets extends Command
{
    protected $signature = 'ustrel:load-sheets';

    protected $description = 'Load the typical spec sheets of core/specs into the database';

    public function handle(LoadTypicalSheets $load): int
    {
        activity()->disableLogging();
        $this->info("{$load()} typical spec sheets loaded.");

        return self::SUCCESS;
    }
}
