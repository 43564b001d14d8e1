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
        Schema::table('part_types', function (Blueprint $table): void {
            // That is to stay on the shelf.
            $table->smallInteger('minimum')->nullable();
        });
        DB::statement('ALTER TABLE part_types ADD CHECK (minimum BETWEEN 0 AND 10000)');
        // What came onto the shelf and went from it: only ever added to, a correction supersedes.
        Schema::create('stock_moves', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('part_type_id')->constrained();
            $table->text('kind');
            $table->integer('quantity');
            $table->text('note')->default('');
            $table->timestampTz('happened_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->uuid('supersedes')->nullable()->unique();
            $table->boolean('withdrawn')->default(false);
            $table->char('sent_sha256', 64)->nullable();
            $table->index(['workshop_id', 'part_type_id']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE stock_moves
                ADD FOREIGN KEY (supersedes) REFERENCES stock_moves (id),
                ADD CHECK (kind IN ('counted', 'received', 'used', 'lost')),
                ADD CHECK (quantity BETWEEN 0 AND 100000)
            SQL);
        DB::statement('CREATE INDEX ledger_events_part_type ON ledger_events (part_type_id) WHERE part_type_id IS NOT NULL');
    }
};
