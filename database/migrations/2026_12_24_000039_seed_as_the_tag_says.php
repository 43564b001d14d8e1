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
            $table->text('size_class')->default('');
            $table->decimal('seeds_per_pound', 7, 1)->nullable();
        });
        Schema::table('discs', static function (Blueprint $table): void {
            // What it is meant for, in the words of a tag.
            $table->text('crop')->default('');
            $table->text('size_class')->default('');
        });
    }

    public function down(): void
    {
        Schema::table('discs', static fn (Blueprint $table) => $table->dropColumn(['crop', 'size_class']));
        Schema::table('seed_lots', static fn (Blueprint $table) => $table->dropColumn(['size_class', 'seeds_per_pound']));
    }
};
