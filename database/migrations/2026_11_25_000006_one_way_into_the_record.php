<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Ramsey\Uuid\Uuid;

return new class extends Migration
{
    /** What ids of imported walks were made from until now, together with planter and season. */
    private const NAMED = '6e1f0a52-3c1b-5d7e-9a44-7b5d2f0c81aa';

    public function up(): void
    {
        $this->workshops();
        $this->envelopes();
        $this->walks();
        $this->cells();
    }

    private function workshops(): void
    {
        Schema::table('workshops', function (Blueprint $table): void {
            $table->text('time_zone')->default('UTC');
            // Goes into the ids of what is imported, so that nobody else can foretell them.
            $table->uuid('import_key')->default(DB::raw('gen_random_uuid()'));
        });
        Schema::table('planters', function (Blueprint $table): void {
            // Counts the changes of all that hangs on the planter: what was answered at the same revision still holds.
            $table->bigInteger('revision')->default(0);
        });
        $this->dropCheck('users', 'theme');
        DB::statement("ALTER TABLE users ALTER theme SET DEFAULT 'device', ADD CHECK (theme IN ('device', 'light', 'dark'))");
        // Light was what nobody had chosen.
        DB::table('users')->where('theme', 'light')->update(['theme' => 'device']);
    }

    /** What everything recorded has in common. What came before has no digest: sent again it is taken for the same. */
    private function envelopes(): void
    {
        Schema::table('photos', fn (Blueprint $table) => $table->renameColumn('sent_sha256', 'file_sha256'));
        foreach (['readings', 'notes', 'photos', 'ledger_events', 'acres_log'] as $name) {
            Schema::table($name, fn (Blueprint $table) => $table->char('sent_sha256', 64)->nullable());
        }
        DB::statement("ALTER TABLE ledger_events ADD withdrawn boolean NOT NULL GENERATED ALWAYS AS (kind = 'withdrawn') STORED");
        DB::statement("ALTER TABLE notes ADD withdrawn boolean NOT NULL GENERATED ALWAYS AS (text = '') STORED");
        DB::statement('CREATE INDEX notes_superseded ON notes (planter_id) WHERE supersedes IS NOT NULL');
        DB::statement("ALTER TABLE acres_log ADD CHECK (day BETWEEN '1900-01-01' AND '2200-12-31')");
    }

    private function walks(): void
    {
        Schema::table('walks', function (Blueprint $table): void {
            $table->boolean('imported')->default(false);
            // Counts the changes that make a device get its guide anew.
            $table->integer('guide_revision')->default(0);
            $table->dropColumn('outlook_hash');
        });
        foreach (DB::table('walks')->get(['id', 'planter_id', 'season']) as $walk) {
            if ($walk->id === Uuid::uuid5(self::NAMED, "{$walk->planter_id} readings walk {$walk->season}")->toString()) {
                DB::table('walks')->where('id', $walk->id)->update(['imported' => true]);
            }
        }
        DB::statement('CREATE UNIQUE INDEX walks_one_imported_a_season ON walks (planter_id, season) WHERE imported');
    }

    private function cells(): void
    {
        Schema::table('cells', function (Blueprint $table): void {
            $table->dropIndex('cells_last_time');
            $table->dropColumn('part_changed_at');
        });
        DB::statement(<<<'SQL'
            CREATE INDEX cells_last_time ON cells (planter_id, row_number, check_key, side, season DESC, taken_at DESC)
                INCLUDE (value, state, chips) WHERE result = 'recorded'
            SQL);
    }

    private function dropCheck(string $table, string $column): void
    {
        foreach (DB::select("SELECT conname, pg_get_constraintdef(oid) AS says FROM pg_constraint WHERE conrelid = ?::regclass AND contype = 'c'", [$table]) as $check) {
            if (preg_match("/\\b{$column}\\b/", $check->says) === 1) {
                DB::statement("ALTER TABLE {$table} DROP CONSTRAINT {$check->conname}");
            }
        }
    }
};
