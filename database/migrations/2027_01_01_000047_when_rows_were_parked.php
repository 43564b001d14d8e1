<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A few entries that are only ever read with their planter.
        Schema::table('planters', static fn (Blueprint $table) => $table->jsonb('formerly_parked')->default('[]'));
    }

    public function down(): void
    {
        Schema::table('planters', static fn (Blueprint $table) => $table->dropColumn('formerly_parked'));
    }
};
