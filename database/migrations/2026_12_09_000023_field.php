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
        // What was set to what, and on what ground: only ever added to.
        Schema::create('settings', static function (Blueprint $table): void {
            self::event($table);
            $table->smallInteger('row_number')->default(0);
            $table->text('key');
            // As it is said; where it is a figure, that figure in the unit of its key.
            $table->text('value');
            $table->decimal('figure', 12, 4)->nullable();
            $table->text('field')->default('');
            $table->text('crop')->default('');
            $table->text('soil')->nullable();
            $table->text('residue')->nullable();
            $table->text('note')->default('');
        });
        // One row that was dug on a pass over the field: lengths in millimetres.
        Schema::create('digs', static function (Blueprint $table): void {
            self::event($table);
            $table->smallInteger('pass');
            $table->smallInteger('row_number');
            $table->text('field')->default('');
            $table->decimal('target', 6, 2);
            $table->decimal('spacing', 8, 2)->nullable();
            $table->decimal('notch', 6, 2)->nullable();
            $table->jsonb('depths');
            $table->jsonb('spacings');
            $table->jsonb('seen');
            $table->text('note')->default('');
        });
        // Turned by hand every row dropped, or these did not; or somebody says that the planter is ready.
        Schema::create('sign_offs', static function (Blueprint $table): void {
            self::event($table);
            $table->text('kind');
            $table->text('field')->default('');
            $table->jsonb('rows');
            $table->text('words')->default('');
        });
        // Plants that stood on a marked length of a row.
        Schema::create('stand_counts', static function (Blueprint $table): void {
            self::event($table);
            $table->smallInteger('row_number');
            $table->text('field');
            $table->date('planted_on');
            $table->integer('plants');
            // Millimetres.
            $table->decimal('length', 8, 1);
            $table->integer('population')->nullable();
            $table->decimal('germination', 4, 3)->nullable();
        });
        foreach (['settings', 'digs', 'sign_offs', 'stand_counts'] as $table) {
            DB::statement("ALTER TABLE {$table} ADD FOREIGN KEY (supersedes) REFERENCES {$table} (id)");
        }
        DB::statement('ALTER TABLE settings ADD CHECK (row_number >= 0)');
        DB::statement('ALTER TABLE stand_counts ADD CHECK (row_number >= 1), ADD CHECK (plants >= 0), ADD CHECK (length > 0)');
        DB::statement('ALTER TABLE digs ADD CHECK (row_number >= 1), ADD CHECK (pass BETWEEN 1 AND 20), ADD CHECK (target > 0)');
        DB::statement("ALTER TABLE sign_offs ADD CHECK (kind IN ('hand_turned', 'ready'))");
    }

    private static function event(Blueprint $table): void
    {
        $table->uuid('id')->primary();
        $table->foreignId('planter_id')->constrained();
        $table->timestampTz('happened_at', 3);
        $table->timestampTz('recorded_at', 3);
        $table->foreignId('user_id')->constrained();
        $table->uuid('supersedes')->nullable()->unique();
        $table->boolean('withdrawn')->default(false);
        $table->char('sent_sha256', 64)->nullable();
        $table->index(['planter_id', 'happened_at']);
    }
};
