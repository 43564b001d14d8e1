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
        Schema::create('manuals', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('planter_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('spec_sheet_id')->nullable()->constrained()->cascadeOnDelete();
            $table->text('name');
            $table->unsignedInteger('bytes');
            $table->text('sha256');
            // Page by check: read and written as one, and asked for nowhere by itself.
            $table->jsonb('pages')->default('{}');
            $table->unsignedInteger('revision')->default(1);
            $table->foreignId('user_id')->constrained();
            $table->timestampTz('recorded_at', 3);
            $table->index('planter_id');
            $table->index('spec_sheet_id');
        });
        DB::statement('ALTER TABLE manuals ADD CHECK (num_nonnulls(planter_id, spec_sheet_id) = 1)');
        // The same file twice on one planter or sheet is one.
        DB::statement('CREATE UNIQUE INDEX manuals_once ON manuals (workshop_id, COALESCE(planter_id, 0), COALESCE(spec_sheet_id, 0), sha256)');
    }

    public function down(): void
    {
        Schema::dropIfExists('manuals');
    }
};
