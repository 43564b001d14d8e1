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
        // Runs of meters on a test stand: only ever added to.
        Schema::create('bench_runs', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->smallInteger('row_number');
            $table->text('stage');
            // Where a seed should have dropped, and of them those left empty and those with a seed too many.
            $table->integer('places');
            $table->integer('skips');
            $table->integer('doubles');
            $table->text('seed')->default('');
            $table->text('disc')->default('');
            $table->decimal('air', 5, 1)->nullable();
            $table->text('note')->default('');
            $table->timestampTz('happened_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->uuid('supersedes')->nullable()->unique();
            $table->boolean('withdrawn')->default(false);
            $table->char('sent_sha256', 64)->nullable();
            $table->index(['planter_id', 'row_number', 'happened_at']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE bench_runs
                ADD FOREIGN KEY (supersedes) REFERENCES bench_runs (id),
                ADD CHECK (stage IN ('pre', 'final')),
                ADD CHECK (places BETWEEN 100 AND 5000 AND skips >= 0 AND doubles >= 0 AND skips + doubles <= places)
            SQL);
    }
};
