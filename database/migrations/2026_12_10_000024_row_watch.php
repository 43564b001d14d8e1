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
        Schema::table('planters', static function (Blueprint $table): void {
            // Rows that share a motor, tank, manifold, fan or section.
            $table->jsonb('shared')->default('[]');
        });
        // Test stands and row monitors are let in the same way, each for its own.
        Schema::table('stands', static function (Blueprint $table): void {
            $table->text('kind')->default('stand');
        });
        Schema::create('watch_runs', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->foreignId('stand_id')->nullable()->constrained()->nullOnDelete();
            $table->text('field')->default('');
            $table->integer('acres');
            $table->jsonb('shut')->default('[]');
            $table->jsonb('practice')->nullable();
            $table->text('state');
            // The monitor's clock when the first and the last moment came.
            $table->bigInteger('first_ms')->nullable();
            $table->bigInteger('last_ms')->nullable();
            $table->integer('refused_lines')->default(0);
            $table->text('refused')->default('');
            $table->jsonb('now')->nullable();
            $table->jsonb('learned')->nullable();
            // All that is known, to go on by: while the run is under way only.
            $table->text('kept')->nullable();
            $table->timestampTz('made_at', 3);
            $table->timestampTz('started_at', 3)->nullable();
            $table->timestampTz('heard_at', 3)->nullable();
            $table->timestampTz('ended_at', 3)->nullable();
            $table->index(['planter_id', 'made_at']);
        });
        Schema::create('watch_passes', static function (Blueprint $table): void {
            $table->foreignUuid('watch_run_id')->constrained()->cascadeOnDelete();
            $table->smallInteger('number');
            $table->timestampTz('from_at', 3);
            $table->timestampTz('to_at', 3);
            // By the monitor's own clock: it can tell of an hour at once.
            $table->double('seconds');
            $table->double('feet');
            $table->decimal('mph', 4, 1);
            $table->jsonb('means');
            $table->jsonb('deviations');
            $table->primary(['watch_run_id', 'number']);
        });
        Schema::create('watch_alarms', static function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('watch_run_id')->constrained()->cascadeOnDelete();
            $table->timestampTz('at', 3);
            $table->text('kind');
            $table->text('watched');
            $table->jsonb('rows');
            $table->text('group_kind')->nullable();
            $table->text('group_name')->nullable();
            $table->smallInteger('direction');
            $table->double('expected')->nullable();
            $table->double('found')->nullable();
            $table->integer('seconds');
            $table->smallInteger('pass');
            $table->decimal('mph', 4, 1);
            // Rows of it that are as they were again.
            $table->jsonb('back')->default('[]');
            $table->timestampTz('seen_at', 3)->nullable();
            $table->foreignId('seen_by')->nullable()->constrained('users');
            $table->boolean('is_left')->default(false);
            $table->index(['watch_run_id', 'at']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE stands ADD CHECK (kind IN ('stand', 'monitor'))
            SQL);
        DB::statement(<<<'SQL'
            ALTER TABLE watch_runs ADD CHECK (state IN ('waiting', 'running', 'ended')), ADD CHECK (acres BETWEEN 50 AND 100000)
            SQL);
        DB::statement(<<<'SQL'
            ALTER TABLE watch_alarms
                ADD CHECK (kind IN ('drift', 'low', 'stopped', 'silent', 'stuck', 'jumps')),
                ADD CHECK (watched IN ('population', 'skips', 'doubles', 'downforce', 'flow')), ADD CHECK (direction IN (-1, 1))
            SQL);
        // One run of a planter at a time.
        DB::statement("CREATE UNIQUE INDEX watch_runs_under_way ON watch_runs (planter_id) WHERE state IN ('waiting', 'running')");
    }
};
