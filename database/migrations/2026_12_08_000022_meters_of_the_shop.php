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
        Schema::table('stand_runs', static function (Blueprint $table): void {
            // Turns a minute, as the stand tells.
            $table->decimal('turns_seen', 5, 1)->nullable();
        });
        Schema::create('meters', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            // The shop's own number, as it is written on the meter.
            $table->text('serial');
            $table->text('note')->default('');
            $table->integer('revision')->default(0);
            $table->timestampsTz();
            $table->unique(['workshop_id', 'serial']);
        });
        // Where a meter was put: only ever added to.
        Schema::create('meter_moves', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('meter_id')->constrained();
            $table->text('to');
            $table->foreignId('planter_id')->nullable()->constrained();
            $table->smallInteger('row_number')->nullable();
            $table->text('place')->default('');
            $table->timestampTz('happened_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->uuid('supersedes')->nullable()->unique();
            $table->boolean('withdrawn')->default(false);
            $table->char('sent_sha256', 64)->nullable();
            $table->index(['workshop_id', 'meter_id']);
        });
        DB::statement("ALTER TABLE meter_moves ADD FOREIGN KEY (supersedes) REFERENCES meter_moves (id), ADD CHECK (\"to\" IN ('row', 'shelf', 'out')), ADD CHECK ((\"to\" = 'row') = (planter_id IS NOT NULL)), ADD CHECK ((planter_id IS NULL) = (row_number IS NULL)), ADD CHECK (row_number >= 1)");
    }
};
