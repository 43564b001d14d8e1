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
        Schema::create('walks', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->smallInteger('season');
            $table->text('kind');
            $table->text('walk_order');
            $table->smallInteger('row_count');
            // The figures that this walk is judged by; a finished walk keeps them whatever becomes of the spec sheet.
            $table->jsonb('sheet');
            $table->smallInteger('places_per_row');
            $table->foreignId('started_by')->constrained('users');
            $table->timestampTz('started_at');
            $table->foreignId('finished_by')->nullable()->constrained('users');
            $table->timestampTz('finished_at')->nullable();
            $table->timestampTz('reopened_at')->nullable();
            $table->index(['planter_id', 'started_at']);
        });
        DB::statement('CREATE UNIQUE INDEX walks_one_open_per_planter ON walks (planter_id) WHERE finished_at IS NULL');
        DB::statement(<<<'SQL'
            ALTER TABLE walks
                ADD CHECK (row_count BETWEEN 1 AND 48),
                ADD CHECK (season BETWEEN 1950 AND 2200),
                ADD CHECK (walk_order IN ('row_by_row', 'station_by_station')),
                ADD CHECK (kind IN ('pre_season', 'first_pass', 'in_season', 'rain_day', 'season_end')),
                ADD CHECK ((finished_at IS NULL) = (finished_by IS NULL))
            SQL);

        // The record: only ever added to.
        Schema::create('readings', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('walk_id')->constrained();
            $table->foreignId('planter_id')->constrained();
            $table->smallInteger('row_number');
            $table->text('check_key');
            $table->text('side');
            $table->text('result');
            $table->text('entry');
            $table->decimal('millimetres', 12, 6)->nullable();
            $table->text('typed')->nullable();
            $table->boolean('confirmed');
            $table->timestampTz('taken_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->index(['planter_id', 'row_number', 'check_key', 'side', 'taken_at'], 'readings_of_a_place');
            $table->index('walk_id');
        });
        DB::statement(<<<'SQL'
            ALTER TABLE readings
                ADD CHECK (row_number BETWEEN 1 AND 48),
                ADD CHECK (side IN ('left', 'right', 'centre')),
                ADD CHECK (result IN ('measured', 'not_fitted', 'withdrawn')),
                ADD CHECK (entry IN ('typed', 'same_as_last')),
                ADD CHECK ((result = 'measured') = (millimetres IS NOT NULL AND typed IS NOT NULL)),
                ADD CHECK (millimetres >= 0)
            SQL);

        // The projection: what holds at each place of a walk now, with its verdict. Rebuilt by ustrel:rebuild.
        Schema::create('cells', function (Blueprint $table): void {
            $table->foreignUuid('walk_id')->constrained();
            $table->smallInteger('row_number');
            $table->text('check_key');
            $table->text('side');
            $table->foreignId('planter_id')->constrained();
            $table->smallInteger('season');
            $table->foreignUuid('reading_id')->constrained();
            $table->text('result');
            $table->decimal('millimetres', 12, 6)->nullable();
            $table->text('verdict');
            $table->jsonb('reasons');
            $table->float('life_left', 24)->nullable();
            $table->timestampTz('taken_at', 3);
            $table->primary(['walk_id', 'row_number', 'check_key', 'side']);
            $table->index(['planter_id', 'season']);
            $table->unique('reading_id');
        });
        DB::statement("ALTER TABLE cells ADD CHECK (verdict IN ('unchecked', 'sound', 'watch', 'change', 'failed'))");

        // The ribbon: each row of a walk in one line, so that the yard reads rows and not cells.
        Schema::create('walk_rows', function (Blueprint $table): void {
            $table->foreignUuid('walk_id')->constrained();
            $table->smallInteger('row_number');
            $table->text('verdict');
            $table->float('life_left', 24)->nullable();
            $table->smallInteger('checked');
            $table->primary(['walk_id', 'row_number']);
        });
    }
};
