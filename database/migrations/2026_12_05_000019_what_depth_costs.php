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
            // Of an acre that is planted a quarter of an inch too shallow; null where nobody has said.
            $table->decimal('depth_cost', 10, 2)->nullable();
        });
        DB::statement('ALTER TABLE workshops ADD CHECK (depth_cost >= 0)');
    }
};
