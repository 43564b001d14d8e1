<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A scale in inches is set to the eighth.
        Schema::table('digs', static fn (Blueprint $table) => $table->decimal('mark', 6, 3)->nullable()->change());
        // What the figure of a depth counts: a notch is no turn, and a planter may be made otherwise later.
        Schema::table('settings', static fn (Blueprint $table) => $table->text('depth_scale')->nullable());
    }

    public function down(): void
    {
        Schema::table('settings', static fn (Blueprint $table) => $table->dropColumn('depth_scale'));
        Schema::table('digs', static fn (Blueprint $table) => $table->decimal('mark', 4, 1)->nullable()->change());
    }
};
