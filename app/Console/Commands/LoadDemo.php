<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Database\Demo\DemoScenario;
use Illuminate\Console\Command;

final class LoadDemo extends Command
{
    protected $signature = 'ustrel:load-demo {--if-empty : Only into an empty database} {--show-login : Only print who can sign in}';

    protected $description = 'Load the made-up demo workshops, planters and walks';

    public function handle(DemoScenario $demo): int
    {
        if ($this->option('show-login')) {
            $this->line($this->demoIsLoaded() ? DemoScenario::EMAIL.', password '.DemoScenario::PASSWORD : 'the demo is not loaded here');

            return self::SUCCESS;
        }
        if (Workshop::query()->exists()) {
            $this->info('The database is not empty; the demo was left out.');

            return $this->option('if-empty') ? self::SUCCESS : self::FAILURE;
        }
        // What nobody did need not be told.
        activity()->disableLogging();
        $demo->load(CarbonImmutable::today());
        $this->info('Demo loaded.');

        return self::SUCCESS;
    }

    private function demoIsLoaded(): bool
    {
        return Workshop::query()->where('name', DemoScenario::WORKSHOP)->exists();
    }
}
