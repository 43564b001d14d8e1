<?php

declare(strict_types=1);

use App\Models\Parts\PartType;
use App\Models\Parts\StockMove;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-03-02 09:00', 'UTC'));
    $this->tube = PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'Tube', 'slots' => ['seed_tube'], 'price' => 44, 'lead_days' => 14, 'minimum' => null, 'per_row' => 1]);
    $this->moves = fn (array ...$moves): TestResponse => $this->actingAs($this->technician)->postJson('/api/store/moves', ['moves' => array_map(fn (array $move): array => $move + [
        'id' => (string) Str::uuid7(), 'part_type_id' => $this->tube->id, 'happened_at' => now()->toIso8601ZuluString('millisecond'),
    ], $moves)]);
    $this->shelf = fn (): array => array_column($this->actingAs($this->technician)->getJson('/api/store')->assertOk()->json(), null, 'name')['Tube'];
});

it('holds what is on the shelf against what was decided, until it is done', function (): void {
    $planter = $this->planter(['name' => 'Long Acre', 'planting_start' => '2026-04-20']);
    $walk = $this->openWalk($planter, null);
    $this->send($walk, ...array_map(fn (int $row): array => $this->state($row, 'seed_tube', 'change', ['chips' => ['curled_lip']]), [1, 2, 3]))->assertOk();
    expect(($this->shelf)())->toMatchArray(['on_hand' => null, 'needed' => 0, 'to_order' => 0, 'order_by' => null]);
    $this->decide($walk, ...array_map(fn (int $row): array => ['id' => (string) Str::uuid7(), 'row' => $row, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'change', 'happened_at' => now()->toIso8601ZuluString('millisecond')], [1, 2, 3]))->assertOk();
    ($this->moves)(['kind' => 'counted', 'quantity' => 1])->assertCreated();
    // Needed a week before planting, two weeks of post before that.
    expect(($this->shelf)())->toMatchArray(['on_hand' => 1, 'needed' => 3, 'to_order' => 2, 'order_by' => '2026-03-30', 'for' => [['planter' => 'Long Acre', 'count' => 3]]]);

    $this->travel(1)->hours();
    $this->record($planter, $this->fitting(1, '2026-03-02', ['slot' => 'seed_tube', 'side' => 'centre', 'part_type_id' => $this->tube->id, 'happened_at' => now()->toIso8601ZuluString()]))->assertCreated();
    expect(($this->shelf)())->toMatchArray(['on_hand' => 0, 'needed' => 2, 'to_order' => 2]);
    // Read again, and sound after all.
    $this->travel(1)->minutes();
    $this->send($walk, $this->state(2, 'seed_tube', 'sound'))->assertOk();
    expect(($this->shelf)())->toMatchArray(['needed' => 1, 'to_order' => 1]);
    ($this->moves)(['kind' => 'received', 'quantity' => 2])->assertCreated();
    expect(($this->shelf)())->toMatchArray(['on_hand' => 2, 'to_order' => 0, 'order_by' => null]);
    $this->tube->update(['minimum' => 4, 'lead_days' => null]);
    expect(($this->shelf)())->toMatchArray(['minimum' => 4, 'to_order' => 3, 'order_by' => null]);
});

it('keeps stock under nothing, and flags it as a miscount', function (): void {
    ($this->moves)(['kind' => 'counted', 'quantity' => 1])->assertCreated();
    $this->travel(1)->minutes();
    ($this->moves)(['kind' => 'lost', 'quantity' => 3])->assertCreated();
    expect(($this->shelf)())->toMatchArray(['on_hand' => -2, 'miscount' => true]);
});

it('takes a move once, corrects it, and takes it back', function (): void {
    ($this->moves)($first = ['id' => (string) Str::uuid7(), 'kind' => 'counted', 'quantity' => 8, 'happened_at' => '2026-03-01T10:00:00Z'])->assertCreated();
    ($this->moves)($first)->assertOk();
    ($this->moves)(['quantity' => 9] + $first)->assertConflict();
    ($this->moves)($second = ['id' => (string) Str::uuid7(), 'supersedes' => $first['id'], 'quantity' => 6] + $first)->assertCreated();
    expect(($this->shelf)()['on_hand'])->toBe(6);
    ($this->moves)(['id' => (string) Str::uuid7(), 'supersedes' => $first['id']] + $first)->assertUnprocessable();
    ($this->moves)(['id' => (string) Str::uuid7(), 'supersedes' => $second['id'], 'withdrawn' => true] + $first)->assertCreated();
    expect(($this->shelf)()['on_hand'])->toBeNull();
    $this->switchTo($this->technicianOf('Lowmoor Planter Services'));
    $this->postJson('/api/store/moves', ['moves' => [$first]])->assertConflict();
    $this->postJson('/api/store/moves', ['moves' => [['id' => (string) Str::uuid7()] + $first + ['part_type_id' => $this->tube->id]]])->assertUnprocessable();
});

it('refuses what cannot be, all of it or nothing', function (array $move, string $field): void {
    ($this->moves)(['kind' => 'received', 'quantity' => 1], $move)->assertUnprocessable()->assertJsonValidationErrors("moves.1.{$field}");
    expect(StockMove::query()->count())->toBe(0);
})->with([
    'no kind' => [['quantity' => 1], 'kind'],
    'a kind that there is not' => [['kind' => 'found', 'quantity' => 1], 'kind'],
    'less than nothing' => [['kind' => 'counted', 'quantity' => -1], 'quantity'],
    'none received' => [['kind' => 'received', 'quantity' => 0], 'quantity'],
    'half a part' => [['kind' => 'used', 'quantity' => 0.5], 'quantity'],
    'a number as text' => [['kind' => 'used', 'quantity' => '1'], 'quantity'],
    'no number' => [['kind' => 'used'], 'quantity'],
    'a part of nobody' => [['kind' => 'used', 'quantity' => 1, 'part_type_id' => 999999], 'part_type_id'],
    'tomorrow’s week' => [['kind' => 'used', 'quantity' => 1, 'happened_at' => '2026-03-09T10:00:00Z'], 'happened_at'],
]);
