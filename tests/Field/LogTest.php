<?php

declare(strict_types=1);

use App\Models\Bench\SeedLot;
use App\Models\Plan\SeasonPlan;
use App\Models\Wear\AcresEntry;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-04-20 15:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-17', 'row_count' => 8]);
    $this->path = "/api/planters/{$this->planted->id}/acres";
    $this->log = fn (array $with): TestResponse => $this->actingAs($this->technician)->postJson($this->path, $with + ['id' => (string) Str::uuid7(), 'day' => '2026-04-19']);
    $this->told = fn (): array => $this->actingAs($this->technician)->getJson($this->path)->assertOk()->json();
    $this->full = ['field' => 'Long Field', 'acres' => 62.5, 'lot' => 'P7', 'population' => '34000; 32000 from 40 ac', 'products' => ['8 gal/ac starter'], 'map_acres' => 60, 'around' => 'section control off', 'until' => 'the part comes', 'note' => 'wet corner left'];
});

it('keeps what is said of a field in one line, and in the form', function (): void {
    ($this->log)(['line' => '62.5 ac, Long Field, popcorn, 5 mph, no-till, lot P7, 34,000 seeds, 8 gal/ac starter, section control off till the part comes'])->assertCreated();
    expect(($this->told)()['lines'][0])->toMatchArray(['field' => 'Long Field', 'crop' => 'popcorn', 'tillage' => 'no_till', 'lot' => 'P7', 'population' => '34,000', 'products' => ['8 gal/ac starter'], 'around' => 'section control off', 'until' => 'the part comes', 'around_over' => false]);
    $sent = $this->full + ['id' => (string) Str::uuid7()];
    ($this->log)($sent)->assertCreated();
    ($this->log)($sent)->assertOk();
    ($this->log)(['population' => '34000'] + $sent)->assertConflict();
    $line = ($this->told)()['lines'][0];
    expect($line)->toMatchArray(['population' => '34,000; 32,000 from 40 ac', 'map_acres' => 60, 'off_map' => 0.0417, 'note' => 'wet corner left'])->and(($this->told)()['arounds'])->toHaveCount(2);
    // It is over: the line again, and the one before it is no more.
    ($this->log)(['around_over' => true, 'supersedes' => $line['id']] + $this->full)->assertCreated();
    ($this->log)(['around_over' => true, 'supersedes' => $line['id']] + $this->full)->assertUnprocessable();
    expect(($this->told)()['arounds'])->toHaveCount(1)->and(($this->told)()['lines'])->toHaveCount(2);
});

it('draws the seed that was planted from the lot, once it was counted', function (): void {
    $lot = SeedLot::query()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'P7', 'seeds_per_unit' => 80_000]);
    $onHand = fn (): ?float => $this->actingAs($this->technician)->getJson('/api/seed')->assertOk()->json('lots.0.on_hand');
    ($this->log)($this->full)->assertCreated();
    expect($onHand())->toBeNull();
    $move = fn (string $kind, float $units, string $at): TestResponse => $this->actingAs($this->technician)->postJson('/api/seed/moves', ['moves' => [['id' => (string) Str::uuid7(), 'seed_lot_id' => $lot->id, 'kind' => $kind, 'units' => $units, 'happened_at' => $at]]]);
    $move('counted', 100, '2026-04-18T12:00:00Z')->assertSuccessful();
    // 40 ac x 34,000 and 22.5 ac x 32,000 are 2,080,000 seeds: 26 units.
    expect((float) $onHand())->toBe(74.0);
    $last = ($this->told)()['lines'][0];
    ($this->log)(['population' => '32000', 'supersedes' => $last['id']] + $this->full)->assertCreated();
    // 62.5 x 32,000 / 80,000.
    expect((float) $onHand())->toBe(75.0);
    // What was planted before the last count is in it already.
    $move('counted', 70, '2026-04-20T14:00:00Z')->assertSuccessful();
    expect((float) $onHand())->toBe(70.0);
    $this->switchTo($this->technicianOf('Lowmoor Planter Services'));
    expect($this->getJson('/api/seed')->json('lots'))->toBe([]);
});

it('holds what was planted against the plan, field by field', function (): void {
    SeasonPlan::query()->create(['planter_id' => $this->planted->id, 'season' => 2026, 'fields' => [
        ['name' => 'Long Field', 'crop' => 'popcorn', 'acres' => 64.0, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => 'P7', 'population' => 34_000],
        ['name' => 'Far Down', 'crop' => null, 'acres' => 30.0, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => null, 'population' => null],
    ]]);
    ($this->log)(['field' => 'long field'] + $this->full)->assertCreated();
    ($this->log)(['field' => 'Orchard', 'acres' => 3])->assertCreated();
    ($this->log)(['field' => 'Far Down', 'acres' => 30, 'day' => '2025-04-20'])->assertCreated();
    expect(($this->told)()['fields'])->toEqual([
        ['name' => 'Long Field', 'planned' => 64, 'done' => 62.5, 'is_done' => true, 'seed' => 'P7', 'lots' => ['P7'], 'population' => 34_000, 'planted' => 33_280],
        ['name' => 'Far Down', 'planned' => 30, 'done' => 0, 'is_done' => false, 'seed' => null, 'lots' => [], 'population' => null, 'planted' => null],
        ['name' => 'Orchard', 'planned' => null, 'done' => 3, 'is_done' => false, 'seed' => null, 'lots' => [], 'population' => null, 'planted' => null],
    ]);
});

it('goes out as a table and comes in again, as it was', function (): void {
    ($this->log)($this->full + ['crop' => 'popcorn', 'mph' => 5, 'soil' => 'clay', 'shut_off' => [['rows' => [7, 8], 'share' => 0]]])->assertCreated();
    ($this->log)(['field' => '=Far Down', 'acres' => 3.125])->assertCreated();
    $csv = (string) $this->actingAs($this->technician)->get("{$this->path}/log.csv")->assertOk()->getContent();
    expect($csv)->toContain('"34,000; 32,000 from 40 ac"')->and($csv)->toContain("'=Far Down")->and($csv)->toContain('8 gal/ac starter');
    $other = $this->planter(['name' => 'The other', 'planting_start' => '2026-04-17', 'row_count' => 8]);
    $into = fn (): TestResponse => $this->actingAs($this->technician)->post("/api/planters/{$other->id}/imports", ['file' => UploadedFile::fake()->createWithContent('log.csv', $csv), 'kind' => 'acres', 'mode' => 'whole'])->assertStatus(202)->assertJsonPath('result.errors', [])->assertJsonPath('result.bad', 0);
    $into();
    $said = static fn (AcresEntry $of): array => array_diff_key($of->attributesToArray(), array_flip(['id', 'planter_id', 'recorded_at', 'sent_sha256']));
    $lines = fn (int $planter): array => AcresEntry::current($planter)->orderByDesc('acres')->get()->map($said)->all();
    expect($lines($other->id))->toEqual($lines($this->planted->id));
    $into();
    expect(AcresEntry::query()->where('planter_id', $other->id)->count())->toBe(2);
});

it('refuses what nobody can have planted, in words', function (array $with, string $field, string $says): void {
    ($this->log)($with + $this->full)->assertUnprocessable()->assertJsonPath("errors.{$field}.0", fn (string $message): bool => str_contains($message, $says));
    expect(AcresEntry::query()->count())->toBe(0);
})->with([
    [['population' => 'many'], 'population', '“many” is not a population'], [['population' => '34000; 32000'], 'population', 'from an acre further on'], [['population' => 34_000], 'population', 'not a population'],
    [['products' => ['0 gal/ac x']], 'products', 'over 0'], [['products' => ['1 cups/ac x']], 'products', '“1 cups/ac x” is not a product'], [['products' => [['name' => 'x']]], 'products', 'is not a product'], [['products' => '8 gal/ac x'], 'products', 'up to 12 products'],
    [['map_acres' => 0], 'map_acres', 'by the map'], [['map_acres' => '60'], 'map_acres', 'by the map'], [['around' => null], 'around', 'before you say until when'], [['lot' => str_repeat('x', 81)], 'lot', '80 characters'], [['note' => str_repeat('x', 301)], 'note', '300 characters'],
]);

it('says of each field what the planter was set to that day', function (): void {
    $this->actingAs($this->technician);
    $set = fn (string $line, string $at): TestResponse => $this->postJson("/api/planters/{$this->planted->id}/settings", ['settings' => [['id' => (string) Str::uuid7(), 'line' => $line, 'happened_at' => $at]]])->assertCreated();
    $set('closing 4', '2025-04-18T10:00:00Z');
    $set('downforce 180 lb, depth mark 6 rows 3-4', '2026-04-18T10:00:00Z');
    $set('downforce 200 lb, population 34000', '2026-04-19T10:00:00Z');
    ($this->log)(['line' => '10 ac, Long Field', 'day' => '2026-04-17'])->assertCreated();
    ($this->log)(['line' => '10 ac, Long Field', 'day' => '2026-04-18'])->assertCreated();
    ($this->log)(['line' => '10 ac, Long Field', 'day' => '2026-04-19'])->assertCreated();
    expect(array_column(($this->told)()['lines'], 'set', 'day'))->toBe(['2026-04-19' => 'downforce 200 lb; rows set apart: depth 3, 4', '2026-04-18' => 'downforce 180 lb; rows set apart: depth 3, 4', '2026-04-17' => '']);
});
