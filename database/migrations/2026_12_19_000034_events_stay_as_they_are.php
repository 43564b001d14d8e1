<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    private const EVENTS = ['readings', 'notes', 'photos', 'ledger_events', 'acres_log', 'stock_moves', 'seed_moves', 'meter_moves', 'decisions', 'policy_choices', 'own_jobs', 'work_events', 'bench_runs', 'settings', 'digs', 'stand_counts', 'sign_offs'];

    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE OR REPLACE FUNCTION event_stays() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                IF to_jsonb(NEW) - 'withdrawn' - COALESCE(TG_ARGV, '{}') IS DISTINCT FROM to_jsonb(OLD) - 'withdrawn' - COALESCE(TG_ARGV, '{}') THEN
                    RAISE EXCEPTION 'an event of % stays as it was recorded; a later one takes its place', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
                END IF;
                RETURN NEW;
            END $$;
            SQL);
        foreach (self::EVENTS as $table) {
            // How heavy the ground was follows from what was said of it and from the shop's figures.
            $reckoned = $table === 'acres_log' ? "'severity'" : '';
            DB::statement("CREATE TRIGGER event_stays BEFORE UPDATE ON {$table} FOR EACH ROW EXECUTE FUNCTION event_stays({$reckoned})");
        }
    }
};
