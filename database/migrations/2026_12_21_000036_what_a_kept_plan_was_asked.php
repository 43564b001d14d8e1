<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** By what a plan was asked for it is known when the same is sent again, because the answer was lost. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('kept_plans', static function (Blueprint $table): void {
            $table->char('sent_sha256', 64)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('kept_plans', static function (Blueprint $table): void {
            $table->dropColumn('sent_sha256');
        });
    }
};
