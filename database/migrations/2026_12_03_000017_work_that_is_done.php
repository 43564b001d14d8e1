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
        // What hands said of the work: only ever added to.
        Schema::create('work_events', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->text('kind');
            $table->smallInteger('row_number');
            // What was ticked, done or could not be done, by key; and the places that this was decided about.
            $table->jsonb('targets');
            $table->jsonb('places');
            // How long it took, of that a seized joint, and how long such work takes typically.
            $table->smallInteger('minutes')->nullable();
            $table->smallInteger('seized_minutes')->default(0);
            $table->decimal('typical_minutes', 7, 1)->nullable();
            $table->text('lubricant')->default('');
            $table->text('reason')->nullable();
            $table->text('words')->default('');
            // Events of the ledger that were written with it.
            $table->jsonb('ledger')->default('[]');
            $table->timestampTz('happened_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->uuid('supersedes')->nullable()->unique();
            $table->boolean('withdrawn')->default(false);
            $table->char('sent_sha256', 64)->nullable();
            $table->index(['planter_id', 'recorded_at']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE work_events
                ADD FOREIGN KEY (supersedes) REFERENCES work_events (id),
                ADD CHECK (kind IN ('ticked', 'finished', 'could_not')),
                ADD CHECK (minutes BETWEEN 1 AND 6000), ADD CHECK (seized_minutes BETWEEN 0 AND 600),
                ADD CHECK (kind <> 'could_not' OR withdrawn OR reason IS NOT NULL OR words <> '')
            SQL);
        Schema::table('planters', function (Blueprint $table): void {
            // What finished work tells of how long jobs take, by kind: how many pieces, and the sum of the logarithms of taken to typical and of their squares.
            $table->jsonb('job_minutes')->default('{}');
        });
        // Work that the shop adds of its own: only ever added to.
        Schema::create('own_jobs', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->smallInteger('row_number');
            $table->text('title');
            $table->smallInteger('minutes');
            $table->boolean('blocks')->default(false);
            $table->timestampTz('happened_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->uuid('supersedes')->nullable()->unique();
            $table->boolean('withdrawn')->default(false);
            $table->char('sent_sha256', 64)->nullable();
            $table->index(['planter_id', 'recorded_at']);
        });
        DB::statement("ALTER TABLE own_jobs ADD FOREIGN KEY (supersedes) REFERENCES own_jobs (id), ADD CHECK (minutes BETWEEN 1 AND 6000), ADD CHECK (title <> '')");
        // The plan that is kept, of one planter or of all together: who does which jobs when, and what it stands on.
        Schema::create('kept_plans', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('planter_id')->nullable()->constrained();
            $table->integer('revision');
            $table->jsonb('pieces');
            $table->jsonb('planting');
            $table->foreignId('user_id')->constrained();
            $table->timestampTz('made_at', 3);
        });
        DB::statement('CREATE UNIQUE INDEX kept_plans_one ON kept_plans (workshop_id, planter_id) NULLS NOT DISTINCT');
    }
};
