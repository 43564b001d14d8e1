<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Record\Rebuild as RebuildPlanter;
use Illuminate\Console\Command;

final class RebuildCommand extends Command
{
    protected $signature = 'ustrel:rebuild';

    protected $description = 'Rebuild every projection from the record of readings, parts and acres, and compare';

    public function handle(RebuildPlanter $rebuild): int
    {
        $different = 0;
        // One planter at a time: the others can be worked on meanwhile.
        foreach (Planter::query()->lazyById() as $planter) {
            $different += $rebuild($planter);
        }
        $places = Cell::query()->count();
        if ($different > 0) {
            $this->error("{$different} lines differed from the record and were put right; {$places} places in all.");

            return self::FAILURE;
        }
        $this->info("Equal: {$places} places agree with the record.");

        return self::SUCCESS;
    }
}
