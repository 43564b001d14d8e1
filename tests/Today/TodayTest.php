<?php

declare(strict_types=1);

use App\Models\Field\WatchRun;
use App\Models\Parts\Order;
use App\Models\Parts\PartType;
use App\Models\Parts\Supplier;
use App\Models\People\Role;
use App\Models\Planter;
use App\Models\User;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

beforeEach(function (): void {
    // A Monday; planting starts five weeks later.
    $this->travelTo('2026-03-16 07:00:00');
    $this->planted = $this->planter(['name' => 'Long Acre', 'planting_start' => '2026-04-20', 'planned_acres' => 400]);
    $week = array_fill(1, 5, 8.0) + [6 => 0.0, 7 => 0.0];
    $this->technician->workshop->update(['crew' => [['name' => $this->technician->name, 'hours' => $week], ['name' => 'Idris Vale', 'hours' => $week]], 'shop_rate' => 60]);
    $this->today = function (?User $of = null): array {
        $this->switchTo($of ?? $this->technician);

        return $this->getJson('/api/today')->assertOk()->json();
    };
    $this->items = fn (?User $of = null): array => collect(($this->today)($of)['planters'])->firstWhere('id', $this->planted->id)['items'] ?? [];
    /** @return array<string, mixed>|null the first of a kind on the planter */
    $this->item = fn (string $kind, ?User $of = null): ?array => collect(($this->items)($of))->firstWhere('kind', $kind);
    $this->titles = fn (): array => array_column(($this->items)(), 'title');
    $this->brokenTube = function (int $row): void {
        $this->walk ??= $this->openWalk($this->planted, null);
        $this->send($this->walk, $this->state($row, 'seed_tube', 'change', ['chips' => ['curled_lip']]))->assertOk();
    };
});

it('asks for the planting date first, and counts nothing back without it', function (): void {
    $this->planted->update(['planting_start' => null]);
    expect(($this->item)('no_date'))->toMatchArray(['title' => 'Set the planting date', 'due' => null])->and(($this->item)('deadline'))->toBeNull();
    $this->planted->update(['planting_start' => '2026-04-20']);
    expect(($this->item)('no_date'))->toBeNull();
});

it('shows what is due within a week or has to be started, and nothing before that', function (): void {
    expect(($this->items)())->toBe([]);
    $own = ['id' => (string) Str::uuid7(), 'title' => 'Fix the shop door', 'due' => '2026-03-24', 'done' => false];
    $keep = fn (array $item, int $revision) => $this->putJson("/api/planters/{$this->planted->id}/season", ['revision' => $revision, 'planting_start' => '2026-04-20', 'own_items' => [$item]])->assertOk();
    $keep($own, 0);
    expect(($this->titles)())->not->toContain('Fix the shop door');
    $this->travelTo('2026-03-17 07:00:00');
    expect(($this->titles)())->toContain('Fix the shop door');
    $keep(['done' => true] + $own, 1);
    expect(($this->titles)())->not->toContain('Fix the shop door');
});

it('says that something is late, and is silent once planting has begun', function (): void {
    $this->travelTo('2026-04-18 07:00:00');
    $walk = ($this->item)('walk');
    expect($walk)->toMatchArray(['title' => 'Walk the planter', 'late' => true])->and($walk['due'])->toBeLessThan('2026-04-18');
    $this->travelTo('2026-04-21 07:00:00');
    expect(($this->item)('walk'))->toBeNull()->and(($this->item)('deadline'))->toBeNull();
});

it('counts what is to be decided and measured again, and the open walk with how far it is', function (): void {
    ($this->brokenTube)(3);
    ($this->brokenTube)(5);
    expect(($this->item)('decide'))->toMatchArray(['title' => '2 findings to decide', 'detail' => '2 rows to change'])
        ->and(($this->item)('walk')['title'])->toBe('Finish the walk')->and(($this->item)('walk')['detail'])->toMatch('/^\d+% walked$/')
        ->and(($this->item)('measure_again'))->toBeNull();
    $this->decide($this->walk, ['id' => (string) Str::uuid7(), 'row' => 3, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'change', 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertOk();
    expect(($this->item)('decide')['title'])->toBe('1 finding to decide');
    // A new blade: its contact is to be measured again.
    $this->send($this->walk, $this->reading(4, '2', ['check' => 'blade_contact_length', 'side' => 'centre']))->assertOk();
    $this->travel(5)->minutes();
    $this->record($this->planted, $this->fitting(4, '2026-03-16', ['happened_at' => now()->toIso8601ZuluString()]))->assertCreated();
    expect(($this->item)('measure_again'))->toMatchArray(['title' => 'Measure 1 place again', 'detail' => 'Changed since it was read']);
});

it('hands each person the cards of today by the plan that is kept, until they are done', function (): void {
    $this->lubricated($this->planted);
    ($this->brokenTube)(3);
    $this->decide($this->walk, ['id' => (string) Str::uuid7(), 'row' => 3, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'change', 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertOk();
    PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'slots' => ['seed_tube'], 'per_row' => 1, 'lead_days' => 0]);
    expect(($this->item)('card'))->toBeNull();
    $idris = User::factory()->for($this->technician->workshop)->create(['name' => 'Idris Vale', 'role' => Role::Helper])->refresh();
    $this->switchTo($this->technician);
    $kept = $this->putJson("/api/planters/{$this->planted->id}/work/plan", ['seen' => 0])->assertOk()->json();
    [$key, $person] = [collect($kept['pieces'])->firstWhere('row', 3)['key'], collect($kept['pieces'])->firstWhere('row', 3)['person']];
    [$mine, $other] = $kept['people'][$person] === 'Idris Vale' ? [$idris, $this->technician] : [$this->technician, $idris];
    $cards = fn (User $of): array => array_column(array_filter(($this->items)($of), static fn (array $item): bool => $item['kind'] === 'card'), 'title');
    expect($cards($mine))->toContain('Row 3: seed tube')->and($cards($other))->not->toContain('Row 3: seed tube');
    // Set for Wednesday it is none of today's.
    $this->switchTo($this->technician);
    $this->putJson("/api/planters/{$this->planted->id}/work/plan", ['seen' => 1, 'set' => [['piece' => $key, 'person' => $mine->name, 'starts' => '2026-03-18T10:00']]])->assertOk();
    expect($cards($mine))->not->toContain('Row 3: seed tube');
    $this->travelTo('2026-03-18 08:00:00');
    expect($cards($mine))->toContain('Row 3: seed tube');
    $piece = collect($this->actingAs($this->technician)->getJson("/api/planters/{$this->planted->id}/work")->json('pieces'))->firstWhere('row', 3);
    // Somebody whom the plan does not know sees all of it, with names.
    $owner = User::factory()->for($this->technician->workshop)->create(['name' => 'Sable Thorne'])->refresh();
    expect(($this->item)('card', $owner)['detail'])->toContain('min')->and($cards($owner))->toContain('Row 3: seed tube');
    $this->switchTo($this->technician);
    $this->postJson("/api/planters/{$this->planted->id}/work/hands", ['events' => [['id' => (string) Str::uuid7(), 'kind' => 'finished', 'targets' => array_column($piece['jobs'], 'key'), 'minutes' => 5, 'ledger' => [], 'happened_at' => now()->toIso8601ZuluString('millisecond')]]])->assertCreated();
    expect($cards($mine))->not->toContain('Row 3: seed tube');
});

it('names orders that come within a week or are overdue, and none that are drafts, closed or another shop’s', function (): void {
    $supplier = Supplier::query()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'Brook & Lane Supply']);
    $type = PartType::factory()->create(['workshop_id' => $this->technician->workshop_id]);
    $order = static fn (Workshop $of, string $state, ?string $expected, array $line = []): Order => Order::query()->create([
        'workshop_id' => $of->id, 'user_id' => User::query()->where('workshop_id', $of->id)->value('id'), 'key' => (string) Str::uuid7(), 'state' => $state, 'supplier_id' => $of->id === $supplier->workshop_id ? $supplier->id : null,
        'ordered_on' => '2026-03-02', 'expected_on' => $expected, 'lines' => [$line + ['part_type_id' => $type->id, 'quantity' => 8, 'price' => null, 'received' => 0]],
    ]);
    $shop = $this->technician->workshop;
    $order($shop, 'ordered', '2026-03-23', ['received' => 2]);
    $order($shop, 'ordered', '2026-03-13', ['quantity' => 1]);
    $order($shop, 'ordered', '2026-03-24');
    $order($shop, 'draft', '2026-03-17');
    $order($shop, 'closed', '2026-03-17');
    $order(User::factory()->create()->workshop, 'ordered', '2026-03-17');
    expect(($this->today)()['deliveries'])->toBe([
        ['kind' => 'delivery', 'title' => '1 part arrives from Brook & Lane Supply', 'detail' => '', 'due' => '2026-03-13', 'late' => true],
        ['kind' => 'delivery', 'title' => '6 parts arrive from Brook & Lane Supply', 'detail' => '', 'due' => '2026-03-23', 'late' => false],
    ]);
});

it('tells of alarms that nobody has seen while the monitor runs', function (): void {
    $this->switchTo($this->technician);
    $run = fn (Planter $planter, string $state): WatchRun => WatchRun::query()->create(['id' => (string) Str::uuid7(), 'planter_id' => $planter->id, 'user_id' => $this->technician->id, 'field' => '', 'acres' => 1600, 'state' => $state, 'made_at' => now()]);
    $alarm = static fn (WatchRun $run): int => $run->alarms()->create(['at' => now(), 'kind' => 'stopped', 'watched' => 'population', 'rows' => [2], 'direction' => -1, 'seconds' => 20, 'pass' => 1, 'mph' => 5])->id;
    $running = $run($this->planted, 'running');
    $alarm($run($this->planter(['name' => 'Over']), 'ended'));
    // A made-up field is none of ours.
    $practice = $this->planter(['name' => 'Practice']);
    $made = $run($practice, 'running');
    $made->update(['practice' => ['fault' => 'plugged']]);
    $alarm($made);
    [$seen, $back] = [$alarm($running), $alarm($running)];
    $alarm($running);
    $this->postJson("/api/planters/{$this->planted->id}/watch/{$running->id}/entries", ['entries' => [['id' => (string) Str::uuid7(), 'kind' => 'seen', 'alarm' => $seen, 'happened_at' => now()->toIso8601ZuluString('millisecond')]]])->assertCreated();
    $running->alarms()->whereKey($back)->firstOrFail()->backs()->create(['watch_run_id' => $running->id, 'row_number' => 2, 'at' => CarbonImmutable::now()]);
    expect(($this->item)('alarm')['title'])->toBe('1 new alarm in row watch')->and(array_column(collect(($this->today)()['planters'])->firstWhere('name', 'Over')['items'], 'kind'))->not->toContain('alarm')
        ->and(array_column(collect(($this->today)()['planters'])->firstWhere('name', 'Practice')['items'], 'kind'))->not->toContain('alarm');
});

it('is for who works here, and tells nothing of another shop', function (): void {
    $other = User::factory()->create()->refresh();
    expect(($this->today)($other)['planters'])->toBe([]);
    $guest = User::factory()->for($this->technician->workshop)->create(['role' => Role::Guest, 'planter_id' => $this->planted->id, 'email' => null, 'password' => null, 'link_sha256' => hash('sha256', 'x'), 'link_expires_at' => now()->addDay()])->refresh();
    $this->switchTo($guest);
    $this->getJson('/api/today')->assertForbidden();
});
