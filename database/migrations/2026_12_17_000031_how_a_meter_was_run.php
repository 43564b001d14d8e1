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
        });
        DB::statement('ALTER TABLE bench_runs ADD CHECK (cells BETWEEN 1 AND 400), ADD CHECK (population BETWEEN 500 AND 2000000), ADD CHECK (mph BETWEEN 0.1 AND 30)');
    }
};
