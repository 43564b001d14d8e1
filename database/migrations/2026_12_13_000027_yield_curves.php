<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('workshops', static function (Blueprint $table): void {
            // What the shop says that its crops yield at each stand, by crop: plants and yield an acre.
            $table->jsonb('yield_curves')->default('{}');
        });
    }
};
