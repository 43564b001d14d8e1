<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        foreach (['planters', 'walks'] as $table) {
            Schema::table($table, static fn (Blueprint $of) => $of->jsonb('wanted')->default('{}'));
        }
    }

    public function down(): void
    {
        foreach (['planters', 'walks'] as $table) {
            Schema::table($table, static fn (Blueprint $of) => $of->dropColumn('wanted'));
        }
    }
};
