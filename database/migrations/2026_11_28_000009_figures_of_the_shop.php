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
        Schema::table('workshops', function (Blueprint $table): void {
            // How fast parts wear by what is said of the ground, where the shop has a figure of its own: by kind and case.
            $table->jsonb('ground_factors')->default('{}');
            // How far it measures off, millimetres by check: as its readings tell, and as it says itself.
            $table->jsonb('learned_sd')->default('{}');
            $table->jsonb('own_sd')->default('{}');
        });
        Schema::table('planters', function (Blueprint $table): void {
            // What its readings tell of how the shop measures: squares and readings to spare, by check.
            $table->jsonb('measuring')->default('{}');
        });
        Schema::table('walks', function (Blueprint $table): void {
            // How far the shop measured off when it was walked, as with its odds.
            $table->jsonb('measuring_sd')->default('{}');
        });
        Schema::table('acres_log', function (Blueprint $table): void {
            $table->text('downforce')->nullable();
        });
        DB::statement("ALTER TABLE acres_log ADD CHECK (downforce IN ('light', 'usual', 'heavy'))");
    }
};
