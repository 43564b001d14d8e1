<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/*
 * Blades of 15 in, fitted new in 2024. Two seasons of 160 acres on 8 rows at 30 in: 40 acres or 132 miles of furrow a
 * row. Then 3/8 in is gone and 1/8 in is left to the limit of 14 1/2 in, enough for 44 miles a row or 106.7 acres.
 */
beforeEach(function (): void {
    $this->travelTo('2026-03-01 12:00:00');
    $this->planter = $this->planter(['planting_start' => '2026-04-10', 'planned_acres' => 160, 'planting_days' => 8]);
    $this->seasons = function (array $fields = []): void {
        $this->record($this->planter, ...array_map(fn (int $row): array => $this->fitting($row, '2024-03-01'), range(1, 8)))->assertCreated();
        $this->logAcres($this->planter, '2024-04-20', 160, $fields)->assertCreated();
        $this->logAcres($this->planter, '2025-04-20', 160, $fields)->assertCreated();
        $walk = $this->openWalk($this->planter);
        $this->send($walk, ...array_map(fn (int $row): array => $this->reading($row, '14 5/8', ['confirmed' => true, 'taken_at' => '2026-03-01T11:00:00Z']), range(1, 8)))->assertOk();
        DB::table('walks')->where('id', $walk->id)->update(['started_at' => '2026-03-01 10:00:00+00']);
    };
});

it('says in acres, miles and days what a pencil says', function (): void {
    ($this->seasons)();
    $blade = $this->forecastOf($this->planter, 4);
    // Read to 1/8 in with an SD of 1 mm, from a start good to 0.8 mm: own rate 0.0722 mm a mile +- 0.0119. The eight, and the nominal
    // 0.0254 +- 0.0254, come to 0.0709 +- 0.0042, and rows differ by a tenth. Together: 0.0712 a mile and 3.265 mm left now,
    // with variances 4.66e-5 and 0.922 and covariance -4.57e-3.
    expect($blade['left_m']['p50'] / 1609.344)->toEqualWithDelta(45.83, 0.1)
        ->and($blade['left_acres']['p50'])->toEqualWithDelta(111.1, 0.2)
        ->and($blade['size_mm'])->toEqualWithDelta(371.565, 0.002)
        ->and($blade['use_m'] / 1609.344)->toEqualWithDelta(132, 0.01)
        // Two thirds of 160 acres in 8 days: on the sixth.
        ->and($blade['due_on'])->toBe('2026-04-15')
        // 1.28 standard deviations either way: after 26.2 miles and after 69.9.
        ->and($blade['left_acres']['p10'])->toEqualWithDelta(26.18 * 8 / 3.3, 0.3)
        ->and($blade['left_acres']['p90'])->toEqualWithDelta(69.9 * 8 / 3.3, 0.3)
        // By the season's end at 66 miles 1.437 mm are gone that are not there, of an SD of 1.314.
        ->and($blade['chance'])->toEqualWithDelta(0.863, 0.002);

    // 40 of these acres are planted: so many fewer are left, and the day stays what it was.
    $this->travelTo('2026-04-13 08:00:00');
    $this->logAcres($this->planter, '2026-04-10', 40)->assertCreated();
    expect($this->acresOf($this->planter)['plan']['left'])->toBe(120);
    $later = $this->forecastOf($this->planter, 4);
    expect($later['left_acres']['p50'])->toEqualWithDelta($blade['left_acres']['p50'] - 40, 0.05)
        ->and($later['due_on'])->toBe('2026-04-15')
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('comes to about the same acres on ground that is harsh throughout, and counts half the work where a row was shut off', function (): void {
    ($this->seasons)(['severity' => 2, 'shut_off' => [['rows' => [8], 'share' => 0.5]]]);
    $harsh = $this->forecastOf($this->planter, 4);
    expect($harsh['left_acres']['p50'])->toBeBetween(97.0, 115.0)
        ->and($harsh['use_m'] / 1609.344)->toEqualWithDelta(132, 0.01);
    $half = $this->forecastOf($this->planter, 8);
    // As much was read of it after half the work: it wears faster than they do.
    $rate = fn (int $row): float => (float) DB::table('forecasts')->where(['row_number' => $row, 'check_key' => 'opener_blade_diameter', 'side' => 'left'])->value('rate');
    expect($half['use_m'] / 1609.344)->toEqualWithDelta(66, 0.01)
        ->and($rate(8) / $rate(4))->toBeGreaterThan(1.1);
});

it('asks whether a blade was changed that reads as if new, and is quiet once that is on record', function (): void {
    ($this->seasons)();
    $this->postJson('/api/walks/'.DB::table('walks')->value('id').'/finish', ['with_unchecked' => true])->assertOk();
    $this->travelTo('2027-03-01 12:00:00');
    $this->logAcres($this->planter, '2026-04-20', 20)->assertCreated();
    $this->planter->update(['planting_start' => '2027-04-10']);
    $walk = $this->openWalk($this->planter);
    $this->send($walk, ...array_map(fn (int $row): array => $this->reading($row, $row === 4 ? '15' : '14 9/16', ['confirmed' => true]), range(1, 8)))->assertOk();
    expect($this->forecastOf($this->planter, 4)['grown'])->toBeTrue()
        ->and($this->forecastOf($this->planter, 5)['grown'])->toBeFalse()
        ->and($this->getJson("/api/planters/{$this->planter->id}/forecast")->json('grow_back'))->toBe([]);
    $this->record($this->planter, $this->fitting(4, '2027-02-20'))->assertCreated();
    expect($this->forecastOf($this->planter, 4)['grown'])->toBeFalse()
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('says where a check reads as if parts grew back', function (): void {
    $this->record($this->planter, ...array_map(fn (int $row): array => $this->fitting($row, '2024-03-01', ['size' => '14 3/4']), range(1, 8)))->assertCreated();
    $this->logAcres($this->planter, '2025-04-20', 160)->assertCreated();
    $walk = $this->openWalk($this->planter);
    $this->send($walk, ...array_map(fn (int $row): array => $this->reading($row, '15', ['confirmed' => true]), range(1, 8)))->assertOk();
    expect($this->getJson("/api/planters/{$this->planter->id}/forecast")->json('grow_back'))->toBe(['opener_blade_diameter']);
});

it('goes by the nominal life, and says so, until something wears', function (): void {
    $this->record($this->planter, $this->fitting(1, '2025-05-01'))->assertCreated();
    $new = $this->forecastOf($this->planter, 1);
    // 500 miles of furrow by the typical sheet; 8 rows make 3.3 miles of an acre each. A rate of 1 +- 1.02 that is not under 0 has
    // its middle at 1.211: 413 miles.
    expect($new)->toMatchArray(['thin' => true])->and($new['chance'])->toBeLessThan(0.05)
        ->and($new['left_m']['p50'] / 1609.344)->toEqualWithDelta(412.7, 1)
        ->and($new['left_acres']['p50'])->toEqualWithDelta(8 * 412.7 / 3.3, 3);
});

it('asks for the contact as it was once a move of shims is taken back', function (): void {
    $walk = $this->openWalk($this->planter, null);
    DB::table('walks')->where('id', $walk->id)->update(['started_at' => '2026-03-01 09:00:00+00']);
    $at = ['taken_at' => '2026-03-01T10:00:00Z'];
    $this->send($walk, $at + $this->contact(1, '1 1/4'), ...array_map(fn (string $side): array => $this->reading(1, '2', $at + ['check' => 'inner_shims', 'side' => $side]), ['left', 'right']))->assertOk();
    $row = fn (): array => $this->getJson("/api/planters/{$this->planter->id}/contact")->json('rows.0');
    $move = fn (int $pairs): array => ['id' => (string) Str::uuid7(), 'kind' => 'shims_moved', 'row' => 1, 'pairs' => $pairs, 'happened_at' => '2026-03-01T11:00:00Z'];
    $this->record($this->planter, $first = $move(-2))->assertCreated();
    expect($row())->toMatchArray(['contact_mm' => null, 'moved' => true, 'shims_left' => 0, 'shims_right' => 0]);
    $this->record($this->planter, ['id' => (string) Str::uuid7(), 'kind' => 'withdrawn', 'supersedes' => $first['id'], 'happened_at' => '2026-03-01T11:30:00Z'])->assertCreated();
    expect($row())->toMatchArray(['contact_mm' => 31.75, 'moved' => false, 'shims_left' => 2])
        ->and($row()['advice'])->toMatchArray(['code' => 'take_out', 'left' => -1, 'right' => -1])
        ->and($this->getJson("/api/planters/{$this->planter->id}/rows/1")->json('shim_moves'))->toBe([]);

    // More than were counted: nobody knows how many are left.
    $this->record($this->planter, $move(-3))->assertCreated();
    expect($row())->toMatchArray(['shims_left' => null, 'shims_right' => null])
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('finds what is not as the record has it, in every table, and puts it right', function (string $table, ?string $change): void {
    ($this->seasons)();
    $this->postJson('/api/walks/'.DB::table('walks')->value('id').'/finish', ['with_unchecked' => true])->assertOk();
    $this->openWalk($this->planter);
    $this->record($this->planter, $this->fitting(3, '2026-03-01', ['happened_at' => '2026-03-01T12:30:00Z']))->assertCreated();
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
    expect($change === null ? DB::delete("DELETE FROM {$table}") : DB::update("UPDATE {$table} SET {$change}"))->toBeGreaterThan(0)
        ->and($this->artisan('ustrel:rebuild'))->toBe(1)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
})->with([
    'fittings' => ['fittings', "removal_reason = 'other'"], 'forecasts' => ['forecasts', null], 'outlooks' => ['outlooks', 'turns_at = turns_at + 1'], 'renewals' => ['renewals', null],
    'places' => ['cells', "verdict = 'failed'"], 'rows' => ['walk_rows', 'checked = checked + 1'],
]);

it('makes a large workshop whose state is what its record says', function (): void {
    expect($this->artisan('ustrel:inflate', ['--planters' => 2, '--seasons' => 3, '--readings' => 3000]))->toBe(0);
    expect(DB::table('readings')->count())->toBeGreaterThanOrEqual(3000)
        ->and(DB::table('fittings')->count())->toBeGreaterThan(0)
        ->and(DB::table('forecasts')->count())->toBeGreaterThan(0)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});
