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
        Schema::table('workshops', static function (Blueprint $table): void {
            $table->text('meter_school')->default('seasons');
        });
        DB::statement("ALTER TABLE workshops ADD CHECK (meter_school IN ('seasons', 'every_size'))");
    }
};
