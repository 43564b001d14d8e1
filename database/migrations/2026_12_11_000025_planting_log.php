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
        // What else is said of a field that was planted.
        Schema::table('acres_log', static function (Blueprint $table): void {
            $table->text('lot')->nullable();
            // Seeds an acre, and the acres behind which each holds.
            $table->jsonb('populations')->default('[]');
            $table->jsonb('products')->default('[]');
            $table->decimal('map_acres', 9, 3)->nullable();
            // What was made do with, until when, and whether that is over.
            $table->text('around')->nullable();
            $table->text('until')->nullable();
            $table->boolean('around_over')->default(false);
            $table->text('note')->default('');
        });
        DB::statement('ALTER TABLE acres_log ADD CHECK (map_acres > 0), ADD CHECK (around IS NOT NULL OR (until IS NULL AND NOT around_over))');
        // Work-arounds that are not over are asked for each time the log is opened.
        DB::statement('CREATE INDEX acres_log_arounds ON acres_log (planter_id) WHERE around IS NOT NULL AND NOT around_over');
    }
};
