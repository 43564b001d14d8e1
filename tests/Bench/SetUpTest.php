<?php

declare(strict_types=1);

use App\Models\Bench\BenchRun;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->actingAs($this->technician);
    $this->planted = $this->planter(['planting_start' => now()->addMonth()->toDateString(), 'row_count' => 4]);
    $this->minutes = 600;
    $this->run = fn (array $with): TestResponse => $this->postJson("/api/planters/{$this->planted->id}/bench", $with + [
        'id' => (string) Str::uuid7(), 'row' => 1, 'stage' => 'final', 'places' => 500, 'skips' => 5, 'doubles' => 5, 'seed' => 'Lot 7', 'disc' => '30 cells', 'happened_at' => now()->subMinutes($this->minutes--)->toIso8601ZuluString(),
    ]);
    $this->runs = fn (): array => $this->getJson("/api/planters/{$this->planted->id}/bench")->assertOk()->json('runs');
    $this->pooled = fn (): array => array_column($this->getJson("/api/planters/{$this->planted->id}/bench/advice?row=1")->assertOk()->json('runs'), 'air');
});

it('keeps how fast it ran, by speed or by turns, with what singulates and lubricates', function (): void {
    // 34,000 an acre at 30 in and 5 mph over 30 cells are 28.6 turns a minute.
    $set = ['cells' => 30, 'population' => 34_000, 'singulator' => 'step 2', 'lubricant' => '1 cup of talc'];
    ($this->run)($set + ['mph' => 5])->assertCreated();
    expect(($this->runs)()[0])->toMatchArray($set + ['mph' => 5, 'rpm' => 28.6]);
    ($this->run)($set + ['rpm' => 57.24, 'row' => 2])->assertCreated();
    expect(($this->runs)()[0])->toMatchArray(['row' => 2, 'mph' => 10, 'rpm' => 57.2]);
    ($this->run)(['mph' => 5, 'row' => 3])->assertCreated();
    expect(($this->runs)()[0])->toMatchArray(['row' => 3, 'mph' => 5, 'rpm' => null, 'cells' => null]);
});

it('pools for the vacuum only runs of one set-up', function (): void {
    $talc = ['singulator' => 'step 2', 'lubricant' => 'Talc', 'mph' => 5];
    foreach ([[10, ['lubricant' => '', 'mph' => 5, 'singulator' => 'step 2']], [11, ['singulator' => 'step 3'] + $talc], [12, ['mph' => 8] + $talc], [13, ['seed' => 'Lot 8'] + $talc], [14, ['mph' => 5.4] + $talc], [15, ['lubricant' => 'talc'] + $talc], [16, $talc]] as [$air, $with]) {
        ($this->run)($with + ['air' => $air])->assertCreated();
    }
    expect(($this->pooled)())->toEqual([16, 15, 14]);
});

it('refuses a speed that cannot be, and keeps nothing of it', function (array $with, string $field, string $said): void {
    expect(($this->run)($with)->assertUnprocessable()->json("errors.{$field}.0"))->toContain($said)->and(BenchRun::query()->count())->toBe(0);
})->with([
    [['mph' => 0], 'mph', '0.5 to 20'], [['mph' => '5'], 'mph', '0.5 to 20'], [['rpm' => 30], 'rpm', 'need the cells'], [['rpm' => 30, 'cells' => 30], 'rpm', 'need the cells'], [['rpm' => 3000, 'cells' => 30, 'population' => 30_000], 'rpm', '0.5 to 20 mph'],
    [['population' => 100], 'population', '500 to 2,000,000'], [['cells' => 0], 'cells', ''], [['singulator' => str_repeat('x', 81)], 'singulator', '80 characters'], [['lubricant' => 7], 'lubricant', '80 characters'],
]);

it('keeps a turn by hand as a look, which is no run', function (): void {
    ($this->run)(['look' => true, 'places' => 30, 'skips' => 1, 'doubles' => 0])->assertCreated();
    expect(($this->runs)())->toBe([])->and($this->getJson("/api/planters/{$this->planted->id}/bench")->json('looks.0'))->toMatchArray(['row' => 1, 'places' => 30, 'skips' => 1, 'by' => $this->technician->name]);
    // Meters are not tested by it, and it brings nothing to the vacuum.
    ($this->run)(['look' => true, 'places' => 400, 'air' => 12])->assertCreated();
    expect(($this->pooled)())->toBe([]);
    $meters = fn (): bool => collect($this->getJson("/api/planters/{$this->planted->id}/season")->json('countdown'))->firstWhere('key', 'meters')['done'];
    foreach (range(1, 4) as $row) {
        ($this->run)(['row' => $row, 'look' => true, 'places' => 200])->assertCreated();
    }
    expect($meters())->toBeFalse();
    ($this->run)(['places' => 30])->assertUnprocessable();
    expect(($this->run)(['look' => true, 'places' => 3])->assertUnprocessable()->json('errors.places.0'))->toContain('4 to 5,000');
    // A look is taken back as a look.
    $id = $this->getJson("/api/planters/{$this->planted->id}/bench")->json('looks.5.id');
    ($this->run)(['look' => true, 'places' => 30, 'supersedes' => $id, 'withdrawn' => true])->assertCreated();
    expect($this->getJson("/api/planters/{$this->planted->id}/bench")->json('looks'))->toHaveCount(5);
});

it('keeps a run whose vacuum was changed as two parts, each with its own vacuum', function (): void {
    ($this->run)(['id' => $first = (string) Str::uuid7(), 'air' => 14, 'run_in' => 50, 'places' => 300])->assertCreated();
    ($this->run)(['part_of' => $first, 'air' => 9, 'places' => 200])->assertCreated();
    [$second, $kept] = ($this->runs)();
    expect($kept)->toMatchArray(['air' => 14, 'run_in' => 50, 'part_of' => null, 'places' => 300])->and($second)->toMatchArray(['air' => 9, 'part_of' => $first, 'places' => 200])
        // Both tell of the vacuum.
        ->and(($this->pooled)())->toEqual([9, 14]);
});

it('refuses a second part that belongs to no first one, and a run-in that cannot be', function (Closure $with, string $field, string $said): void {
    ($this->run)(['id' => $first = (string) Str::uuid7(), 'air' => 14])->assertCreated();
    ($this->run)(['id' => $look = (string) Str::uuid7(), 'look' => true, 'places' => 30, 'air' => 14])->assertCreated();
    expect(($this->run)($with($first, $look))->assertUnprocessable()->json("errors.{$field}.0"))->toContain($said)->and(BenchRun::query()->count())->toBe(2);
})->with([
    'nothing' => [fn (): array => ['part_of' => (string) Str::uuid7(), 'air' => 9], 'part_of', 'same row'],
    'no id' => [fn (): array => ['part_of' => 'first', 'air' => 9], 'part_of', 'same row'],
    'another row' => [fn (string $first): array => ['part_of' => $first, 'air' => 9, 'row' => 2], 'part_of', 'same row'],
    'a look' => [fn (string $first, string $look): array => ['part_of' => $look, 'air' => 9], 'part_of', 'same row'],
    'the same vacuum' => [fn (string $first): array => ['part_of' => $first, 'air' => 14], 'air', 'They differ'],
    'no vacuum' => [fn (string $first): array => ['part_of' => $first], 'air', 'They differ'],
    'run-in' => [fn (): array => ['run_in' => 5001], 'run_in', '0 to 5,000'],
    'run-in in words' => [fn (): array => ['run_in' => 'some'], 'run_in', '0 to 5,000'],
]);
