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
        Schema::table('bench_runs', static function (Blueprint $table): void {
            $table->boolean('is_partial')->default(false);
        });
        // Of a hundred places that came past a stand, the first and the last may be empty.
        DB::statement('ALTER TABLE bench_runs DROP CONSTRAINT bench_runs_check, ADD CHECK (places BETWEEN 90 AND 5000 AND skips >= 0 AND doubles >= 0 AND skips + doubles <= places)');
        // Devices that deliver runs, each with a token of its own.
        Schema::create('stands', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->text('name');
            $table->foreignId('user_id')->constrained();
            $table->timestampTz('made_at');
            $table->timestampTz('heard_at')->nullable();
            $table->index('workshop_id');
        });
        Schema::create('personal_access_tokens', static function (Blueprint $table): void {
            $table->id();
            $table->morphs('tokenable');
            $table->text('name');
            $table->string('token', 64)->unique();
            $table->text('abilities')->nullable();
            $table->timestampTz('last_used_at')->nullable();
            $table->timestampTz('expires_at')->nullable();
            $table->timestampsTz();
        });
        // A run while it is under way: what was set up, and what became of it. Seeds drop into a table of their own.
        Schema::create('stand_runs', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->foreignId('stand_id')->nullable()->constrained()->nullOnDelete();
            $table->smallInteger('row_number');
            $table->text('stage');
            $table->text('seed')->default('');
            $table->text('disc')->default('');
            $table->text('note')->default('');
            $table->smallInteger('cells');
            $table->decimal('turns', 6, 2)->nullable();
            $table->decimal('air', 5, 1)->nullable();
            $table->integer('places');
            $table->jsonb('practice')->nullable();
            $table->text('state');
            $table->decimal('air_seen', 5, 1)->nullable();
            $table->integer('refused_lines')->default(0);
            $table->text('refused')->default('');
            $table->jsonb('figures')->nullable();
            $table->timestampTz('made_at', 3);
            $table->timestampTz('started_at', 3)->nullable();
            $table->timestampTz('heard_at', 3)->nullable();
            $table->index(['planter_id', 'made_at']);
        });
        Schema::create('stand_drops', static function (Blueprint $table): void {
            $table->foreignUuid('stand_run_id')->constrained()->cascadeOnDelete();
            $table->integer('seq');
            $table->double('ms');
            $table->primary(['stand_run_id', 'seq']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE stand_runs
                ADD CHECK (stage IN ('pre', 'final')), ADD CHECK (state IN ('waiting', 'running', 'ending', 'ended', 'short')),
                ADD CHECK (cells BETWEEN 1 AND 400), ADD CHECK (places BETWEEN 100 AND 5000)
            SQL);
        // One run of a planter at a time.
        DB::statement("CREATE UNIQUE INDEX stand_runs_under_way ON stand_runs (planter_id) WHERE state IN ('waiting', 'running', 'ending')");
    }
};
