<?php

declare(strict_types=1);

use App\Models\Parts\PartType;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->planter = $this->planter(['planting_start' => '2026-04-10', 'planned_acres' => 160, 'planting_days' => 8]);
});

it('logs acres, by form and by line, and turns them into furrow miles row by row', function (): void {
    $acres = $this->logAcres($this->planter, '2026-04-20', 80, ['soil' => 'sand', 'tillage' => 'no_till', 'shut_off' => [['rows' => [7, 8], 'share' => 0.5]], 'crop' => 'popcorn'])->assertCreated();
    $acres = $this->acresOf($this->planter);
    // 80 acres of 8 rows at 30 in: 33 miles a row.
    expect($acres['rows'][0] / 1609.344)->toEqualWithDelta(33, 0.001)
        ->and($acres['rows'][7] / 1609.344)->toEqualWithDelta(16.5, 0.001)
        ->and($acres['lines'][0])->toMatchArray(['field' => 'Long Field', 'severity' => 1.5, 'own_severity' => false, 'shut_off' => [['rows' => [7, 8], 'share' => 0.5]]])
        ->and($acres['seasons'])->toBe([['season' => 2026, 'lines' => 1, 'acres' => 80]])
        ->and($acres['plan'])->toMatchArray(['acres' => 160, 'left' => 80]);

    $this->logAcres($this->planter, '2026-04-21', 0, ['line' => '12,5 ha, Over the Brook, 8 km/h, heavy residue'])->assertCreated();
    expect($this->acresOf($this->planter)['lines'][0])->toMatchArray(['field' => 'Over the Brook', 'acres' => 30.888, 'mph' => 5, 'residue' => 'heavy']);
});

it('corrects and takes back a line of acres, and knows one that was sent before', function (): void {
    $line = ['id' => (string) Str::uuid7(), 'day' => '2026-04-20', 'field' => 'Long Field', 'acres' => 80];
    $send = fn (array $line) => $this->actingAs($this->technician)->postJson("/api/planters/{$this->planter->id}/acres", $line);
    $send($line)->assertCreated();
    $send($line)->assertOk()->assertJsonPath('receipts.0.outcome', 'known');
    expect($this->acresOf($this->planter)['lines'])->toHaveCount(1);
    $send(['acres' => 90] + $line)->assertConflict();
    $send($corrected = ['id' => (string) Str::uuid7(), 'acres' => 8, 'supersedes' => $line['id']] + $line)->assertCreated();
    expect(array_column($this->acresOf($this->planter)['lines'], 'acres'))->toBe([8]);
    $send(['id' => (string) Str::uuid7(), 'supersedes' => $line['id']] + $line)->assertUnprocessable()->assertJsonValidationErrors(['supersedes' => 'already corrected or undone']);
    $send(['id' => (string) Str::uuid7(), 'supersedes' => $corrected['id'], 'withdrawn' => true] + $line)->assertCreated();
    expect($this->acresOf($this->planter)['lines'])->toBe([]);
    expect(DB::table('acres_log')->count())->toBe(3)->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('refuses acres that cannot be, in plain words', function (array $fields, string $field, string $message): void {
    $this->logAcres($this->planter, $fields['day'] ?? '2026-04-20', 80, $fields)->assertUnprocessable()->assertJsonValidationErrors([$field => $message]);
    expect(DB::table('acres_log')->count())->toBe(0);
})->with([
    'none' => [['acres' => 0], 'acres', 'over 0 and up to 10,000 a line; 0 is not'],
    'ten million' => [['acres' => 10_000_000], 'acres', '10,000,000 is not'],
    'no number' => [['acres' => 'lots'], 'acres', 'lots'],
    'in the future' => [['day' => '2099-01-01'], 'day', 'still to come'],
    'no day' => [['day' => '2026-02-31'], 'day', 'year-month-day'],
    'no field' => [['field' => ' '], 'field', 'Name the field'],
    'a crop too long' => [['crop' => str_repeat('x', 81)], 'crop', '80 characters or fewer'],
    'a row too many' => [['shut_off' => [['rows' => [9], 'share' => 0]]], 'shut_off', 'no row 9'],
    'more than all' => [['shut_off' => [['rows' => [1], 'share' => 1.5]]], 'shut_off', 'share that it ran'],
    'twice' => [['shut_off' => [['rows' => [1], 'share' => 0], ['rows' => [1], 'share' => 0.5]]], 'shut_off', 'named twice'],
    'harsher than harsh' => [['severity' => 2.5], 'severity', '0.5 (easy) to 2 (harsh)'],
    'a line without acres' => [['line' => 'Long Field'], 'line', 'how many acres'],
]);

it('says how many shims to move, records the move and asks to measure again, and learns from it', function (): void {
    $walk = $this->openWalk($this->planter, null);
    DB::table('walks')->where('id', $walk->id)->update(['started_at' => now()->subHours(3)]);
    $at = ['taken_at' => now()->subHours(2)->toIso8601ZuluString()];
    $count = fn (int $row, int $shims): array => array_map(fn (string $side): array => $this->reading($row, (string) $shims, $at + ['check' => 'inner_shims', 'side' => $side]), ['left', 'right']);
    $this->send($walk, $at + $this->contact(1, '1 1/4'), ...$count(1, 3))->assertOk();
    $this->send($walk, $at + $this->contact(2, '2 7/8'), $at + $this->contact(3, '1'), $at + $this->contact(4, '2'), ...$count(3, 0))->assertOk();
    $advice = fn (): array => $this->getJson("/api/planters/{$this->planter->id}/contact")->assertOk()->json();
    $codes = fn (): array => array_map(fn (array $row): ?string => $row['advice']['code'] ?? null, array_slice($advice()['rows'], 0, 5));
    expect($codes())->toBe(['take_out', 'add', 'blades_done', 'leave', null])
        ->and($advice()['sensitivity'])->toMatchArray(['mm' => 12.7, 'moves' => 0])
        ->and($advice()['rows'][0]['advice'])->toMatchArray(['left' => -1, 'right' => -1, 'expected_mm' => 46.23]);

    $this->record($this->planter, ['id' => (string) Str::uuid7(), 'kind' => 'shims_moved', 'row' => 1, 'pairs' => -1, 'contact_before' => '1 1/4', 'happened_at' => now()->subHour()->toIso8601ZuluString()])->assertCreated();
    $cell = $this->cellAt($this->getJson("/api/planters/{$this->planter->id}/board")->json('cells'), 1, 'blade_contact_length', 'centre');
    expect($cell['now'])->toMatchArray(['result' => 'measure_again', 'verdict' => 'unchecked'])
        ->and($advice()['rows'][0])->toMatchArray(['contact_mm' => null, 'moved' => true, 'shims_left' => 2, 'advice' => null]);

    // 630.6 mm^2 for the pair, known to 180.9, where 1,129 +- 580.6 was taken for granted: 674.7, which is 7.14 mm at 2 in.
    $this->send($walk, $this->contact(1, '1 19/32'))->assertOk();
    $learned = $advice();
    expect($learned['sensitivity']['moves'])->toBe(1)->and($learned['sensitivity']['mm'])->toEqualWithDelta(7.14, 0.01)
        ->and($learned['rows'][0]['advice']['code'])->toBe('leave')
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('lets the shop say from which chance on it watches', function (): void {
    $this->actingAs($this->technician)->patchJson('/api/workshop', ['watch_chance' => 1.5])->assertUnprocessable();
    $walk = $this->openWalk($this->planter);
    $this->patchJson('/api/workshop', ['watch_chance' => 0.35])->assertOk()->assertJsonPath('watch_chance', 0.35);
    expect((float) $walk->refresh()->watch_chance)->toBe(0.35)
        ->and($this->getJson("/api/planters/{$this->planter->id}/forecast")->json('watch_chance'))->toBe(0.35);
});

it('keeps a catalogue of part types and says which lasts', function (): void {
    $make = fn (array $fields) => $this->actingAs($this->technician)->postJson('/api/part-types', $fields + ['name' => 'Tube, plain', 'slots' => ['seed_tube'], 'per_row' => 1]);
    $plain = $make(['price' => 44, 'lead_days' => 7, 'life' => '500 mi', 'own_number' => 'T-130'])->assertCreated()->json();
    expect($plain['life_m'])->toEqualWithDelta(804_672, 0.1);
    $make([])->assertUnprocessable()->assertJsonValidationErrors(['name' => 'The part type Tube, plain already exists']);
    $make(['name' => 'x', 'slots' => []])->assertUnprocessable()->assertJsonValidationErrors(['slots' => 'at least one slot']);
    $make(['name' => 'x', 'new_size' => '15 miles'])->assertUnprocessable()->assertJsonValidationErrors('new_size');
    $make(['name' => 'x', 'life' => '0'])->assertUnprocessable()->assertJsonValidationErrors('life');
    $hard = $make(['name' => 'Tube, hard'])->assertCreated()->json();
    $this->putJson("/api/part-types/{$hard['id']}", ['name' => 'Tube, hard lip', 'slots' => ['seed_tube'], 'per_row' => 1])->assertOk();

    // Rows 1 to 4 have plain tubes that wear through within a season, rows 5 to 8 hard ones that run on.
    $tube = ['slot' => 'seed_tube', 'side' => 'centre'];
    $this->record($this->planter, ...array_map(fn (int $row): array => $this->fitting($row, '2022-03-01', $tube + ['part_type_id' => $row <= 4 ? $plain['id'] : $hard['id']]), range(1, 8)))->assertCreated();
    foreach ([2022, 2023, 2024] as $season) {
        $this->logAcres($this->planter, "{$season}-04-20", 800)->assertCreated();
        $this->record($this->planter, ...array_map(fn (int $row): array => $this->fitting($row, "{$season}-06-0{$row}", $tube + ['part_type_id' => $plain['id'], 'reason' => 'worn']), range(1, 4)))->assertCreated();
    }
    $lives = $this->getJson("/api/part-types/{$plain['id']}/lives?against={$hard['id']}")->assertOk()->json();
    // 800 acres of 8 rows: 330 miles.
    expect($lives['curve'])->toMatchArray(['parts' => 16, 'ended' => 12])
        ->and($lives['curve']['median_m'] / 1609.344)->toEqualWithDelta(330, 0.1)
        ->and($lives['against'])->toMatchArray(['parts' => 4, 'ended' => 0, 'median_m' => null])
        ->and($lives['against']['longest_m'] / 1609.344)->toEqualWithDelta(990, 0.1)
        // None of the hard ones has ended: too few to tell by how much.
        ->and($lives['comparison'])->toBe(['clear' => false, 'too_few' => true, 'longer' => null, 'luck' => null]);

    // A used tube counts from where it came in; of one from nobody knows where, and one that ended before any acres, no life is known.
    $used = ['part_type_id' => $hard['id'], 'used' => true] + $tube;
    $this->record(
        $this->planter, $this->fitting(5, '2024-07-01', ['ran_before' => '200 mi'] + $used), $this->fitting(6, '2024-07-01', $used),
        $this->fitting(7, '2024-07-01', ['part_type_id' => $hard['id']] + $tube), $this->fitting(7, '2024-08-01', ['part_type_id' => $hard['id']] + $tube),
    )->assertCreated();
    $this->getJson("/api/part-types/{$hard['id']}/lives")->assertOk()
        ->assertJsonPath('curve.parts', 6)->assertJsonPath('curve.left_out', 2)->assertJsonPath('curve.ended', 3)
        ->assertJsonPath('curve.steps.0.at_risk', 4);
    $foreign = PartType::factory()->create();
    $this->getJson("/api/part-types/{$plain['id']}/lives?against={$foreign->id}")->assertNotFound();
});
