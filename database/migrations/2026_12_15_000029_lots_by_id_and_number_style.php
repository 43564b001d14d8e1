<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Log lines, fields and runs name their lot of seed by id; what planting drew is kept as it was at that moment. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('workshops', static fn (Blueprint $table) => $table->text('number_style')->nullable());
        DB::statement("ALTER TABLE workshops ADD CHECK (number_style IN ('point', 'comma'))");
        Schema::table('seed_lots', static fn (Blueprint $table) => $table->jsonb('former_names')->default('[]'));
        Schema::table('acres_log', static function (Blueprint $table): void {
            $table->foreignId('seed_lot_id')->nullable()->index()->constrained();
            $table->decimal('units_drawn', 12, 3)->nullable();
            $table->text('pass')->default('planting');
            $table->jsonb('left_out')->default('[]');
        });
        DB::statement("ALTER TABLE acres_log ADD CHECK (pass IN ('planting', 'products')), ADD CHECK (units_drawn >= 0 AND (units_drawn IS NULL OR seed_lot_id IS NOT NULL))");
        Schema::table('bench_runs', static fn (Blueprint $table) => $table->foreignId('seed_lot_id')->nullable()->index()->constrained());
        Schema::table('sign_offs', static fn (Blueprint $table) => $table->jsonb('answers')->default('[]'));
        $this->nameLots();
    }

    private function nameLots(): void
    {
        // A name that two lots have but for capitals is that of the one written the same.
        $lot = 'SELECT seed_lots.id FROM seed_lots JOIN planters ON planters.workshop_id = seed_lots.workshop_id WHERE planters.id = %s.planter_id AND lower(seed_lots.name) = lower(btrim(%s)) ORDER BY seed_lots.name = btrim(%s) DESC, seed_lots.id LIMIT 1';
        DB::statement('UPDATE acres_log SET seed_lot_id = ('.sprintf($lot, 'acres_log', 'acres_log.lot', 'acres_log.lot').') WHERE lot IS NOT NULL');
        DB::statement('UPDATE bench_runs SET seed_lot_id = ('.sprintf($lot, 'bench_runs', 'bench_runs.seed', 'bench_runs.seed').") WHERE seed <> ''");
        DB::statement(<<<'SQL'
            UPDATE acres_log SET units_drawn = drawn.units FROM (
                SELECT line.id, round(sum(greatest(0, least(line.acres, part.upto) - part.starts) * part.population) / max(seed_lots.seeds_per_unit), 3) AS units
                FROM acres_log AS line JOIN seed_lots ON seed_lots.id = line.seed_lot_id,
                LATERAL (SELECT (of->>'from')::numeric AS starts, (of->>'population')::numeric AS population, coalesce(lead((of->>'from')::numeric) OVER (ORDER BY at), line.acres) AS upto
                    FROM jsonb_array_elements(line.populations) WITH ORDINALITY AS each (of, at)) AS part
                GROUP BY line.id
            ) AS drawn WHERE drawn.id = acres_log.id
            SQL);
        $named = sprintf($lot, 'plan', "of->>'seed'", "of->>'seed'");
        DB::statement("UPDATE season_plans AS plan SET fields = (SELECT coalesce(jsonb_agg(of || jsonb_build_object('seed_lot_id', ({$named})) ORDER BY at), '[]') FROM jsonb_array_elements(plan.fields) WITH ORDINALITY AS each (of, at))");
    }
};
