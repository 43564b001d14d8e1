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
