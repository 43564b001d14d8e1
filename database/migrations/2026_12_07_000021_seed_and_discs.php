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
        Schema::create('seed_lots', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->text('name');
            $table->text('crop')->default('');
            // Millimetres, on average.
            $table->decimal('size', 5, 2)->nullable();
            $table->text('shape')->default('');
            $table->integer('seeds_per_unit');
            $table->decimal('germination', 4, 3)->nullable();
            $table->text('treatment')->default('');
            $table->text('lubricant')->default('');
            $table->decimal('price', 10, 2)->nullable();
            $table->decimal('spare', 4, 3)->default('0.05');
            $table->integer('revision')->default(0);
            $table->timestampsTz();
            $table->unique(['workshop_id', 'name']);
        });
        Schema::create('discs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->text('name');
            $table->smallInteger('cells');
            // Of the hole, and of the seed that it is meant for: millimetres.
            $table->decimal('hole', 5, 2)->nullable();
            $table->decimal('from_size', 5, 2)->nullable();
            $table->decimal('to_size', 5, 2)->nullable();
            $table->text('kept_in')->default('');
            $table->integer('revision')->default(0);
            $table->timestampsTz();
            $table->unique(['workshop_id', 'name']);
        });
        // Seed that came or went: only ever added to.
        Schema::create('seed_moves', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('seed_lot_id')->constrained();
            $table->text('kind');
            // Tenths of a unit.
            $table->integer('tenths');
            $table->text('note')->default('');
            $table->timestampTz('happened_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->uuid('supersedes')->nullable()->unique();
            $table->boolean('withdrawn')->default(false);
            $table->char('sent_sha256', 64)->nullable();
            $table->index(['workshop_id', 'seed_lot_id']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE seed_lots ADD CHECK (seeds_per_unit > 0), ADD CHECK (germination > 0 AND germination <= 1), ADD CHECK (price >= 0), ADD CHECK (spare BETWEEN 0 AND 1), ADD CHECK (size > 0)
            SQL);
        DB::statement('ALTER TABLE discs ADD CHECK (cells BETWEEN 1 AND 400), ADD CHECK ((from_size IS NULL) = (to_size IS NULL)), ADD CHECK (from_size > 0 AND from_size <= to_size)');
        DB::statement("ALTER TABLE seed_moves ADD FOREIGN KEY (supersedes) REFERENCES seed_moves (id), ADD CHECK (kind IN ('counted', 'received', 'used', 'lost')), ADD CHECK (tenths >= 0)");
    }
};
