<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('joints', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('planter_id')->constrained()->cascadeOnDelete();
            $table->text('step');
            // Each with its rows: read and written as one, and asked for nowhere by itself.
            $table->jsonb('variants')->default('[]');
            $table->unsignedInteger('revision')->default(1);
            $table->unique(['planter_id', 'step']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('joints');
    }
};
