<?php

declare(strict_types=1);

use App\Models\Bench\MeterMove;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-03-01 10:00:00');
    $this->actingAs($this->technician);
    $this->planter = $this->planter(['planting_start' => '2026-04-17']);
    $this->meter = fn (string $serial): int => $this->postJson('/api/meters', ['serial' => $serial])->assertCreated()->json('id');
    $this->move = fn (int $meter, string $to, ?int $row = null, array $with = []): TestResponse => $this->postJson('/api/meters/moves', ['moves' => [$with + [
        'id' => (string) Str::uuid7(), 'meter_id' => $meter, 'to' => $to, 'happened_at' => now()->toIso8601ZuluString('millisecond'),
    ] + ($row === null ? [] : ['planter_id' => $this->planter->id, 'row' => $row])]]);
    $this->run = fn (int $row, int $skips, string $at): TestResponse => $this->postJson("/api/planters/{$this->planter->id}/bench", [
        'id' => (string) Str::uuid7(), 'row' => $row, 'stage' => 'final', 'places' => 500, 'skips' => $skips, 'doubles' => 2, 'happened_at' => $at,
    ])->assertCreated();
    $this->read = fn (string $csv): TestResponse => $this->post("/api/planters/{$this->planter->id}/bench/report", ['file' => UploadedFile::fake()->createWithContent('report.csv', $csv)], ['Accept' => 'application/json']);
});

it('keeps the runs of a meter with it: where it moves, and while it is out', function (): void {
    [$one, $other] = [($this->meter)('T-1'), ($this->meter)('T-2')];
    ($this->move)($one, 'row', 3)->assertCreated();
    ($this->run)(3, 8, '2026-03-01T10:00:01Z');
    $this->travelTo('2026-03-02 10:00:00');
    ($this->move)($one, 'out', null, ['place' => 'Ardle Stand'])->assertCreated();
    ($this->run)(3, 4, '2026-03-02T10:00:01Z');
    $this->travelTo('2026-03-03 10:00:00');
    ($this->move)($other, 'row', 3)->assertCreated();
    ($this->run)(3, 30, '2026-03-03T10:00:01Z');
    $meters = $this->getJson('/api/meters')->assertOk()->json('meters');
    expect(array_column($meters, 'serial'))->toBe(['T-1', 'T-2'])
        ->and(array_column($meters[0]['stays'], 'to'))->toBe(['out', 'row'])->and($meters[0]['stays'][0]['place'])->toBe('Ardle Stand')
        ->and(array_map(fn (array $run): float => $run['singulation']['share'], $meters[0]['runs']))->toBe([0.988, 0.98])
        ->and(array_map(fn (array $run): float => $run['singulation']['share'], $meters[1]['runs']))->toBe([0.936]);
    // It goes back into a row that another is in: refused, and nothing of it kept.
    $this->travel(1)->minutes();
    ($this->move)($one, 'row', 3)->assertUnprocessable()->assertJsonPath('errors.moves.0', "{$this->planter->name}, row 3 would hold two meters at once: T-2 and T-1. Take one out first.");
    expect(MeterMove::query()->count())->toBe(3);
    // Both in one press: they change places.
    $at = now()->toIso8601ZuluString('millisecond');
    $this->postJson('/api/meters/moves', ['moves' => [
        ['id' => (string) Str::uuid7(), 'meter_id' => $other, 'to' => 'shelf', 'happened_at' => $at],
        ['id' => (string) Str::uuid7(), 'meter_id' => $one, 'to' => 'row', 'planter_id' => $this->planter->id, 'row' => 3, 'happened_at' => $at],
    ]])->assertCreated();
});

it('refuses what no move can be, and lets a neighbour neither see nor move', function (array $with, string $field): void {
    $meter = ($this->meter)('T-1');
    ($this->move)($meter, 'row', 3, $with)->assertUnprocessable()->assertJsonValidationErrors($field);
    $neighbour = $this->switchTo($this->technicianOf('Lowmoor Planter Services'));
    expect($neighbour->getJson('/api/meters')->json('meters'))->toBe([]);
    $neighbour->postJson('/api/meters/moves', ['moves' => [['id' => (string) Str::uuid7(), 'meter_id' => $meter, 'to' => 'shelf', 'happened_at' => '2026-03-01T09:00:00Z']]])->assertUnprocessable();
})->with([
    'a row that the planter does not have' => [['row' => 99], 'moves.0.row'],
    'no row' => [['row' => null], 'moves.0.row'],
    'a planter of nobody' => [['planter_id' => 999999], 'moves.0.planter_id'],
    'the shelf of a planter' => [['to' => 'shelf'], 'moves.0.to'],
    'tomorrow' => [['happened_at' => '2026-03-05T10:00:00Z'], 'moves.0.happened_at'],
    'nowhere' => [['to' => 'away'], 'moves.0.to'],
    'a number for a text' => [['place' => 5], 'moves.0.place'],
]);

it('reads the report of a stand elsewhere by rows and by numbers, and keeps it whole', function (): void {
    ($this->move)(($this->meter)('T-9'), 'row', 2)->assertCreated();
    $runs = ($this->read)("Meter;Row;Seeds;Skips;Doubles;Air;Seed\nt-9;;500;6;4;13,5;Popcorn 7\n;4;1000;12;3;;\n")->assertOk()->json('runs');
    expect($runs)->toBe([
        ['stage' => 'final', 'places' => 500, 'skips' => 6, 'doubles' => 4, 'air' => 13.5, 'seed' => 'Popcorn 7', 'row' => 2],
        ['stage' => 'final', 'row' => 4, 'places' => 1000, 'skips' => 12, 'doubles' => 3],
    ]);
    $entries = array_map(fn (array $run): array => $run + ['id' => (string) Str::uuid7(), 'happened_at' => '2026-03-01T09:00:00Z'], $runs);
    $path = "/api/planters/{$this->planter->id}/bench";
    $this->postJson("{$path}/counts", ['runs' => [$entries[0], ['skips' => 2000] + $entries[1]]])->assertUnprocessable()->assertJsonValidationErrors('runs.1.skips');
    expect($this->getJson($path)->json('runs'))->toBe([]);
    $this->postJson("{$path}/counts", ['runs' => $entries])->assertCreated();
    $this->postJson("{$path}/counts", ['runs' => $entries])->assertOk();
    [$one, $other] = array_column($this->getJson($path)->json('runs'), 'id');
    // 10 of 500 against 15 of 1,000: alike; both directions say the same.
    $this->getJson("{$path}/compare?one={$one}&other={$other}")->assertOk()->assertJsonPath('differ', false);
    $this->getJson("{$path}/compare?one={$one}&other=x")->assertUnprocessable();
});

it('puts what a run says on the board, but not over what was found by hand', function (): void {
    $walk = $this->openWalk($this->planter);
    $this->actingAs($this->technician);
    ($this->run)(3, 60, '2026-03-01T09:00:00Z');
    $board = fn (): array => $this->getJson("/api/planters/{$this->planter->id}/bench")->json('runs.0.board');
    expect($board())->toBe([['check' => 'meter_bench_seasons', 'state' => null, 'chips' => []], ['check' => 'meter_seal', 'state' => 'watch', 'chips' => []]]);
    $this->postJson("/api/walks/{$walk->id}/readings", ['readings' => [['id' => (string) Str::uuid7(), 'row' => 3, 'check' => 'meter_seal', 'side' => 'centre', 'state' => 'change', 'chips' => ['torn'], 'taken_at' => '2026-03-01T09:30:00Z']]])->assertOk();
    expect(array_column($board(), 'check'))->toBe(['meter_bench_seasons']);
});

it('names the line of a report that cannot be read', function (string $csv, string $said): void {
    ($this->read)($csv)->assertUnprocessable()->assertJsonPath('errors.file.0', $said);
})->with([
    'no counts' => ["row,seeds\n1,500\n", 'The first line has to name the columns: seeds, skips and doubles, and row or meter.'],
    'a meter that is nowhere' => ["meter,seeds,skips,doubles\nX,500,1,1\n", 'Line 2: no meter “X” is in a row of this planter, or came from one. Write its row, or put it into its row first.'],
    'no figure' => ["row,seeds,skips,doubles\n1,500,1,many\n", 'Line 2: "many" is not a number. Type one such as 18, 18.5 or 14 3/8.'],
    'nothing' => ["row,seeds,skips,doubles\n", 'There is no run in this file.'],
]);
