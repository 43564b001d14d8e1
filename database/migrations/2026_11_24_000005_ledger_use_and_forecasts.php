<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** Furrow miles from new to the limit, for the sheets that were kept before a sheet had such a figure. */
    private const LIVES = [
        'coulter_diameter' => 1200, 'fertilizer_blade_diameter' => 1200, 'opener_blade_diameter' => 800, 'guard_width' => 1000, 'blade_contact_length' => 500,
        'arm_play_vertical' => 2500, 'arm_play_side' => 2500, 'gauge_arm_play' => 1500, 'closing_tail_play' => 2000, 'chain_length' => 2000,
    ];

    public function up(): void
    {
        $this->completeSheets();
        $this->plans();
        $this->catalogue();
        $this->ledger();
        $this->acres();
        $this->forecasts();
        $this->cells();
    }

    private function completeSheets(): void
    {
        foreach (['spec_sheets', 'walks'] as $table) {
            foreach (self::LIVES as $check => $miles) {
                $figure = ['value' => "{$miles} mi", 'source' => 'furrow miles from new to the limit; typical value, your own record replaces it'];
                DB::update(
                    "UPDATE {$table} SET sheet = jsonb_set(sheet, ?::text[], ?::jsonb) WHERE sheet #> ?::text[] IS NOT NULL AND sheet #> ?::text[] IS NULL",
                    ["{checks,{$check},figures,life}", json_encode($figure), "{checks,{$check},figures}", "{checks,{$check},figures,life}"],
                );
            }
        }
    }

    private function plans(): void
    {
        Schema::table('workshops', function (Blueprint $table): void {
            // Over this chance of reaching the limit within the season a part is watched.
            $table->decimal('watch_chance', 4, 3)->default(0.2);
        });
        Schema::table('planters', function (Blueprint $table): void {
            $table->decimal('planned_acres', 9, 1)->nullable();
            $table->smallInteger('planting_days')->nullable();
        });
        Schema::table('walks', function (Blueprint $table): void {
            // What the season was to bring when the walk was made, and the shop's figure then.
            $table->decimal('planned_acres', 9, 1)->nullable();
            $table->decimal('watch_chance', 4, 3)->default(0.2);
            // Names the state of its outlooks and of the parts fitted meanwhile, for a device to see that they have changed.
            $table->char('outlook_hash', 16)->nullable();
        });
        DB::statement('ALTER TABLE workshops ADD CHECK (watch_chance > 0 AND watch_chance < 1)');
        DB::statement('ALTER TABLE planters ADD CHECK (planned_acres > 0), ADD CHECK (planting_days BETWEEN 1 AND 365)');
    }

    private function catalogue(): void
    {
        Schema::create('part_types', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->text('name');
            $table->text('own_number')->nullable();
            $table->jsonb('slots');
            $table->smallInteger('per_row');
            $table->decimal('new_size', 12, 6)->nullable();
            $table->text('new_size_typed')->nullable();
            $table->decimal('life_m', 12, 1)->nullable();
            $table->decimal('price', 10, 2)->nullable();
            $table->smallInteger('lead_days')->nullable();
            $table->text('notes')->default('');
            $table->boolean('heavy')->default(false);
            $table->boolean('clearance')->default(false);
            $table->timestampsTz();
        });
        DB::statement('CREATE UNIQUE INDEX part_types_name_in_workshop ON part_types (workshop_id, lower(name))');
        DB::statement(<<<'SQL'
            ALTER TABLE part_types
                ADD CHECK (per_row BETWEEN 1 AND 20), ADD CHECK (new_size > 0), ADD CHECK (life_m > 0), ADD CHECK (price >= 0), ADD CHECK (lead_days BETWEEN 0 AND 730)
            SQL);
    }

    private function ledger(): void
    {
        // The record of what was fitted, taken out and moved: only ever added to, a correction supersedes.
        Schema::create('ledger_events', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->text('kind');
            $table->smallInteger('row_number');
            $table->text('slot');
            $table->text('side');
            $table->uuid('part_id')->nullable();
            $table->foreignId('part_type_id')->nullable()->constrained();
            $table->boolean('used')->default(false);
            $table->decimal('size', 12, 6)->nullable();
            $table->text('size_typed')->nullable();
            $table->decimal('ran_before_m', 12, 1)->default(0);
            $table->uuid('fitting_id')->nullable();
            $table->text('reason')->nullable();
            // Inner shims in the pack that was in; of a move, how many were added on each side, and the contact before.
            $table->smallInteger('shims')->nullable();
            $table->smallInteger('pairs')->nullable();
            $table->decimal('contact_before', 12, 6)->nullable();
            $table->decimal('cost', 10, 2)->nullable();
            $table->text('note')->default('');
            $table->timestampTz('happened_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->uuid('supersedes')->nullable()->unique();
            $table->index(['planter_id', 'row_number']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE ledger_events
                ADD FOREIGN KEY (fitting_id) REFERENCES ledger_events (id),
                ADD FOREIGN KEY (supersedes) REFERENCES ledger_events (id),
                ADD CHECK (kind IN ('fitted', 'removed', 'shims_moved', 'withdrawn')),
                ADD CHECK (row_number BETWEEN 1 AND 48),
                ADD CHECK (side IN ('left', 'right', 'centre')),
                ADD CHECK ((kind = 'fitted') = (part_id IS NOT NULL)),
                ADD CHECK ((kind = 'removed') = (fitting_id IS NOT NULL)),
                ADD CHECK ((kind = 'shims_moved') = (pairs IS NOT NULL)),
                ADD CHECK (kind != 'withdrawn' OR supersedes IS NOT NULL),
                ADD CHECK (size > 0), ADD CHECK (ran_before_m >= 0), ADD CHECK (cost >= 0), ADD CHECK (pairs != 0)
            SQL);

        // The projection: what is and was fitted where, and how far it ran there. Rebuilt by ustrel:rebuild.
        Schema::create('fittings', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->smallInteger('row_number');
            $table->text('slot');
            $table->text('side');
            $table->uuid('part_id');
            $table->foreignId('part_type_id')->nullable()->index()->constrained();
            $table->timestampTz('fitted_at', 3);
            $table->timestampTz('removed_at', 3)->nullable();
            $table->text('removal_reason')->nullable();
            $table->float('run_m', 53);
            $table->float('run_effective_m', 53);
            $table->index(['planter_id', 'row_number']);
            $table->index('part_id');
        });
        DB::statement('ALTER TABLE fittings ADD FOREIGN KEY (id) REFERENCES ledger_events (id), ADD CHECK (removed_at > fitted_at), ADD CHECK (run_m >= 0)');
        DB::statement('CREATE INDEX ledger_events_superseded ON ledger_events (planter_id) WHERE supersedes IS NOT NULL');
        DB::statement('CREATE UNIQUE INDEX fittings_one_open_per_slot ON fittings (planter_id, row_number, slot, side) WHERE removed_at IS NULL');
        DB::statement('CREATE UNIQUE INDEX fittings_one_open_per_part ON fittings (part_id) WHERE removed_at IS NULL');
    }

    private function acres(): void
    {
        Schema::create('imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('planter_id')->constrained();
            $table->text('kind');
            $table->text('file_name');
            $table->char('sha256', 64);
            $table->integer('kept');
            $table->integer('left_out');
            $table->foreignId('user_id')->constrained();
            $table->timestampTz('imported_at');
            $table->index(['planter_id', 'sha256']);
        });
        // Only ever added to: a correction supersedes.
        Schema::create('acres_log', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->date('day');
            $table->text('field');
            $table->text('crop')->nullable();
            $table->decimal('acres', 9, 3);
            $table->decimal('mph', 4, 1)->nullable();
            $table->text('soil')->nullable();
            $table->text('residue')->nullable();
            $table->text('tillage')->nullable();
            $table->decimal('severity', 4, 2);
            $table->boolean('own_severity')->default(false);
            $table->jsonb('shares')->default('{}');
            $table->boolean('withdrawn')->default(false);
            $table->uuid('supersedes')->nullable()->unique();
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->index(['planter_id', 'day']);
        });
        DB::statement('CREATE INDEX acres_log_superseded ON acres_log (planter_id) WHERE supersedes IS NOT NULL');
        DB::statement(<<<'SQL'
            ALTER TABLE acres_log
                ADD FOREIGN KEY (supersedes) REFERENCES acres_log (id),
                ADD CHECK (acres > 0 AND acres <= 10000), ADD CHECK (severity BETWEEN 0.5 AND 2.1), ADD CHECK (mph > 0)
            SQL);
    }

    private function forecasts(): void
    {
        // The projection: how each place that wears stands now.
        Schema::create('forecasts', function (Blueprint $table): void {
            $table->foreignId('planter_id')->constrained();
            $table->smallInteger('row_number');
            $table->text('check_key');
            $table->text('side');
            $table->uuid('fitting_id')->nullable();
            $table->float('size', 53)->nullable();
            $table->float('use_m', 53);
            $table->float('rate', 53)->nullable();
            $table->float('left10_m', 53)->nullable();
            $table->float('left50_m', 53)->nullable();
            $table->float('left90_m', 53)->nullable();
            $table->float('chance', 53)->nullable();
            $table->smallInteger('readings');
            $table->boolean('thin');
            $table->jsonb('outliers');
            $table->primary(['planter_id', 'row_number', 'check_key', 'side']);
        });
        // The projection: from which size on a reading of this walk will not last the season.
        Schema::create('outlooks', function (Blueprint $table): void {
            $table->foreignUuid('walk_id')->constrained();
            $table->smallInteger('row_number');
            $table->text('check_key');
            $table->text('side');
            $table->decimal('turns_at', 12, 6);
            $table->primary(['walk_id', 'row_number', 'check_key', 'side']);
        });
    }

    private function cells(): void
    {
        Schema::table('cells', function (Blueprint $table): void {
            // When the part that was read here was changed.
            $table->timestampTz('part_changed_at', 3)->nullable();
            $table->dropIndex('cells_last_time');
        });
        DB::statement(<<<'SQL'
            CREATE INDEX cells_last_time ON cells (planter_id, row_number, check_key, side, season DESC, taken_at DESC)
                INCLUDE (value, state, chips, part_changed_at) WHERE result = 'recorded'
            SQL);
        // The projection: places of a walk that were given another part, or set anew, since they were looked at.
        Schema::create('renewals', function (Blueprint $table): void {
            $table->foreignUuid('walk_id')->constrained();
            $table->smallInteger('row_number');
            $table->text('check_key');
            $table->text('side');
            $table->text('result');
            $table->decimal('value', 12, 6)->nullable();
            $table->text('verdict');
            $table->jsonb('reasons');
            $table->float('life_left', 24)->nullable();
            $table->timestampTz('happened_at', 3);
            $table->primary(['walk_id', 'row_number', 'check_key', 'side']);
        });
        // By check first: the wear of one check is read for all rows at once.
        Schema::table('readings', function (Blueprint $table): void {
            $table->dropIndex('readings_of_a_place');
            $table->index(['planter_id', 'check_key', 'row_number', 'side', 'taken_at'], 'readings_of_a_check');
        });
    }
};
