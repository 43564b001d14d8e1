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
        Schema::table('forecasts', function (Blueprint $table): void {
            // The newest reading, where it shows more left than there can be: the part may have been changed.
            $table->uuid('grown')->nullable();
            // The check reads as if parts grew back, all in all: the tape reads long, or the figures are wrong.
            $table->boolean('grows_back')->default(false);
        });
        Schema::table('workshops', function (Blueprint $table): void {
            // What the shop does about depth stops that do not lift alike.
            $table->text('depth_school')->default('handle');
        });
        DB::statement("ALTER TABLE workshops ADD CHECK (depth_school IN ('handle', 'reindex'))");
    }
};
