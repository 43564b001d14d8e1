<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('seed_lots', static function (Blueprint $table): void {
            // Pounds a bushel, and pounds of a unit.
            $table->decimal('test_weight', 5, 2)->nullable();
            $table->decimal('unit_weight', 7, 2)->nullable();
            $table->decimal('units_per_box', 6, 1)->nullable();
            // Kinds of seed in one bag: read and written as one, and asked for nowhere by itself.
            $table->jsonb('mixture')->default('[]');
        });
    }

    public function down(): void
    {
        Schema::table('seed_lots', static fn (Blueprint $table) => $table->dropColumn(['test_weight', 'unit_weight', 'units_per_box', 'mixture']));
    }
};
