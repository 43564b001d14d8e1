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
        Schema::table('planters', function (Blueprint $table): void {
            // What decides which checks are asked; by name, shape in docs/formats.md.
            $table->jsonb('equipment')->default('{}');
        });

        Schema::table('walks', function (Blueprint $table): void {
            $table->jsonb('equipment')->default('{}');
            // The keys of the checks that are walked; null for all.
            $table->jsonb('checks')->nullable();
            $table->smallInteger('planter_places')->default(0);
            $table->timestampTz('cautions_acknowledged_at')->nullable();
        });
        $this->replaceChecks('walks', ['walk_order'], <<<'SQL'
            ADD CHECK (walk_order IN ('row_by_row', 'station_by_station', 'snake'))
            SQL);

        foreach (['readings', 'cells'] as $name) {
            $this->replaceChecks($name, ['result', 'entry', 'millimetres', 'row_number']);
            Schema::table($name, function (Blueprint $table): void {
                // A figure in the unit of its check, or a state with the reasons ticked.
                $table->renameColumn('millimetres', 'value');
                $table->text('state')->nullable();
                $table->jsonb('chips')->default('[]');
            });
            DB::table($name)->where('result', 'measured')->update(['result' => 'recorded']);
        }
        // A reason's figure used to be a length always.
        DB::statement(<<<'SQL'
            UPDATE cells SET reasons = (
                SELECT coalesce(jsonb_agg(jsonb_build_object(
                    'code', reason -> 'code',
                    'ref', reason -> 'ref_mm',
                    'unit', CASE WHEN reason ->> 'ref_mm' IS NOT NULL THEN 'mm' END
                )), '[]')
                FROM jsonb_array_elements(reasons) AS reason
            )
            SQL);
        DB::statement(<<<'SQL'
            ALTER TABLE readings
                ADD CHECK (row_number BETWEEN 0 AND 48),
                ADD CHECK (result IN ('recorded', 'looked_sound', 'not_fitted', 'withdrawn')),
                ADD CHECK (entry IN ('typed', 'same_as_last', 'rest_of_row', 'rest_of_station', 'from_sheet')),
                ADD CHECK (num_nonnulls(value, state) = CASE WHEN result = 'recorded' THEN 1 ELSE 0 END),
                ADD CHECK ((value IS NULL) = (typed IS NULL)),
                ADD CHECK (state IN ('sound', 'watch', 'change', 'failed', 'gap', 'light', 'tight', 'yes', 'no'))
            SQL);

        // "Last time" at every place of a planter comes straight from an index, in its order and without the table.
        DB::statement(<<<'SQL'
            CREATE INDEX cells_last_time ON cells (planter_id, row_number, check_key, side, season DESC, taken_at DESC)
                INCLUDE (value, state, chips) WHERE result = 'recorded'
            SQL);
        Schema::table('cells', function (Blueprint $table): void {
            $table->dropIndex(['planter_id', 'season']);
            $table->index(['planter_id', 'row_number']);
        });

        // What a person wrote down beside the readings of a place. Only ever added to: a correction supersedes.
        Schema::create('notes', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $this->place($table);
            $table->text('kind');
            $table->text('text');
            $table->uuid('supersedes')->nullable()->unique();
        });
        DB::statement("ALTER TABLE notes ADD CHECK (kind IN ('note', 'hard_joint')), ADD FOREIGN KEY (supersedes) REFERENCES notes (id)");

        // Photos of a place; the pictures themselves lie on disk, outside the web root.
        Schema::create('photos', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $this->place($table);
            $table->char('sent_sha256', 64);
            $table->smallInteger('width');
            $table->smallInteger('height');
        });
    }

    private function place(Blueprint $table): void
    {
        $table->foreignUuid('walk_id')->index()->constrained();
        $table->foreignId('planter_id')->constrained();
        $table->smallInteger('row_number');
        $table->text('check_key');
        $table->text('side');
        $table->timestampTz('taken_at', 3);
        $table->timestampTz('recorded_at', 3);
        $table->foreignId('user_id')->constrained();
        $table->index(['planter_id', 'row_number']);
    }

    /**
     * Drops the CHECKs of a table that name one of the columns, and adds others.
     *
     * @param  list<string>  $columns
     */
    private function replaceChecks(string $table, array $columns, string $add = ''): void
    {
        $named = DB::select("SELECT conname, pg_get_constraintdef(oid) AS says FROM pg_constraint WHERE conrelid = ?::regclass AND contype = 'c'", [$table]);
        foreach ($named as $check) {
            if (preg_match('/\b('.implode('|', $columns).')\b/', $check->says) === 1) {
                DB::statement("ALTER TABLE {$table} DROP CONSTRAINT {$check->conname}");
            }
        }
        if ($add !== '') {
            DB::statement("ALTER TABLE {$table} {$add}");
        }
    }
};
