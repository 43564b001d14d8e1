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
        Schema::create('own_checks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            // Readings know it by this; it is never given again.
            $table->smallInteger('number');
            $table->text('name');
            $table->jsonb('definition');
            $table->unique(['workshop_id', 'number']);
        });
        // What the shop does about rows that do not lift alike, as with its odds.
        DB::statement("ALTER TABLE walks ADD COLUMN depth_school text NOT NULL DEFAULT 'handle' CHECK (depth_school IN ('handle', 'reindex'))");
        DB::statement('UPDATE walks SET depth_school = workshops.depth_school FROM planters JOIN workshops ON workshops.id = planters.workshop_id WHERE planters.id = walks.planter_id');
        DB::statement('CREATE UNIQUE INDEX own_checks_name ON own_checks (workshop_id, lower(name))');
        DB::statement('ALTER TABLE own_checks ADD CHECK (number BETWEEN 1 AND 24), ADD CHECK (length(name) BETWEEN 1 AND 60)');
    }
};
