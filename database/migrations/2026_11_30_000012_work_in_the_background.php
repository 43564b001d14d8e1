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
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->text('queue')->index();
            $table->text('payload');
            $table->unsignedSmallInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });

        // What there is was taken in at once.
        DB::statement("ALTER TABLE imports ADD COLUMN state text NOT NULL DEFAULT 'done' CHECK (state IN ('waiting', 'looking', 'taking', 'done', 'refused', 'cancelled')), ADD COLUMN mode text NOT NULL DEFAULT 'good' CHECK (mode IN ('preview', 'whole', 'good')), ADD COLUMN mapping jsonb, ADD COLUMN leave_out jsonb NOT NULL DEFAULT '[]', ADD COLUMN line integer NOT NULL DEFAULT 0, ADD COLUMN starts integer NOT NULL DEFAULT 0, ADD COLUMN report jsonb, ADD COLUMN refused text");
        DB::statement('ALTER TABLE imports ALTER state DROP DEFAULT, ALTER mode DROP DEFAULT');
    }
};
