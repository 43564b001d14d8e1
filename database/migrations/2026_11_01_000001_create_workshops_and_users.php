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
        Schema::create('workshops', function (Blueprint $table): void {
            $table->id();
            $table->text('name');
            $table->timestampsTz();
        });

        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->text('name');
            $table->text('email')->unique();
            $table->text('password');
            $table->text('units')->default('in');
            $table->text('theme')->default('light');
            $table->rememberToken();
            $table->timestampsTz();
        });
        DB::statement("ALTER TABLE users ADD CHECK (units IN ('in', 'mm')), ADD CHECK (theme IN ('light', 'dark'))");
    }
};
