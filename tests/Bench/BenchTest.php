<?php

declare(strict_types=1);

use App\Models\Bench\BenchRun;
use App\Models\Bench\SeedLot;
use App\Models\Plan\SeasonPlan;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-04-06 10:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-17']);
    $this->run = fn (array $with = []): TestResponse => $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/bench", $with + [
        'id' => (string) Str::uuid7(), 'row' => 1, 'stage' => 'pre', 'places' => 500, 'skips' => 6, 'doubles' => 4, 'seed' => 'Popcorn 7', 'air' => 14.5, 'happened_at' => '2026-04-06T09:00:00Z',
    ]);
    $this->bench = fn (): array => $this->getJson("/api/planters/{$this->planted->id}/bench")->assertOk()->json();
});

it('keeps a run with its singulation and interval, puts it right and takes it back', function (): void {
    ($this->run)(['id' => $id = (string) Str::uuid7()])->assertCreated();
    ($this->run)(['id' => $id])->assertOk();
    ($this->run)(['id' => $id, 'skips' => 7])->assertConflict();
    $run = ($this->bench)()['runs'][0];
    // 10 of 500 went wrong: 98%, and 96.36 to 98.91.
    expect($run['singulation'])->toBe(['share' => 0.98, 'low' => 0.9636, 'high' => 0.9891])->and($run)->toMatchArray(['row' => 1, 'air' => 14.5, 'seed' => 'Popcorn 7', 'by' => $this->technician->name])
        ->and(($this->bench)()['seeds_to_tell'])->toBe(2319);
    ($this->run)(['id' => $right = (string) Str::uuid7(), 'supersedes' => $id, 'skips' => 5])->assertCreated();
    expect(array_column(($this->bench)()['runs'], 'skips'))->toBe([5]);
    ($this->run)(['supersedes' => $right, 'withdrawn' => true])->assertCreated();
    expect(($this->bench)()['runs'])->toBe([]);
});

it('names the meters that really differ, by their newest runs on the same seed', function (): void {
    foreach ([1, 2, 3, 4, 5, 6] as $row) {
        ($this->run)(['row' => $row, 'skips' => $row === 4 ? 60 : 6 + $row % 2])->assertCreated();
    }
    expect(($this->bench)())->toMatchArray(['worse' => [4], 'better' => []]);
    // With a new seal it is like the others.
    ($this->run)(['row' => 4, 'stage' => 'final', 'skips' => 5, 'happened_at' => '2026-04-06T09:30:00Z'])->assertCreated();
    expect(($this->bench)()['worse'])->toBe([])->and(($this->bench)()['runs'])->toHaveCount(7);
    // In the next season they are run anew.
    $this->travelTo('2027-03-01 10:00:00');
    $this->planted->update(['planting_start' => '2027-04-18']);
    expect(($this->bench)()['runs'])->toBe([]);
    // What they were like stands beside.
    expect(array_column(($this->bench)()['before'], 'season', 'row'))->toBe([1 => 2026, 2 => 2026, 3 => 2026, 4 => 2026, 5 => 2026, 6 => 2026])
        ->and(array_column(($this->bench)()['before'], null, 'row')[4]['singulation']['share'])->toBe(0.982);
});

it('refuses what no run can be', function (array $with, string $field, string $message): void {
    ($this->run)($with)->assertUnprocessable()->assertJsonPath('errors', [$field => [$message]]);
    expect(BenchRun::query()->count())->toBe(0);
})->with([
    [['places' => 0], 'places', 'Say how many seeds should have dropped: from 100 to 5,000.'],
    [['skips' => 501], 'skips', 'Count the skips and the doubles in whole numbers, no more together than the seeds that should have dropped.'],
    [['skips' => 300, 'doubles' => 201], 'doubles', 'Count the skips and the doubles in whole numbers, no more together than the seeds that should have dropped.'],
    [['air' => 300], 'air', 'Type the air in inches of water, from 0.5 to 60, to the tenth.'], [['air' => 12.345], 'air', 'Type the air in inches of water, from 0.5 to 60, to the tenth.'],
    [['row' => 9], 'row', 'Say which row of the planter the meter is of.'],
    [['stage' => 'new'], 'stage', 'Say whether it was run as it came (pre) or as it goes back (final).'],
    [['happened_at' => '2026-04-08T10:00:00Z'], 'happened_at', 'Say when it was run: a time that is not in the future.'],
]);

it('has meters due for every size of seed where the shop goes by that, on the bench and in the countdown', function (): void {
    $planter = $this->planter(['planting_start' => '2026-04-17', 'row_count' => 2]);
    foreach (['P7' => 5.2, 'P8' => 5.3, 'P9' => 6.4] as $name => $size) {
        $lots[$name] = SeedLot::query()->create(['workshop_id' => $this->technician->workshop_id, 'name' => $name, 'seeds_per_unit' => 80_000, 'size' => $size])->id;
    }
    SeasonPlan::query()->create(['planter_id' => $planter->id, 'season' => 2026, 'fields' => array_map(fn (string $seed): array => ['name' => "Field {$seed}", 'crop' => null, 'acres' => 10.0, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => $seed, 'seed_lot_id' => $lots[$seed], 'population' => null], ['P7', 'P9'])]);
    $run = fn (int $row, string $seed): TestResponse => $this->actingAs($this->technician)->postJson("/api/planters/{$planter->id}/bench", ['id' => (string) Str::uuid7(), 'row' => $row, 'stage' => 'final', 'places' => 500, 'skips' => 2, 'doubles' => 2, 'seed' => $seed, 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertCreated();
    $bench = fn (): array => $this->actingAs($this->technician)->getJson("/api/planters/{$planter->id}/bench")->assertOk()->json();
    $meters = fn (): array => collect($this->getJson("/api/planters/{$planter->id}/season")->assertOk()->json('countdown'))->firstWhere('key', 'meters');
    expect($bench())->toMatchArray(['school' => 'seasons', 'due' => []]);
    $this->patchJson('/api/workshop', ['meter_school' => 'both'])->assertUnprocessable()->assertJsonPath('errors.meter_school.0', fn (string $says): bool => str_contains($says, 'every_size'));
    $this->patchJson('/api/workshop', ['meter_school' => 'every_size'])->assertOk()->assertJsonPath('meter_school', 'every_size');
    expect($bench()['due'])->toBe([['row' => 1, 'seeds' => ['P7', 'P9']], ['row' => 2, 'seeds' => ['P7', 'P9']]])->and($meters()['done'])->toBeFalse();
    // P8 is of one size with P7.
    $run(1, 'P8');
    $run(1, 'P9');
    $run(2, 'P9');
    expect($bench()['due'])->toBe([['row' => 2, 'seeds' => ['P7']]])->and($meters()['done'])->toBeFalse();
    $run(2, 'p7');
    expect($bench()['due'])->toBe([])->and($meters()['done'])->toBeTrue();
});
