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
            $table->smallInteger('cells')->nullable();
            // Seeds an acre that it ran as if it planted, and the speed that it ran as if it went.
            $table->integer('population')->nullable();
            $table->decimal('mph', 4, 1)->nullable();
            $table->text('singulator')->default('');
            $table->text('lubricant')->default('');
            // One turn of the disc by hand, looked at: no run.
            $table->boolean('is_look')->default(false);
        });
        DB::statement('ALTER TABLE bench_runs ADD CHECK (cells BETWEEN 1 AND 400), ADD CHECK (population BETWEEN 500 AND 2000000), ADD CHECK (mph BETWEEN 0.1 AND 30)');
        DB::statement('ALTER TABLE bench_runs DROP CONSTRAINT bench_runs_check, ADD CHECK (places BETWEEN CASE WHEN is_look THEN 4 ELSE 90 END AND 5000 AND skips >= 0 AND doubles >= 0 AND skips + doubles <= places)');
    }
};
