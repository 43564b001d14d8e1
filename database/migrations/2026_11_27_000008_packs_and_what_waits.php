<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What waits to be decided is counted for every planter of the yard.
        DB::statement("CREATE INDEX cells_to_decide ON cells (walk_id, row_number, check_key, side) WHERE verdict IN ('change', 'failed') AND result <> 'withdrawn'");
        Schema::create('packs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->text('name');
            $table->text('kind');
            // Keys of checks in the order of the catalogue.
            $table->jsonb('checks');
            $table->timestamps();
            $table->unique(['workshop_id', 'name']);
        });
        DB::statement("ALTER TABLE packs ADD CHECK (length(name) BETWEEN 1 AND 60), ADD CHECK (kind IN ('pre_season', 'first_pass', 'in_season', 'rain_day', 'season_end')), ADD CHECK (jsonb_typeof(checks) = 'array' AND jsonb_array_length(checks) > 0)");
        Schema::table('walks', function (Blueprint $table): void {
            // The name of the pack that it was started with.
            $table->text('pack')->nullable();
        });
        // A drill has up to 64 rows.
        foreach (['planters' => 'row_count', 'walks' => 'row_count', 'readings' => 'row_number', 'cells' => 'row_number', 'notes' => 'row_number', 'photos' => 'row_number', 'ledger_events' => 'row_number', 'fittings' => 'row_number'] as $table => $column) {
            $this->raise($table, $column);
        }
        // The rest of a station on one row is looked over in one go.
        DB::statement('ALTER TABLE readings DROP CONSTRAINT readings_entry_check');
        DB::statement("ALTER TABLE readings ADD CHECK (entry IN ('typed', 'same_as_last', 'rest_here', 'rest_of_row', 'rest_of_station', 'from_sheet'))");
    }

    /** Lets a row number or count go to 64 where it went to 48. */
    private function raise(string $table, string $column): void
    {
        $checks = DB::select('SELECT conname AS name, pg_get_constraintdef(oid) AS definition FROM pg_constraint WHERE contype = ? AND conrelid = ?::regclass', ['c', $table]);
        foreach ($checks as $check) {
            if (str_contains($check->definition, $column) && str_contains($check->definition, '48')) {
                DB::statement("ALTER TABLE {$table} DROP CONSTRAINT {$check->name}, ADD CONSTRAINT {$check->name} ".str_replace('48', '64', $check->definition));
            }
        }
    }
};
