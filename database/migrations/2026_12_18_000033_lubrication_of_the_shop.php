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
        // What the shop says otherwise of a point that is lubricated, and points of its own.
        Schema::create('lubrication_points', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            // As core/jobs/lubrication.json names it, or a UUID for one of the shop's own.
            $table->text('point');
            // Of its own ones.
            $table->text('name')->default('');
            $table->text('per');
            $table->decimal('minutes', 4, 1);
            $table->text('product');
            $table->text('rounds');
            $table->decimal('acres', 6, 1)->nullable();
            $table->integer('hours')->nullable();
            $table->boolean('is_off')->default(false);
            $table->integer('revision')->default(0);
            $table->timestampsTz();
            $table->unique(['workshop_id', 'point']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE lubrication_points
                ADD CHECK (per IN ('row', 'planter')), ADD CHECK (minutes > 0 AND minutes <= 60), ADD CHECK (product IN ('dry', 'grease', 'anti_seize', 'penetrating')),
                ADD CHECK (rounds IN ('before_planting', 'after_planting', 'both')), ADD CHECK (acres BETWEEN 1 AND 10000), ADD CHECK (hours BETWEEN 1 AND 10000)
            SQL);
    }
};
