<?php

declare(strict_types=1);

use App\Models\Bench\SeedLot;
use App\Models\Bench\SeedMove;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-03-01 10:00:00');
    $this->actingAs($this->technician);
    $this->lot = fn (array $with = []): TestResponse => $this->postJson('/api/seed/lots', $with + ['name' => 'Popcorn 7', 'crop' => 'Popcorn', 'size' => 7.9, 'seeds_per_unit' => 80_000, 'germination' => 0.95, 'treatment' => 'red dust', 'price' => 240]);
    $this->seed = fn (): array => $this->getJson('/api/seed')->assertOk()->json();
    $this->move = fn (int $lot, string $kind, float $units, array $with = []): TestResponse => $this->postJson('/api/seed/moves', ['moves' => [$with + ['id' => (string) Str::uuid7(), 'seed_lot_id' => $lot, 'kind' => $kind, 'units' => $units, 'happened_at' => now()->toIso8601ZuluString('millisecond')]]]);
});

it('reckons what the season\'s fields take of a lot, what that costs, and which disc takes it', function (): void {
    $this->postJson('/api/seed/discs', ['name' => 'Small round', 'cells' => 60, 'hole' => 2, 'from_size' => 3, 'to_size' => 5.5, 'kept_in' => 'Cabinet 2'])->assertCreated();
    $this->postJson('/api/seed/discs', ['name' => 'Popcorn', 'cells' => 60, 'hole' => 3.2, 'from_size' => 6.5, 'to_size' => 8.5])->assertCreated();
    $id = ($this->lot)()->assertCreated()->assertJsonPath('needed', 0)->json('id');
    $planter = $this->planter(['planting_start' => '2026-04-17']);
    $field = fn (string $name, float $acres, ?string $seed, ?int $population): array => ['name' => $name, 'crop' => 'Popcorn', 'acres' => $acres, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => $seed, 'population' => $population];
    $plan = $this->getJson("/api/planters/{$planter->id}/season")->assertOk()->json();
    $this->putJson("/api/planters/{$planter->id}/season", ['revision' => $plan['plan']['revision'] ?? $plan['revision'] ?? 0, 'fields' => [$field('Long Acre', 300, ' popcorn 7', 30_000), $field('Mill Field', 100, 'Popcorn 7', 34_000), $field('Bank', 20, 'Popcorn 7', null), $field('Far', 50, 'Beans', 140_000)]])->assertOk();
    ($this->move)($id, 'received', 100)->assertCreated();
    ($this->move)($id, 'used', 2.5)->assertCreated();
    [$lot] = ($this->seed)()['lots'];
    // 12.4 million seeds and a twentieth more of 80,000 are 162.75 units; on the average 31,000 an acre at 240 a unit are 93.
    expect($lot)->toMatchArray(['needed' => 163, 'acres' => 420, 'unknown' => 1, 'on_hand' => 97.5, 'miscount' => false, 'cost_an_acre' => 93, 'price_a_thousand' => 3])
        ->and(array_column($lot['discs'], 'takes'))->toBe(['fits', 'too_large']);
});

it('keeps moves once, puts them right, and flags a miscount', function (): void {
    $id = ($this->lot)()->json('id');
    expect(($this->seed)()['lots'][0]['on_hand'])->toBeNull();
    ($this->move)($id, 'counted', 3, ['id' => $first = (string) Str::uuid7()])->assertCreated();
    ($this->move)($id, 'counted', 3, ['id' => $first])->assertOk();
    ($this->move)($id, 'counted', 4, ['id' => $first])->assertConflict();
    ($this->move)($id, 'counted', 4, ['supersedes' => $first])->assertCreated();
    $this->travel(1)->minutes();
    ($this->move)($id, 'used', 4.5)->assertCreated();
    expect(($this->seed)()['lots'][0])->toMatchArray(['on_hand' => -0.5, 'miscount' => true]);
    $other = $this->switchTo($this->technicianOf('Lowmoor Planter Services'));
    $other->postJson('/api/seed/moves', ['moves' => [['id' => (string) Str::uuid7(), 'seed_lot_id' => $id, 'kind' => 'counted', 'units' => 1, 'happened_at' => '2026-03-01T09:00:00Z']]])->assertUnprocessable();
    expect($other->getJson('/api/seed')->json())->toBe(['lots' => [], 'discs' => []])->and(SeedMove::query()->count())->toBe(3);
});

it('keeps a change over the one that was seen, and no name twice', function (): void {
    $lot = ($this->lot)()->json();
    ($this->lot)()->assertUnprocessable()->assertJsonPath('errors.name.0', '“Popcorn 7” already exists. Choose another name, or edit that one.');
    $change = fn (int $seen, array $with = []): TestResponse => $this->putJson("/api/seed/lots/{$lot['id']}", $with + ['name' => 'Popcorn 7', 'seeds_per_unit' => 90_000, 'revision' => $seen]);
    $change($lot['revision'])->assertOk()->assertJsonPath('seeds_per_unit', 90_000)->assertJsonPath('price', null);
    $change($lot['revision'])->assertOk()->assertJsonPath('revision', $lot['revision'] + 1);
    $change($lot['revision'], ['germination' => 0.95])->assertConflict()->assertJsonPath('changed', ['germination']);
});

it('refuses what no lot, disc or move can be', function (string $path, array $with, string $field): void {
    $id = ($this->lot)()->json('id');
    $base = ['lots' => ['name' => 'A', 'seeds_per_unit' => 80_000], 'discs' => ['name' => 'A', 'cells' => 60], 'moves' => []][$path];
    $body = $path === 'moves' ? ['moves' => [$with + ['id' => (string) Str::uuid7(), 'seed_lot_id' => $id, 'kind' => 'received', 'units' => 1, 'happened_at' => '2026-03-01T09:00:00Z']]] : $with + $base;
    $this->postJson("/api/seed/{$path}", $body)->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    ['lots', ['name' => ''], 'name'], ['lots', ['seeds_per_unit' => 0], 'seeds_per_unit'], ['lots', ['seeds_per_unit' => '80,000'], 'seeds_per_unit'], ['lots', ['germination' => 95], 'germination'], ['lots', ['price' => -1], 'price'], ['lots', ['spare' => 2], 'spare'],
    ['discs', ['cells' => 0], 'cells'], ['discs', ['from_size' => 8, 'to_size' => 6], 'to_size'], ['discs', ['from_size' => 8], 'to_size'],
    ['moves', ['units' => 0], 'moves.0.units'], ['moves', ['units' => 0.25], 'moves.0.units'], ['moves', ['units' => -3], 'moves.0.units'], ['moves', ['kind' => 'lent'], 'moves.0.kind'], ['moves', ['seed_lot_id' => 0], 'moves.0.seed_lot_id'],
]);

it('tells the countdown what is ready: seed, discs and meters, where the lists can', function (): void {
    $planter = $this->planter(['planting_start' => '2026-04-17', 'row_count' => 2, 'sections' => [2]]);
    $done = fn (): array => array_intersect_key(array_column($this->getJson("/api/planters/{$planter->id}/season")->assertOk()->json('countdown'), 'done', 'key'), ['seed' => 1, 'seed_fits' => 1, 'meters' => 1]);
    $field = ['name' => 'Long Acre', 'crop' => 'Popcorn', 'acres' => 100, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => 'Popcorn 7', 'population' => 32_000];
    $plan = $this->getJson("/api/planters/{$planter->id}/season")->json();
    $this->putJson("/api/planters/{$planter->id}/season", ['revision' => $plan['plan']['revision'] ?? $plan['revision'] ?? 0, 'planting_start' => '2026-04-17', 'planting_end' => '2026-05-10', 'fields' => [$field], 'ticked' => ['seed', 'seed_fits']])->assertOk();
    // No list knows the lot: somebody has said so.
    expect($done())->toEqual(['seed' => true, 'seed_fits' => true, 'meters' => false]);
    $id = ($this->lot)()->json('id');
    $disc = ['name' => 'Small', 'cells' => 60, 'from_size' => 3, 'to_size' => 5.5];
    $byHand = fn (): array => array_keys(array_filter(array_column($this->getJson("/api/planters/{$planter->id}/season")->json('countdown'), 'by_hand', 'key')));
    $kept = $this->postJson('/api/seed/discs', $disc)->assertCreated()->json();
    $said = fn (): array => collect($this->getJson("/api/planters/{$planter->id}/season")->json('countdown'))->firstWhere('key', 'seed_fits')['said'];
    $this->putJson("/api/planters/{$planter->id}/season", ['revision' => $this->getJson("/api/planters/{$planter->id}/season")->json('revision'), 'planting_start' => '2026-04-17', 'planting_end' => '2026-05-10', 'fields' => [$field], 'ticked' => ['seed']])->assertOk();
    // Nobody has counted the seed; no disc is meant for it, and nobody said which is in.
    expect($done())->toEqual(['seed' => true, 'seed_fits' => false, 'meters' => false]);
    $put = fn (string $disc, int $row = 0): TestResponse => $this->postJson("/api/planters/{$planter->id}/settings", ['settings' => [['id' => (string) Str::uuid7(), 'key' => 'disc', 'value' => $disc, 'row' => $row, 'happened_at' => now()->toIso8601ZuluString('millisecond')]]])->assertCreated();
    $put('small');
    expect($said())->toHaveCount(1)->and($said()[0])->toContain('Popcorn 7')->toContain('1, 2');
    // Another disc of the shop takes it: it hangs on the wall, so the step stays open, and names it.
    $this->postJson('/api/seed/discs', ['name' => 'Large', 'cells' => 60, 'from_size' => 7, 'to_size' => 9])->assertCreated();
    expect($done()['seed_fits'])->toBeFalse()->and($said()[0])->toContain('Large');
    // In one meter of two: row 1 still has the wrong one.
    $this->travel(1)->minutes();
    $put('Large', 2);
    expect($done()['seed_fits'])->toBeFalse()->and($said()[0])->toContain('1')->not->toContain('1, 2');
    $this->travel(1)->minutes();
    $put('small');
    // 3.36 million seeds are 42 units.
    ($this->move)($id, 'counted', 41.9);
    expect($done()['seed'])->toBeFalse();
    $this->travel(1)->minutes();
    ($this->move)($id, 'received', 0.1);
    $this->putJson("/api/seed/discs/{$kept['id']}", ['to_size' => 8.5, 'revision' => $kept['revision']] + $disc)->assertOk();
    $run = fn (int $row, array $with = []): TestResponse => $this->postJson("/api/planters/{$planter->id}/bench", $with + ['id' => (string) Str::uuid7(), 'row' => $row, 'stage' => 'final', 'places' => 500, 'skips' => 3, 'doubles' => 3, 'happened_at' => '2026-03-01T09:00:00Z'])->assertCreated();
    $run(1);
    $run(2, ['partial' => true]);
    expect($done())->toEqual(['seed' => true, 'seed_fits' => true, 'meters' => false]);
    $run(2);
    // What the record tells is not ticked by hand.
    expect($done()['meters'])->toBeTrue()->and($byHand())->not->toContain('seed', 'seed_fits');
});

it('keeps what was drawn of a lot, however it is called or bagged afterwards', function (): void {
    $lot = ($this->lot)(['name' => 'P7'])->json();
    $planter = $this->planter(['planting_start' => '2026-02-20']);
    ($this->move)($lot['id'], 'received', 100, ['happened_at' => '2026-02-19T09:00:00Z'])->assertCreated();
    $log = fn (array $with): TestResponse => $this->logAcres($planter, '2026-02-25', 62.5, $with + ['population' => '34000', 'lot' => 'P7']);
    $hand = fn (string $name): float => collect(($this->seed)()['lots'])->firstWhere('name', $name)['on_hand'];
    $log(['id' => $first = (string) Str::uuid7()])->assertCreated();
    // 62.5 acres at 34,000 are 2.125 million seeds: 26.5625 units of 80,000 drawn from 100.
    expect($hand('P7'))->toEqualWithDelta(73.4, 0.05);
    $change = fn (array $with): array => $this->putJson("/api/seed/lots/{$lot['id']}", $with + ['name' => 'P7', 'crop' => 'Popcorn', 'seeds_per_unit' => 80_000, 'revision' => collect(($this->seed)()['lots'])->firstWhere('id', $lot['id'])['revision']])->assertOk()->json();
    $change(['name' => 'Popcorn 2026']);
    expect($hand('Popcorn 2026'))->toEqualWithDelta(73.4, 0.05);
    // The old name still finds it, and does not find another lot.
    $log(['acres' => 1.0, 'lot' => 'p7'])->assertCreated();
    expect($hand('Popcorn 2026'))->toEqualWithDelta(73.4 - 0.425, 0.05);
    // Smaller bags from now on: what was drawn from large ones was drawn from large ones.
    $change(['name' => 'Popcorn 2026', 'seeds_per_unit' => 40_000]);
    expect($hand('Popcorn 2026'))->toEqualWithDelta(73.0, 0.05);
    $this->travel(1)->minutes();
    $log(['supersedes' => $first, 'withdrawn' => true])->assertCreated();
    expect($hand('Popcorn 2026'))->toEqualWithDelta(99.6, 0.05);
});

it('draws no seed for a pass that spread only a product', function (): void {
    $lot = ($this->lot)(['name' => 'P7'])->json();
    $planter = $this->planter(['planting_start' => '2026-02-20']);
    ($this->move)($lot['id'], 'received', 100, ['happened_at' => '2026-02-19T09:00:00Z'])->assertCreated();
    $this->postJson("/api/planters/{$planter->id}/acres", ['id' => (string) Str::uuid7(), 'line' => '10 ac, East, 10-10-10 200 lb/ac', 'pass' => 'products', 'day' => '2026-02-25'])->assertCreated();
    expect(($this->seed)()['lots'][0]['on_hand'])->toEqual(100);
});

it('takes seed as its tag says it, and calls nothing done by an estimate', function (): void {
    $planter = $this->planter(['planting_start' => '2026-04-17', 'row_count' => 2, 'sections' => [2]]);
    $lot = ($this->lot)(['size' => null, 'crop' => 'Corn', 'seeds_per_pound' => 1600])->assertCreated()->assertJsonPath('estimated_mm', [6.4, 8.7])->json();
    $disc = $this->postJson('/api/seed/discs', ['name' => 'Thirty', 'cells' => 30, 'from_size' => 6, 'to_size' => 9, 'crop' => 'corn', 'size_class' => 'Medium flat'])->assertCreated()->json();
    $field = ['name' => 'Long Acre', 'crop' => 'Corn', 'acres' => 100, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => 'Popcorn 7', 'population' => 32_000];
    $revision = fn (): int => $this->getJson("/api/planters/{$planter->id}/season")->json('revision') ?? 0;
    $this->putJson("/api/planters/{$planter->id}/season", ['revision' => $revision(), 'planting_start' => '2026-04-17', 'planting_end' => '2026-05-10', 'fields' => [$field]])->assertOk();
    $this->postJson("/api/planters/{$planter->id}/settings", ['settings' => [['id' => (string) Str::uuid7(), 'key' => 'disc', 'value' => 'Thirty', 'row' => 0, 'happened_at' => now()->toIso8601ZuluString('millisecond')]]])->assertCreated();
    $step = fn (): array => collect($this->getJson("/api/planters/{$planter->id}/season")->assertOk()->json('countdown'))->firstWhere('key', 'seed_fits');
    $takes = fn (): array => ($this->seed)()['lots'][0]['discs'][0];

    // All of the estimate fits, and that is not enough.
    expect($takes())->toMatchArray(['takes' => 'fits', 'by' => 'estimated', 'contradicts' => false])
        ->and($step()['done'])->toBeFalse()->and($step()['said'][0])->toContain('should fit')->toContain('1, 2');
    // The class on the tag is the one that the disc is meant for.
    $change = fn (array $with): TestResponse => $this->putJson("/api/seed/lots/{$lot['id']}", $with + ['name' => 'Popcorn 7', 'crop' => 'Corn', 'seeds_per_unit' => 80_000, 'seeds_per_pound' => 1600, 'revision' => ($this->seed)()['lots'][0]['revision']])->assertOk();
    $change(['size_class' => 'medium flat']);
    expect($takes())->toMatchArray(['takes' => 'fits', 'by' => 'meant'])->and($step()['said'])->toBe([])->and($step()['done'])->toBeTrue();
    // The caliper says otherwise: measured goes first, and it is a misfit.
    $change(['size_class' => 'medium flat', 'size' => 9.5]);
    expect($takes())->toMatchArray(['takes' => 'too_large', 'by' => 'measured', 'contradicts' => true])->and($step()['done'])->toBeFalse();
    // Another class: the disc is not meant for it.
    $change(['size_class' => 'large round']);
    expect($takes())->toMatchArray(['takes' => 'not_meant', 'by' => 'meant'])->and($step()['done'])->toBeFalse()->and($step()['said'][0])->toContain('another class');

    foreach ([9.9, 500_001, '1,600'] as $perPound) {
        ($this->lot)(['name' => 'Odd', 'seeds_per_pound' => $perPound])->assertUnprocessable()->assertJsonPath('errors.seeds_per_pound.0', 'Write the seeds per pound, from 10 to 500,000, or with its unit: 100/oz, 3,500/kg.');
    }
});

it('counts on the newest germination test, and shows the tag beside it', function (): void {
    $lot = ($this->lot)(['germination' => 0.95, 'germination_tested' => 0.88, 'tested_on' => '2026-03-02', 'seeds_per_pound' => 2_000])->assertCreated()->json();
    expect($lot)->toMatchArray(['germination' => 0.95, 'germination_tested' => 0.88, 'tested_on' => '2026-03-02'])
        ->and(SeedLot::query()->findOrFail($lot['id'])->lot()->germination)->toBe(0.88);
    $planter = $this->planter(['planting_start' => '2026-04-20']);
    $this->putJson("/api/planters/{$planter->id}/season", ['revision' => 0, 'planting_start' => '2026-04-20', 'planting_end' => '2026-05-10', 'fields' => [['name' => 'Long Field', 'crop' => 'Popcorn', 'acres' => 60, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => 'Popcorn 7', 'population' => 32_000]]])->assertOk();
    $of = fn (string $key): array => array_column(collect($this->getJson("/api/planters/{$planter->id}/calculators?units=in")->assertOk()->json('calculators'))->firstWhere('key', $key)['inputs'], 'value', 'key');
    expect($of('stand_rate')['germination'])->toEqual([88])->and($of('drill_rate')['seeds_lb'])->toEqual([2_000])->and($of('drill_rate')['population'])->toEqual([32_000]);
    $worked = $this->postJson("/api/planters/{$planter->id}/calculators/drill_rate", ['units' => 'in', 'figures' => ['population' => 32_000, 'seeds_lb' => 2_000]])->assertOk()->json();
    expect(json_encode($worked))->toContain('16 lb');
    // Without a test the tag counts.
    $this->putJson("/api/seed/lots/{$lot['id']}", ['name' => 'Popcorn 7', 'seeds_per_unit' => 80_000, 'germination' => 0.95, 'germination_tested' => null, 'tested_on' => null, 'revision' => $lot['revision']])->assertOk();
    expect(SeedLot::query()->findOrFail($lot['id'])->lot()->germination)->toBe(0.95);
    ($this->lot)(['name' => 'Other', 'germination_tested' => 88])->assertUnprocessable()->assertJsonValidationErrors(['germination_tested']);
    ($this->lot)(['name' => 'Other', 'tested_on' => 'in March'])->assertUnprocessable()->assertJsonValidationErrors(['tested_on' => 'as a date']);
});

it('knows what is on order and what of it has come, tells of it when it is due, and is not enough by it', function (): void {
    $this->travelTo('2026-03-20 10:00:00');
    $lot = ($this->lot)(['ordered_units' => 40, 'ordered_from' => 'Brook Seed', 'ordered_on' => '2026-03-01', 'due_on' => '2026-03-25'])->assertCreated()->assertJsonPath('to_come', 40)->json();
    $move = fn (float $units, string $at, string $kind = 'received') => $this->postJson('/api/seed/moves', ['moves' => [['id' => (string) Str::uuid7(), 'seed_lot_id' => $lot['id'], 'kind' => $kind, 'units' => $units, 'happened_at' => $at]]])->assertCreated();
    $toCome = fn (): float => (float) collect($this->getJson('/api/seed')->assertOk()->json('lots'))->firstWhere('id', $lot['id'])['to_come'];
    $today = fn (): array => collect($this->getJson('/api/today')->assertOk()->json('deliveries'))->map(fn (array $of): array => [$of['title'], $of['due'], $of['late']])->all();
    // Last year's seed, and what is counted, are not of this order.
    $move(10, '2026-02-20T10:00:00Z');
    $move(12, '2026-03-10T10:00:00Z', 'counted');
    expect($toCome())->toBe(40.0)->and($today())->toBe([['40 units of seed arrive from Brook Seed: Popcorn 7', '2026-03-25', false]]);
    $move(25.5, '2026-03-18T10:00:00Z');
    expect($toCome())->toBe(14.5)->and($today()[0][0])->toStartWith('14.5 units');
    // Late, once the day is past; done, once it is all here.
    $this->travelTo('2026-03-26 10:00:00');
    expect($today()[0][2])->toBeTrue();
    $move(14.5, '2026-03-26T09:00:00Z');
    expect($toCome())->toBe(0.0)->and($today())->toBe([]);
    ($this->lot)(['name' => 'Other', 'ordered_units' => 0])->assertUnprocessable()->assertJsonValidationErrors(['ordered_units' => 'from 0.1']);
});

it('counts seed by weight, in bulk boxes and as a mixture, and refuses a count per ounce taken for pounds', function (): void {
    // 50 lb at 2,800 a pound are 140,000 seeds.
    $soy = ($this->lot)(['name' => 'Soy 12', 'crop' => 'Soybeans', 'size' => null, 'seeds_per_unit' => null, 'unit_weight' => 50, 'seeds_per_pound' => 2_800, 'test_weight' => 58, 'units_per_box' => 40, 'spare' => 0.05])->assertCreated()->assertJsonPath('seeds_per_unit', 140_000)->json('id');
    $planter = $this->planter(['planting_start' => '2026-04-17']);
    $field = fn (string $name, float $acres, ?int $population): array => ['name' => $name, 'crop' => 'Soybeans', 'acres' => $acres, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => 'Soy 12', 'population' => $population];
    $plan = $this->getJson("/api/planters/{$planter->id}/season")->assertOk()->json();
    $this->putJson("/api/planters/{$planter->id}/season", ['revision' => $plan['plan']['revision'] ?? $plan['revision'] ?? 0, 'fields' => [$field('Long Acre', 80, 140_000), $field('Bank', 20, null)]])->assertOk();
    [$lot] = ($this->seed)()['lots'];
    // One unit an acre, 84 with a twentieth spare, of 40 in a box: 2.1 boxes; 50 lb an acre.
    expect($lot['fields'])->toEqual([
        ['planter' => $planter->name, 'field' => 'Long Acre', 'acres' => 80, 'units_an_acre' => 1, 'units' => 84, 'boxes' => 2.1, 'pounds_an_acre' => 50],
        ['planter' => $planter->name, 'field' => 'Bank', 'acres' => 20, 'units_an_acre' => null, 'units' => null, 'boxes' => null, 'pounds_an_acre' => null],
    ])->and($lot)->toMatchArray(['needed' => 84, 'boxes' => 2.1, 'per_pound' => 2_800, 'test_weight' => 58]);
    // By weight 60 of peas at 2,000 and 40 of canola at 120,000: 49,200 a pound, and 25 lb of it a unit.
    $mixture = [['crop' => 'Peas', 'share' => 0.6, 'seeds_per_pound' => 2_000], ['crop' => 'Canola', 'share' => 0.4, 'seeds_per_pound' => 120_000]];
    $cover = ($this->lot)(['name' => 'Cover', 'crop' => '', 'size' => null, 'seeds_per_unit' => null, 'unit_weight' => 25, 'mixture' => $mixture])->assertCreated()->assertJsonPath('seeds_per_unit', 1_230_000)->assertJsonPath('per_pound', 49_200)->json();
    expect($cover['mixture'])->toEqual($mixture)->and($cover['estimated_mm'])->toEqual([1.6, 8])->and($cover['boxes'])->toBeNull();
    // Two who change it: the second is told.
    $change = fn (array $with): TestResponse => $this->putJson("/api/seed/lots/{$cover['id']}", $with + ['name' => 'Cover', 'seeds_per_unit' => 1_230_000, 'price' => 240, 'germination' => 0.95, 'treatment' => 'red dust', 'unit_weight' => 25, 'revision' => $cover['revision']]);
    $change(['mixture' => [['crop' => 'Oats', 'share' => 0.5, 'seeds_per_pound' => 14_000], $mixture[0] + []]])->assertUnprocessable()->assertJsonPath('errors.mixture.0', __('seed.mixture'));
    $change(['mixture' => []])->assertOk()->assertJsonPath('mixture', []);
    $change(['mixture' => array_reverse($mixture)])->assertConflict()->assertJsonPath('changed', ['mixture']);
    foreach ([
        [['seeds_per_pound' => 25_600, 'crop' => 'Corn'], 'seeds_per_pound', '25,600 seeds per pound is not corn, which has 700 to 6,000. Check if the tag counts per pound, ounce or kilo.'],
        [['mixture' => [$mixture[0], ['seeds_per_pound' => 7_000] + $mixture[1]]], 'mixture', '7,000 seeds per pound is not canola, which has 60,000 to 250,000. Check if the tag counts per pound, ounce or kilo.'],
        [['seeds_per_unit' => null], 'seeds_per_unit', __('seed.no_unit')], [['seeds_per_unit' => null, 'unit_weight' => 0.01, 'seeds_per_pound' => 2_000], 'seeds_per_unit', __('seed.no_unit')],
        [['mixture' => [$mixture[0]]], 'mixture', __('seed.mixture')], [['mixture' => [['share' => 0] + $mixture[0], $mixture[1]]], 'mixture.0.share', __('seed.mixture')],
        [['units_per_box' => 0], 'units_per_box', __('seed.units_per_box')], [['test_weight' => 5], 'test_weight', __('seed.test_weight')], [['unit_weight' => -1], 'unit_weight', __('seed.unit_weight')],
    ] as [$with, $at, $said]) {
        expect(($this->lot)($with + ['name' => 'Odd'])->assertUnprocessable()->json('errors')[$at][0])->toBe($said);
    }
    expect(SeedLot::query()->count())->toBe(2);
});

it('says what to get where no disc takes the seed, by what is known of it', function (): void {
    $planter = $this->planter(['planting_start' => '2026-04-17', 'row_count' => 2, 'sections' => [2]]);
    $this->postJson('/api/seed/discs', ['name' => 'Small', 'cells' => 60, 'from_size' => 3, 'to_size' => 5.5])->assertCreated();
    $this->postJson("/api/planters/{$planter->id}/settings", ['settings' => [['id' => (string) Str::uuid7(), 'key' => 'disc', 'value' => 'Small', 'happened_at' => '2026-02-01T10:00:00Z']]])->assertCreated();
    $lot = ($this->lot)()->assertCreated()->json();
    $plan = $this->getJson("/api/planters/{$planter->id}/season")->json();
    $this->putJson("/api/planters/{$planter->id}/season", ['revision' => $plan['plan']['revision'] ?? $plan['revision'] ?? 0, 'planting_start' => '2026-04-17', 'planting_end' => '2026-05-10', 'fields' => [['name' => 'Long Acre', 'crop' => 'Popcorn', 'acres' => 100, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => 'Popcorn 7', 'population' => 32_000]]])->assertOk();
    $said = fn (): string => json_encode($this->getJson("/api/planters/{$planter->id}/season")->assertOk()->json(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    expect($said())->toContain('get one for 7.9 mm.');
    $this->putJson("/api/seed/lots/{$lot['id']}", ['name' => 'Popcorn 7', 'crop' => 'Popcorn', 'size_class' => 'Medium Flat', 'seeds_per_unit' => 80_000, 'revision' => $lot['revision']])->assertOk();
    $this->putJson('/api/seed/discs/'.($this->seed)()['discs'][0]['id'], ['name' => 'Small', 'cells' => 60, 'size_class' => 'Large Round', 'revision' => ($this->seed)()['discs'][0]['revision']])->assertOk();
    expect($said())->toContain('get one for Medium Flat Popcorn.');
});
