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
        $this->shop();
        $this->season();
        $this->decisions();
        $this->policies();
    }

    private function shop(): void
    {
        Schema::table('workshops', function (Blueprint $table): void {
            // What an hour's work and a stop in season cost; null where nobody has said.
            $table->decimal('shop_rate', 10, 2)->nullable();
            $table->decimal('stop_cost', 10, 2)->nullable();
            $table->decimal('stop_hours', 5, 2)->nullable();
            // Service stops a season that worn parts wait for; 0 where each stops the planter at once.
            $table->smallInteger('service_stops')->default(0);
            $table->jsonb('own_policy')->default('{}');
            // Name and hours by day of the week of each who works.
            $table->jsonb('crew')->default('[]');
        });
        DB::statement('ALTER TABLE workshops ADD CHECK (shop_rate >= 0), ADD CHECK (stop_cost >= 0), ADD CHECK (stop_hours BETWEEN 0 AND 100), ADD CHECK (service_stops BETWEEN 0 AND 6)');
    }

    private function season(): void
    {
        Schema::table('planters', function (Blueprint $table): void {
            // Findings that were left, and those of them that went wrong, by check.
            $table->jsonb('left_findings')->default('{}');
        });
        Schema::create('season_plans', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('planter_id')->constrained();
            $table->smallInteger('season');
            $table->decimal('mph', 4, 1)->nullable();
            $table->decimal('efficiency', 4, 3)->nullable();
            // The fills are counted by themselves, and the efficiency is that of turning alone.
            $table->boolean('counts_fills')->default(false);
            $table->decimal('fill_minutes', 5, 1)->nullable();
            $table->jsonb('tanks')->default('[]');
            $table->decimal('hours_a_day', 4, 1)->nullable();
            $table->decimal('fit_share', 4, 3)->nullable();
            $table->decimal('delay_price', 10, 2)->nullable();
            $table->date('delay_after')->nullable();
            // Steps of the countdown that somebody says are done, and the shop's own items.
            $table->jsonb('ticked')->default('[]');
            $table->jsonb('own_items')->default('[]');
            $table->jsonb('fields')->default('[]');
            $table->integer('revision')->default(0);
            $table->timestampsTz();
            $table->unique(['planter_id', 'season']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE season_plans
                ADD CHECK (mph > 0), ADD CHECK (efficiency > 0 AND efficiency <= 1), ADD CHECK (fill_minutes >= 0), ADD CHECK (hours_a_day > 0 AND hours_a_day <= 24),
                ADD CHECK (fit_share > 0 AND fit_share <= 1), ADD CHECK (delay_price >= 0)
            SQL);
    }

    private function decisions(): void
    {
        Schema::create('decisions', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->foreignUuid('walk_id')->constrained();
            $table->smallInteger('row_number');
            $table->text('check_key');
            $table->text('side');
            $table->text('action');
            $table->text('why');
            // What was proposed then, where that was another.
            $table->text('proposed')->nullable();
            $table->text('reason')->nullable();
            $table->text('words')->default('');
            $table->text('look_when')->nullable();
            $table->decimal('look_acres', 9, 1)->nullable();
            // What was found then: the reading, or none where the policy alone says so.
            $table->uuid('reading_id')->nullable();
            $table->text('verdict');
            $table->jsonb('parts')->default('[]');
            $table->decimal('cost', 10, 2);
            $table->smallInteger('unpriced');
            $table->decimal('minutes', 7, 1);
            $table->timestampTz('happened_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->uuid('supersedes')->nullable()->unique();
            $table->boolean('withdrawn')->default(false);
            $table->char('sent_sha256', 64)->nullable();
            $table->index(['planter_id', 'row_number', 'check_key', 'side']);
            $table->index('walk_id');
            $table->index('reading_id');
        });
        DB::statement(<<<'SQL'
            ALTER TABLE decisions
                ADD FOREIGN KEY (supersedes) REFERENCES decisions (id),
                ADD CHECK (action IN ('change', 'adjust', 'clean', 'carry_over', 'send_out', 'look_again')),
                ADD CHECK (action = 'carry_over' OR look_when IS NULL),
                ADD CHECK ((look_when = 'acres') = (look_acres IS NOT NULL)),
                ADD CHECK (proposed IS NULL OR reason IS NOT NULL OR words <> ''),
                ADD CHECK (cost >= 0 AND unpriced >= 0 AND minutes >= 0)
            SQL);
    }

    private function policies(): void
    {
        // Which policy ruled when: the newest one holds, for the planter or for one kind of slot.
        Schema::create('policy_choices', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('planter_id')->constrained();
            $table->text('slot')->nullable();
            $table->text('school');
            $table->jsonb('rules')->default('{}');
            $table->timestampTz('happened_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->char('sent_sha256', 64)->nullable();
            $table->index(['planter_id', 'happened_at']);
        });
        DB::statement("ALTER TABLE policy_choices ADD CHECK (school IN ('limit', 'set', 'every_spring', 'like_new', 'own'))");
    }
};
