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
            // Seeds that ran before the counting began.
            $table->smallInteger('run_in')->nullable();
            // The first part of a run whose vacuum was changed on the way.
            $table->foreignUuid('part_of')->nullable()->constrained('bench_runs');
            $table->uuid('stand_run_id')->storedAs('COALESCE(part_of, id)');
        });
        DB::statement('ALTER TABLE bench_runs ADD CHECK (run_in BETWEEN 0 AND 5000), ADD CHECK (part_of <> id)');
        Schema::table('stand_runs', static function (Blueprint $table): void {
            $table->smallInteger('run_in')->nullable();
            $table->integer('population')->nullable();
            $table->decimal('mph', 4, 1)->nullable();
            $table->text('singulator')->default('');
            $table->text('lubricant')->default('');
        });
        DB::statement('ALTER TABLE stand_runs ADD CHECK (run_in BETWEEN 0 AND 5000), ADD CHECK (population BETWEEN 500 AND 2000000), ADD CHECK (mph BETWEEN 0.1 AND 30)');
        // Scatter of single spacings that is still good, as a share of what is set.
        Schema::table('aims', static fn (Blueprint $table) => $table->decimal('spacing_cv', 4, 3)->nullable());
        DB::statement('ALTER TABLE aims ADD CHECK (spacing_cv BETWEEN 0.05 AND 1)');
        // Notch, mark or turn that a row stood at when it was dug.
        Schema::table('digs', static fn (Blueprint $table) => $table->decimal('mark', 4, 1)->nullable());
        DB::statement('ALTER TABLE digs ADD CHECK (mark BETWEEN 0 AND 100)');
        // As the stand told it when this seed dropped.
        Schema::table('stand_drops', static fn (Blueprint $table) => $table->decimal('air', 5, 1)->nullable());
    }
};
