<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Planter;
use App\Record\RecordProjector;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Draws the current state up again from the record alone, and says whether it was the same. */
final class Rebuild extends Command
{
    protected $signature = 'ustrel:rebuild';

    protected $description = 'Rebuild every projection from the record of readings, parts and acres, and compare';

    private const TABLES = ['fittings', 'cells', 'outlooks', 'renewals', 'walk_rows', 'forecasts'];

    public function handle(RecordProjector $projector): int
    {
        $different = DB::transaction(function () use ($projector): int {
            DB::statement('LOCK TABLE readings, ledger_events, acres_log IN SHARE MODE');
            foreach (self::TABLES as $table) {
                DB::statement("CREATE TEMPORARY TABLE old_{$table} AS SELECT * FROM {$table}");
                DB::table($table)->delete();
            }
            foreach (Planter::query()->with(['specSheet', 'workshop'])->lazyById() as $planter) {
                $projector->project($planter);
            }

            $different = array_sum(array_map($this->differences(...), self::TABLES));
            DB::statement('DROP TABLE old_'.implode(', old_', self::TABLES));

            return $different;
        });

        $rows = DB::table('cells')->count();
        if ($different > 0) {
            $this->error("{$different} lines differed from the record and were put right; {$rows} places in all.");

            return self::FAILURE;
        }
        $this->info("Equal: {$rows} places agree with the record.");

        return self::SUCCESS;
    }

    private function differences(string $table): int
    {
        $found = DB::selectOne(<<<SQL
            SELECT count(*) AS lines FROM (
                (SELECT * FROM {$table} EXCEPT ALL SELECT * FROM old_{$table})
                UNION ALL
                (SELECT * FROM old_{$table} EXCEPT ALL SELECT * FROM {$table})
            ) AS different
            SQL);

        return $found->lines;
    }
}
