<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/*
 * The demo as an earlier version had it, two large planters left out: its whole schema and what was in it, in a schema of
 * the database that is called "before".
 */
it('takes over the data of an earlier version without loss, drawn as it was', function (): void {
    $this->travelTo('2026-11-25T15:30:00Z');
    config(['database.connections.before' => [...config('database.connections.pgsql'), 'search_path' => 'before']]);
    $before = DB::connection('before');
    $before->unprepared('DROP SCHEMA IF EXISTS before CASCADE; CREATE SCHEMA before');
    $before->unprepared((string) gzdecode((string) file_get_contents(__DIR__.'/fixtures/demo-of-november-2026.sql.gz')));
    $counts = static fn (): array => array_map(
        static fn (string $table): int => $before->table($table)->count(),
        ['readings', 'notes', 'ledger_events', 'acres_log', 'walks', 'planters', 'users', 'fittings', 'forecasts'],
    );
    $verdicts = static fn (): array => $before->table('cells')->orderBy('walk_id')->orderBy('row_number')->orderBy('check_key')->orderBy('side')
        ->get(['walk_id', 'row_number', 'check_key', 'side', 'result', 'verdict', 'value'])->map(static fn (object $cell): string => implode(' ', (array) $cell))->all();
    try {
        [$had, $judged] = [$counts(), $verdicts()];
        expect($had[0])->toBe(2919)->and(count($judged))->toBe(2919);
        DB::setDefaultConnection('before');

        expect(Artisan::call('migrate', ['--force' => true]))->toBe(0)
            ->and($counts())->toBe($had)
            // By the odds as they are reckoned now two contacts that were to last are to be watched, and nothing else is judged otherwise.
            ->and(array_values(array_diff($verdicts(), $judged)))->toBe(array_map(
                static fn (int $row): string => "c2c37f6c-3db7-788a-8808-90e5516e6d14 {$row} blade_contact_length centre recorded watch 46.037500", [2, 8],
            ))
            ->and($before->table('workshops')->pluck('time_zone')->unique()->all())->toBe(['UTC'])
            ->and(Artisan::call('ustrel:rebuild'))->toBe(0)
            ->and(Artisan::output())->toContain('Equal');
    } finally {
        DB::setDefaultConnection('pgsql');
        $before->unprepared('DROP SCHEMA IF EXISTS before CASCADE');
        DB::purge('before');
    }
});

it('keeps what was said of alarms and of rows that are shut off, as events', function (): void {
    config(['database.connections.before' => [...config('database.connections.pgsql'), 'search_path' => 'before']]);
    $before = DB::connection('before');
    $before->unprepared('DROP SCHEMA IF EXISTS before CASCADE; CREATE SCHEMA before');
    $sheet = json_encode($this->typicalSheet()->sheet, JSON_THROW_ON_ERROR);
    try {
        DB::setDefaultConnection('before');
        $files = glob(database_path('migrations/*.php')) ?: [];
        $earlier = array_values(array_filter($files, static fn (string $file): bool => ! str_contains($file, '000035_')));
        expect(Artisan::call('migrate', ['--force' => true, '--realpath' => true, '--path' => $earlier]))->toBe(0);
        $now = '2026-04-20 10:00:00+00';
        $shop = $before->table('workshops')->insertGetId(['name' => 'Old Row Works', 'created_at' => $now, 'updated_at' => $now]);
        $user = $before->table('users')->insertGetId(['workshop_id' => $shop, 'name' => 'Hollis Pell', 'email' => 'hollis@old.example', 'password' => 'x', 'role' => 'owner', 'created_at' => $now, 'updated_at' => $now]);
        $sheet = $before->table('spec_sheets')->insertGetId(['workshop_id' => $shop, 'name' => 'Ours', 'type' => 'vacuum', 'sheet' => $sheet, 'created_at' => $now, 'updated_at' => $now]);
        $planter = $before->table('planters')->insertGetId(['workshop_id' => $shop, 'spec_sheet_id' => $sheet, 'farm' => 'Old', 'name' => 'East', 'row_count' => 8, 'spacing_mm' => 762, 'spacing_typed' => '30 in', 'sections' => '[8]', 'equipment' => '{}', 'created_at' => $now, 'updated_at' => $now]);
        $run = '0198b0c0-0000-7000-8000-000000000001';
        $before->table('watch_runs')->insert(['id' => $run, 'planter_id' => $planter, 'user_id' => $user, 'acres' => 1600, 'state' => 'running', 'shut' => '[2, 7]', 'made_at' => $now]);
        $alarm = static fn (array $with): int => $before->table('watch_alarms')->insertGetId($with + ['watch_run_id' => $run, 'at' => $now, 'kind' => 'drift', 'watched' => 'population', 'rows' => '[1, 3]', 'direction' => -1, 'seconds' => 60, 'pass' => 2, 'mph' => 5]);
        $seen = $alarm(['seen_at' => '2026-04-20 10:05:00+00', 'seen_by' => $user, 'back' => '[3]']);
        $left = $alarm(['seen_at' => '2026-04-20 10:06:00+00', 'seen_by' => $user, 'is_left' => true]);
        $open = $alarm([]);

        expect(Artisan::call('migrate', ['--force' => true]))->toBe(0);
        $said = $before->table('watch_entries')->orderBy('happened_at')->orderBy('row_number')->get(['kind', 'row_number', 'watch_alarm_id', 'user_id'])->map(static fn (object $of): array => array_values((array) $of))->all();
        expect($said)->toBe([['shut', 2, null, $user], ['shut', 7, null, $user], ['seen', null, $seen, $user], ['left', null, $left, $user]])
            ->and($before->table('watch_backs')->get(['watch_alarm_id', 'row_number'])->map(static fn (object $of): array => array_values((array) $of))->all())->toBe([[$seen, 3]])
            ->and($before->table('watch_alarms')->pluck('id')->all())->toEqualCanonicalizing([$seen, $left, $open]);
    } finally {
        DB::setDefaultConnection('pgsql');
        $before->unprepared('DROP SCHEMA IF EXISTS before CASCADE');
        DB::purge('before');
    }
});
