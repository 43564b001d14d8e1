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
            $table->decimal('germination_tested', 4, 3)->nullable();
            $table->date('tested_on')->nullable();
            $table->text('ordered_from')->default('');
            $table->decimal('ordered_units', 8, 1)->nullable();
            $table->date('ordered_on')->nullable();
            $table->date('due_on')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('seed_lots', static fn (Blueprint $table) => $table->dropColumn(['germination_tested', 'tested_on', 'ordered_from', 'ordered_units', 'ordered_on', 'due_on']));
    }
};
