<?php

declare(strict_types=1);

use App\Models\Parts\Order;
use App\Models\Parts\PartType;
use App\Models\Parts\StockMove;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $part = fn (string $name, ?float $price): int => PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => $name, 'own_number' => "T-{$name}", 'slots' => ['seed_tube'], 'price' => $price, 'per_row' => 1])->id;
    [$this->tube, $this->boot] = [$part('Tube', 44), $part('Boot', null)];
    $this->supplier = $this->actingAs($this->technician)->postJson('/api/suppliers', ['name' => 'Brook Supply', 'prices' => [['part_type_id' => $this->tube, 'price' => 41.5, 'lead_days' => 9, 'since' => '2026-01-10']]])->assertCreated()->json('id');
    $this->order = fn (array $more = []): array => $more + ['key' => (string) Str::uuid7(), 'revision' => 0, 'supplier_id' => $this->supplier, 'state' => 'ordered', 'ordered_on' => '2026-03-02', 'lines' => [['part_type_id' => $this->tube, 'quantity' => 6, 'price' => 41.5], ['part_type_id' => $this->boot, 'quantity' => 2, 'price' => null]]];
    $this->put = fn (array $order, ?int $id = null): TestResponse => $this->actingAs($this->technician)->json($id === null ? 'POST' : 'PUT', $id === null ? '/api/orders' : "/api/orders/{$id}", $order);
    $this->receive = fn (int $order, array ...$moves): TestResponse => $this->actingAs($this->technician)->postJson("/api/orders/{$order}/receive", ['moves' => array_map(fn (array $move): array => $move + ['id' => (string) Str::uuid7(), 'happened_at' => now()->toIso8601ZuluString('millisecond')], $moves)]);
    $this->shelf = fn (string $name): array => array_column($this->getJson('/api/store')->json(), null, 'name')[$name];
});

it('has on order what has not come, and on the shelf what has', function (): void {
    $id = ($this->put)($order = ($this->order)())->assertCreated()->json('id');
    // Sent twice, it is made once.
    expect(($this->put)($order)->assertCreated()->json('id'))->toBe($id)->and(($this->shelf)('Tube'))->toMatchArray(['on_order' => 6, 'on_hand' => null]);
    $move = ['id' => (string) Str::uuid7(), 'part_type_id' => $this->tube, 'quantity' => 4, 'happened_at' => now()->toIso8601ZuluString('millisecond')];
    // Sent twice, it comes once.
    ($this->receive)($id, $move)->assertOk()->assertJsonPath('lines.0.received', 4)->assertJsonPath('state', 'ordered');
    ($this->receive)($id, $move)->assertOk()->assertJsonPath('lines.0.received', 4)->assertJsonPath('revision', 2);
    expect(($this->shelf)('Tube'))->toMatchArray(['on_order' => 2, 'on_hand' => 4]);
    // Back-ordered: expected later.
    ($this->put)(['revision' => 2, 'expected_on' => '2026-04-01'] + $order, $id)->assertOk()->assertJsonPath('lines.0.received', 4);
    ($this->receive)($id, ['part_type_id' => $this->tube, 'quantity' => 2], ['part_type_id' => $this->boot, 'quantity' => 2])->assertOk()->assertJsonPath('state', 'closed');
    expect(($this->shelf)('Tube'))->toMatchArray(['on_order' => 0, 'on_hand' => 6])->and(StockMove::query()->count())->toBe(3);
});

it('drafts once what is to be ordered, by supplier, and again what was thrown away', function (): void {
    PartType::query()->whereKey([$this->tube, $this->boot])->update(['minimum' => 3]);
    $draft = fn (): array => $this->actingAs($this->technician)->postJson('/api/orders/draft')->assertOk()->json();
    $made = array_column($draft(), null, 'supplier_id');
    expect(array_keys($made))->toEqualCanonicalizing([$this->supplier, ''])
        ->and($made[$this->supplier]['lines'])->toEqual([['part_type_id' => $this->tube, 'quantity' => 3, 'price' => 41.5, 'received' => 0]])
        ->and($made['']['lines'])->toEqual([['part_type_id' => $this->boot, 'quantity' => 3, 'price' => null, 'received' => 0]])
        ->and(($this->shelf)('Tube'))->toMatchArray(['to_order' => 3, 'to_draft' => 0, 'on_order' => 0])
        ->and($draft())->toBe([]);
    // More is needed meanwhile: only that.
    PartType::query()->whereKey($this->tube)->update(['minimum' => 5]);
    expect(array_column($draft()[0]['lines'], 'quantity'))->toBe([2]);
    $order = $made[$this->supplier];
    ($this->put)(['state' => 'closed', 'ordered_on' => null] + $order, $order['id'])->assertOk();
    expect(($this->shelf)('Tube'))->toMatchArray(['to_order' => 5, 'to_draft' => 3]);
    // Of one that never went off nothing comes.
    ($this->receive)($order['id'], ['part_type_id' => $this->tube, 'quantity' => 1])->assertUnprocessable();
});

it('goes off as a table, an unknown price left open, and on paper', function (): void {
    $id = ($this->put)($order = ($this->order)())->assertCreated()->json('id');
    expect($this->get("/api/orders/{$id}/order.csv")->assertOk()->getContent())->toBe("number,part,quantity,price,currency\nT-Tube,Tube,6,41.5,USD\nT-Boot,Boot,2,,USD\n");
    expect($this->get("/api/orders/{$id}/order.pdf")->assertOk()->getContent())->toStartWith('%PDF-');
});

it('refuses what cannot be, and changes nothing', function (array $wrong, string $field): void {
    ($this->put)(($this->order)($wrong))->assertUnprocessable()->assertJsonValidationErrors($field);
    expect(Order::query()->count())->toBe(0);
})->with([
    'no line' => [['lines' => []], 'lines'],
    'a part twice' => [fn () => ['lines' => [['part_type_id' => $this->tube, 'quantity' => 1, 'price' => 1], ['part_type_id' => $this->tube, 'quantity' => 1, 'price' => 1]]], 'lines.0.part_type_id'],
    'none of it' => [fn () => ['lines' => [['part_type_id' => $this->tube, 'quantity' => 0, 'price' => 1]]], 'lines.0.quantity'],
    'a negative price' => [fn () => ['lines' => [['part_type_id' => $this->tube, 'quantity' => 1, 'price' => -1]]], 'lines.0.price'],
    'ordered on no day' => [['ordered_on' => null], 'ordered_on'],
    'a state that there is not' => [['state' => 'lost'], 'state'],
    'a supplier of nobody' => [['supplier_id' => 999999], 'supplier_id'],
    'a part of nobody' => [['lines' => [['part_type_id' => 999999, 'quantity' => 1, 'price' => 1]]], 'lines.0.part_type_id'],
]);

it('lets nobody take out what has come, receive a draft, or overwrite another’s change', function (): void {
    $id = ($this->put)($order = ($this->order)(['state' => 'draft']))->assertCreated()->json('id');
    ($this->receive)($id, ['part_type_id' => $this->tube, 'quantity' => 1])->assertUnprocessable();
    ($this->put)(['revision' => 1, 'state' => 'ordered'] + $order, $id)->assertOk();
    ($this->put)(['revision' => 1, 'note' => 'late'] + $order, $id)->assertConflict();
    // The same again is known; other lines over it are not taken for it.
    ($this->put)(['revision' => 1, 'state' => 'ordered'] + $order, $id)->assertOk()->assertJsonPath('revision', 2);
    ($this->put)(['revision' => 1, 'state' => 'ordered', 'lines' => [['part_type_id' => $this->tube, 'quantity' => 60, 'price' => 41.5]]] + $order, $id)->assertConflict()->assertJsonPath('changed', ['lines']);
    ($this->put)($order)->assertConflict();
    ($this->receive)($id, ['part_type_id' => 999999, 'quantity' => 1])->assertUnprocessable();
    ($this->receive)($id, ['part_type_id' => $this->tube, 'quantity' => 3])->assertOk();
    ($this->put)(['revision' => 3, 'state' => 'ordered', 'lines' => [['part_type_id' => $this->tube, 'quantity' => 2, 'price' => 1]]] + $order, $id)->assertUnprocessable()->assertJsonPath('errors', ['lines.0.quantity' => ['3 already received: order at least that many.']]);
    ($this->put)(['revision' => 3, 'state' => 'ordered', 'lines' => [['part_type_id' => $this->boot, 'quantity' => 2, 'price' => 1]]] + $order, $id)->assertUnprocessable();
    expect(Order::query()->sole()->lines[0]['received'])->toBe(3);
});

it('keeps suppliers under names of their own', function (): void {
    $this->postJson('/api/suppliers', ['name' => 'brook supply', 'prices' => []])->assertUnprocessable()->assertJsonValidationErrors(['name' => 'already']);
    $this->putJson("/api/suppliers/{$this->supplier}", ['name' => 'Brook', 'prices' => [], 'revision' => 1])->assertOk();
    // Sent again it is known; what somebody else has changed meanwhile is not overwritten.
    $this->putJson("/api/suppliers/{$this->supplier}", ['name' => 'Brook', 'prices' => [], 'revision' => 1])->assertOk()->assertJsonPath('revision', 2);
    $this->putJson("/api/suppliers/{$this->supplier}", ['name' => 'Brook', 'notes' => 'Calls back', 'prices' => [], 'revision' => 1])->assertConflict()->assertJsonPath('changed', ['notes']);
    foreach ([['price' => -1], ['lead_days' => 1000], ['since' => 'now'], ['part_type_id' => 'x']] as $wrong) {
        $this->putJson("/api/suppliers/{$this->supplier}", ['name' => 'Brook', 'revision' => 2, 'prices' => [$wrong + ['part_type_id' => $this->tube, 'price' => 1, 'lead_days' => 1, 'since' => '2026-01-01']]])->assertUnprocessable();
    }
});
