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
        Schema::table('planters', static function (Blueprint $table): void {
            $table->jsonb('other_rows')->default('[]');
            $table->jsonb('parked_rows')->default('[]');
        });
        Schema::table('walks', static function (Blueprint $table): void {
            $table->jsonb('other_rows')->default('[]');
            $table->jsonb('parked_rows')->default('[]');
            // How many readings each row takes, from the left.
            $table->jsonb('row_places')->default('[]');
        });
        // A garden has a twentieth of an acre.
        DB::statement('ALTER TABLE planters ALTER planned_acres TYPE numeric(9,2)');
        DB::statement('ALTER TABLE walks ALTER planned_acres TYPE numeric(9,2)');
        DB::statement('UPDATE walks SET row_places = to_jsonb(array_fill(places_per_row::int, ARRAY[row_count::int]))');
        Schema::table('walks', static fn (Blueprint $table) => $table->dropColumn('places_per_row'));
    }

    public function down(): void
    {
        Schema::table('walks', static fn (Blueprint $table) => $table->smallInteger('places_per_row')->default(0));
        DB::statement('UPDATE walks SET places_per_row = COALESCE((SELECT max(each::int) FROM jsonb_array_elements_text(row_places) AS each), 0)');
        Schema::table('walks', static fn (Blueprint $table) => $table->dropColumn(['other_rows', 'parked_rows', 'row_places']));
        Schema::table('planters', static fn (Blueprint $table) => $table->dropColumn(['other_rows', 'parked_rows']));
    }
};
