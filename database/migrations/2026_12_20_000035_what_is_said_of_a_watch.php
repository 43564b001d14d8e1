<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** An alarm stays as it was raised; what people say of it, and of rows that are shut off, are events of their own. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('watch_entries', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->foreignUuid('watch_run_id')->constrained()->cascadeOnDelete();
            $table->text('kind');
            $table->foreignId('watch_alarm_id')->nullable()->constrained()->cascadeOnDelete();
            $table->smallInteger('row_number')->nullable();
            $table->timestampTz('happened_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->char('sent_sha256', 64)->nullable();
            $table->index(['watch_run_id', 'happened_at']);
            $table->index('watch_alarm_id');
        });
        DB::statement(<<<'SQL'
            ALTER TABLE watch_entries
                ADD CHECK (kind IN ('seen', 'left', 'shut', 'opened')),
                ADD CHECK ((kind IN ('seen', 'left')) = (watch_alarm_id IS NOT NULL)),
                ADD CHECK ((kind IN ('shut', 'opened')) = (row_number IS NOT NULL))
            SQL);
        Schema::create('watch_backs', static function (Blueprint $table): void {
            $table->foreignUuid('watch_run_id')->constrained()->cascadeOnDelete();
            $table->foreignId('watch_alarm_id')->constrained()->cascadeOnDelete();
            $table->smallInteger('row_number');
            $table->timestampTz('at', 3);
            $table->primary(['watch_alarm_id', 'row_number']);
        });
        DB::statement(<<<'SQL'
            INSERT INTO watch_entries (id, planter_id, watch_run_id, kind, row_number, happened_at, recorded_at, user_id)
            SELECT gen_random_uuid(), planter_id, id, 'shut', "row"::int, made_at, made_at, user_id FROM watch_runs, jsonb_array_elements_text(shut) AS "row"
            SQL);
        DB::statement(<<<'SQL'
            INSERT INTO watch_entries (id, planter_id, watch_run_id, kind, watch_alarm_id, happened_at, recorded_at, user_id)
            SELECT gen_random_uuid(), runs.planter_id, runs.id, CASE WHEN is_left THEN 'left' ELSE 'seen' END, alarms.id, COALESCE(seen_at, at), COALESCE(seen_at, at), COALESCE(seen_by, runs.user_id)
            FROM watch_alarms AS alarms JOIN watch_runs AS runs ON runs.id = alarms.watch_run_id WHERE is_left OR seen_at IS NOT NULL
            SQL);
        DB::statement('INSERT INTO watch_backs (watch_run_id, watch_alarm_id, row_number, at) SELECT watch_run_id, id, "row"::int, at FROM watch_alarms, jsonb_array_elements_text(back) AS "row"');
        Schema::table('watch_runs', static fn (Blueprint $table) => $table->dropColumn('shut'));
        Schema::table('watch_alarms', static fn (Blueprint $table) => $table->dropColumn(['back', 'seen_at', 'seen_by', 'is_left']));
        foreach (['watch_entries', 'watch_alarms'] as $table) {
            DB::statement("CREATE TRIGGER event_stays BEFORE UPDATE ON {$table} FOR EACH ROW EXECUTE FUNCTION event_stays()");
        }
    }
};
