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
        // What counts as good by crop and size of seed; null is as typical, and an empty crop or size means all of them.
        Schema::create('aims', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->text('crop')->default('');
            $table->text('size')->default('');
            // Shares.
            $table->decimal('singulation', 4, 3)->nullable();
            $table->decimal('rate_low', 4, 3)->nullable();
            $table->decimal('rate_high', 4, 3)->nullable();
            // Millimetres.
            $table->decimal('depth', 6, 2)->nullable();
            $table->decimal('depth_band', 5, 2)->nullable();
            $table->smallInteger('emergence_hours')->nullable();
            $table->integer('revision')->default(0);
            $table->timestampsTz();
            $table->unique(['workshop_id', 'crop', 'size']);
        });
        DB::statement("ALTER TABLE aims ADD CHECK (crop <> '' OR size = ''), ADD CHECK (singulation BETWEEN 0.5 AND 1), ADD CHECK (rate_low > -0.5 AND rate_low < 0), ADD CHECK (rate_high > 0 AND rate_high < 0.5), ADD CHECK (depth BETWEEN 3 AND 160), ADD CHECK (depth_band > 0 AND depth_band <= 50), ADD CHECK (emergence_hours BETWEEN 1 AND 500)");
        Schema::table('digs', static function (Blueprint $table): void {
            $table->text('spot')->default('');
            $table->text('residue')->nullable();
        });
        DB::statement("ALTER TABLE digs ADD CHECK (residue IN ('bare', 'usual', 'heavy'))");
    }
};
