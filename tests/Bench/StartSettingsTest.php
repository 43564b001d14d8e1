<?php

declare(strict_types=1);

use App\Models\Bench\SeedLot;
use App\Models\Planter;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-04-06 10:00:00');
    $this->planted = $this->planter(['name' => 'Long Acre', 'planting_start' => '2026-04-17', 'row_count' => 4]);
    $this->other = $this->planter(['name' => 'Short Acre', 'planting_start' => '2026-04-17', 'row_count' => 4]);
    $this->lot = fn (string $name, array $with = []): int => SeedLot::query()->create($with + ['workshop_id' => $this->technician->workshop_id, 'name' => $name, 'crop' => 'Popcorn', 'shape' => 'Flat', 'seeds_per_unit' => 80_000, 'size' => 6.1])->id;
    $this->run = fn (Planter $on, string $seed, float $air, array $with = []): TestResponse => $this->switchTo($this->technician)->postJson("/api/planters/{$on->id}/bench", $with + [
        'id' => (string) Str::uuid7(), 'row' => 1, 'stage' => 'final', 'places' => 500, 'skips' => 3, 'doubles' => 3, 'seed' => $seed, 'disc' => '30 flat', 'singulator' => 'step 2', 'air' => $air, 'happened_at' => '2026-04-06T09:00:00Z',
    ])->assertCreated();
    $this->start = fn (int $lot, string $disc = '30 flat', int $row = 1): ?array => $this->switchTo($this->technician)->getJson("/api/planters/{$this->planted->id}/bench/start?".http_build_query(['row' => $row, 'lot' => $lot, 'disc' => $disc]))->assertOk()->json('start');
    $this->new = ($this->lot)('Flat 10', ['size' => 6.0]);
    ($this->lot)('Flat 9');
});

it('says what the shop ran seed of that size with, on any planter and in any season', function (): void {
    expect(($this->start)($this->new))->toBeNull();
    foreach ([8.0, 10.0, 12.0] as $air) {
        $off = (int) abs($air - 10);
        ($this->run)($this->other, 'Flat 9', $air, ['skips' => 4 + ($air < 10 ? 4 * $off : 0), 'doubles' => 4 + ($air > 10 ? 4 * $off : 0), 'happened_at' => '2025-04-01T09:00:00Z']);
    }
    $start = ($this->start)($this->new);
    expect($start)->toMatchArray(['singulator' => 'step 2', 'way' => null, 'by' => 'measured', 'runs' => 3, 'seeds' => ['Flat 9']])
        ->and($start['air'])->toBeGreaterThan(9.0)->toBeLessThan(11.0)
        // By letters large or small; and by no other disc.
        ->and(($this->start)($this->new, '30 FLAT'))->toBe($start)
        ->and(($this->start)($this->new, '24 flat'))->toBeNull();
});

it('goes by whole runs of real meters alone, as they read now', function (): void {
    ($this->run)($this->other, 'Flat 9', 10.0, ['partial' => true]);
    ($this->run)($this->other, 'Flat 9', 10.0, ['look' => true, 'cells' => 30, 'places' => 30]);
    ($this->run)($this->other, 'Flat 9', 9.0, ['id' => $wrong = (string) Str::uuid7()]);
    ($this->run)($this->other, 'Flat 9', 9.5, ['id' => $right = (string) Str::uuid7(), 'supersedes' => $wrong]);
    expect(($this->start)($this->new))->toMatchArray(['air' => 9.5, 'runs' => 1]);
    ($this->run)($this->other, 'Flat 9', 9.5, ['supersedes' => $right, 'withdrawn' => true]);
    expect(($this->start)($this->new))->toBeNull();
});

it('does not take a practice run for one of the meter, here, among the rows, or in the owner’s report', function (): void {
    foreach ([1, 2, 3, 4] as $row) {
        ($this->run)($this->planted, 'Flat 9', 10.0, ['row' => $row]);
    }
    ($this->run)($this->planted, 'Flat 9', 14.0, ['id' => $id = (string) Str::uuid7(), 'row' => 4, 'skips' => 90, 'happened_at' => '2026-04-06T09:30:00Z']);
    expect(($this->start)($this->new)['runs'])->toBe(5)->and($this->getJson("/api/planters/{$this->planted->id}/bench")->json('worse'))->toBe([4]);
    $this->standRun($this->planted, ['id' => $id, 'row_number' => 4, 'practice' => ['seed' => 1], 'state' => 'ended']);
    expect(($this->start)($this->new))->toMatchArray(['air' => 10, 'runs' => 4])
        ->and($this->getJson("/api/planters/{$this->planted->id}/bench")->json('worse'))->toBe([])
        ->and(array_column($this->getJson("/api/planters/{$this->planted->id}/bench/advice?row=4")->json('runs'), 'air'))->toEqual([14])
        ->and($this->printed("/api/planters/{$this->planted->id}/bench/report.pdf"))->toContain('3 skips')->not->toContain('90 skips');
});

it('takes no run of another kind of meter, shop or sample', function (): void {
    ($this->run)($this->other, 'Flat 9', 10.0);
    $this->other->update(['equipment' => ['meter' => 'positive_air']]);
    expect(($this->start)($this->new))->toBeNull();
    $this->other->update(['equipment' => [], 'is_sample' => true]);
    expect(($this->start)($this->new))->toBeNull();
    $this->other->update(['is_sample' => false]);
    expect(($this->start)($this->new))->not->toBeNull();
    $stranger = User::factory()->create()->refresh();
    $this->switchTo($stranger)->getJson("/api/planters/{$this->planted->id}/bench/start?row=1&lot={$this->new}&disc=x")->assertNotFound();
});

it('says what was wrong with the question', function (array $with, string $field): void {
    $this->switchTo($this->technician)->getJson("/api/planters/{$this->planted->id}/bench/start?".http_build_query($with + ['row' => 1, 'lot' => $this->new, 'disc' => '30 flat']))->assertUnprocessable()->assertJsonPath('errors', fn (array $errors): bool => array_keys($errors) === [$field]);
})->with([[['row' => 9], 'row'], [['lot' => 999_999], 'lot'], [['lot' => '1x'], 'lot'], [['disc' => str_repeat('x', 81)], 'disc']]);

it('asks the database as often for twenty runs as for two', function (): void {
    $queries = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        ($this->start)($this->new);

        return count(DB::getQueryLog());
    };
    ($this->run)($this->other, 'Flat 9', 10.0);
    $queries();
    $few = $queries();
    foreach (range(1, 19) as $n) {
        ($this->lot)("Flat {$n}x");
        ($this->run)($n % 2 === 0 ? $this->planted : $this->other, "Flat {$n}x", 10.0);
    }
    expect($queries())->toBe($few);
});
