<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Database\Demo\LargeWorkshop;
use Illuminate\Console\Command;

final class Inflate extends Command
{
    protected $signature = 'ustrel:inflate {--planters=200} {--seasons=5} {--readings=1000000}';

    protected $description = 'Add a large made-up workshop, for measuring: never where real work is kept';

    public function handle(LargeWorkshop $large): int
    {
        $most = (int) $this->option('readings');
        $bar = $this->output->createProgressBar($most);
        $made = $large->make((int) $this->option('planters'), (int) $this->option('seasons'), $most, static function (int $readings) use ($bar, $most): void {
            $bar->setProgress(min($readings, $most));
        });
        $bar->finish();
        $this->newLine();
        $this->info(number_format($made).' readings added.');

        return self::SUCCESS;
    }
}
