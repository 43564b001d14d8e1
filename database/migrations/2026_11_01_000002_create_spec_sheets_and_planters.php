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
        // Without a workshop a sheet is one of the typical ones that ship with the application.
        Schema::create('spec_sheets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->nullable()->index()->constrained();
            $table->foreignId('copied_from_id')->nullable()->constrained('spec_sheets');
            $table->text('name');
            $table->text('type');
            $table->jsonb('sheet');
            $table->timestampsTz();
        });
        DB::statement('CREATE UNIQUE INDEX spec_sheets_one_typical_per_type ON spec_sheets (type) WHERE workshop_id IS NULL');
        DB::statement('CREATE UNIQUE INDEX spec_sheets_name_in_workshop ON spec_sheets (workshop_id, lower(name))');

        Schema::create('planters', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('spec_sheet_id')->index()->constrained();
            $table->text('farm');
            $table->text('name');
            $table->smallInteger('row_count');
            $table->decimal('spacing_mm', 12, 6);
            $table->text('spacing_typed');
            $table->jsonb('sections');
            $table->date('planting_start')->nullable();
            $table->timestampsTz();
        });
        DB::statement('ALTER TABLE planters ADD CHECK (row_count BETWEEN 1 AND 48), ADD CHECK (spacing_mm > 0)');
        DB::statement('CREATE UNIQUE INDEX planters_name_in_workshop ON planters (workshop_id, lower(farm), lower(name))');
    }
};
