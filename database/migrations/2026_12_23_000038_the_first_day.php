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
        Schema::table('planters', static fn (Blueprint $table) => $table->boolean('is_sample')->default(false));
        Schema::table('workshops', static fn (Blueprint $table) => $table->text('paper')->default('a4'));
        DB::statement("ALTER TABLE workshops ADD CHECK (paper IN ('a4', 'letter'))");
        DB::statement("UPDATE workshops SET paper = 'letter' WHERE currency IN ('USD', 'CAD', 'MXN')");
        DB::statement('CREATE UNIQUE INDEX planters_one_sample ON planters (workshop_id) WHERE is_sample');
        // What the record shows is not written here.
        Schema::create('first_day_steps', static function (Blueprint $table): void {
            $table->foreignId('workshop_id')->constrained();
            $table->text('step');
            $table->text('state');
            $table->primary(['workshop_id', 'step']);
        });
        DB::statement("ALTER TABLE first_day_steps ADD CHECK (state IN ('done', 'skipped'))");
        // A shop that is at work has had its first day.
        DB::statement("INSERT INTO first_day_steps (workshop_id, step, state) SELECT id, step, 'skipped' FROM workshops, unnest(ARRAY['planter', 'walk', 'board', 'decide', 'print', 'invite']) AS step");
    }

    public function down(): void
    {
        Schema::dropIfExists('first_day_steps');
        Schema::table('planters', static fn (Blueprint $table) => $table->dropColumn('is_sample'));
        Schema::table('workshops', static fn (Blueprint $table) => $table->dropColumn('paper'));
    }
};
