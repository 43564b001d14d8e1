<?php

declare(strict_types=1);

use App\Models\Manual;
use App\Models\Parts\PartType;
use App\Models\People\Role;
use App\Models\User;
use App\People\GuestLinks;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->travelTo('2026-03-16 07:00:00');
    $this->long = $this->planter(['name' => 'Long Acre', 'farm' => 'Ardle', 'row_count' => 6, 'planting_start' => '2026-04-20']);
    $this->switchTo($this->technician);
    /** @return list<array<string, mixed>> what is found of a kind */
    $this->found = fn (string $kind, ?User $of = null): array => array_values(array_filter(
        $this->switchTo($of ?? $this->technician)->getJson('/api/find')->assertOk()->json(), static fn (array $one): bool => $one['kind'] === $kind,
    ));
    $this->note = function (string $text, array $with = []): string {
        $this->walk ??= $this->openWalk($this->long);
        $note = $with + ['id' => (string) Str::uuid7(), 'row' => 3, 'check' => 'opener_blade_diameter', 'side' => 'left', 'kind' => 'note', 'text' => $text, 'taken_at' => now()->toIso8601ZuluString('millisecond')];
        $this->postJson("/api/walks/{$this->walk->id}/notes", $note)->assertSuccessful();

        return $note['id'];
    };
});

it('lists planters, part types, lots, meters and calculators, each with what names it on its screen', function (): void {
    $type = PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'Blade 15', 'own_number' => 'Q-7', 'slots' => ['opener_blade']]);
    $lot = $this->postJson('/api/seed/lots', ['name' => 'Flat 9', 'crop' => 'Popcorn', 'shape' => 'Flat', 'seeds_per_unit' => 80_000])->assertCreated()->json();
    $meter = $this->postJson('/api/meters', ['serial' => 'M7'])->assertCreated()->json('id');
    expect(($this->found)('planter'))->toBe([['kind' => 'planter', 'title' => 'Long Acre', 'detail' => 'Ardle, 6 rows', 'planter_id' => $this->long->id, 'key' => '']])
        ->and(($this->found)('part_type'))->toBe([['kind' => 'part_type', 'title' => 'Blade 15 Q-7', 'detail' => __('slot.opener_blade'), 'key' => (string) $type->id]])
        ->and(($this->found)('seed_lot'))->toBe([['kind' => 'seed_lot', 'title' => 'Flat 9', 'detail' => 'Popcorn, Flat', 'key' => (string) $lot['id']]])
        ->and(($this->found)('meter'))->toBe([['kind' => 'meter', 'title' => 'Meter M7', 'detail' => '', 'key' => (string) $meter]])
        ->and(array_column(($this->found)('calculator'), 'title', 'key'))->toMatchArray(['spacing' => 'Seed spacing', 'ballast' => 'Wing ballast']);
    $this->putJson("/api/seed/lots/{$lot['id']}", ['name' => 'Flat 10', 'crop' => 'Popcorn', 'shape' => 'Flat', 'seeds_per_unit' => 80_000, 'revision' => $lot['revision']])->assertSuccessful();
    // By the name it had before, too.
    expect(($this->found)('seed_lot')[0])->toMatchArray(['title' => 'Flat 10', 'detail' => 'Popcorn, Flat, Flat 9']);
});

it('lists the fields of this season, and none of one that is over', function (): void {
    $field = ['name' => 'Creek bottom', 'crop' => 'Popcorn', 'acres' => 80];
    $this->putJson("/api/planters/{$this->long->id}/season", ['revision' => 0, 'planting_start' => '2026-04-20', 'fields' => [$field]])->assertOk();
    expect(($this->found)('field'))->toBe([['kind' => 'field', 'title' => 'Creek bottom', 'detail' => 'Popcorn, Long Acre', 'planter_id' => $this->long->id, 'key' => '']]);
    $this->travelTo('2027-01-16 07:00:00');
    $this->long->update(['planting_start' => '2027-04-20']);
    expect(($this->found)('field'))->toBe([]);
});

it('lists notes with their place, the newest first, as they read now', function (): void {
    $first = ($this->note)('Rock chip at the edge');
    $this->travel(1)->minutes();
    $second = ($this->note)('Squeaks when turned', ['row' => 5]);
    expect(array_column(($this->found)('note'), 'key', 'title'))->toBe(['Squeaks when turned' => '5', 'Rock chip at the edge' => '3'])
        ->and(($this->found)('note')[1]['detail'])->toBe('Long Acre, Row 3, opener blade diameter');
    $this->travel(1)->minutes();
    ($this->note)('Rock chip, filed smooth', ['supersedes' => $first]);
    ($this->note)('', ['supersedes' => $second, 'row' => 5]);
    expect(array_column(($this->found)('note'), 'title'))->toBe(['Rock chip, filed smooth']);
});

it('lists the cards of a kept plan by their key, and who does them', function (): void {
    $this->technician->workshop->update(['crew' => [['name' => 'Idris Vale', 'hours' => array_fill(1, 7, 8.0)]]]);
    $walk = $this->openWalk($this->long, null);
    $this->send($walk, $this->state(3, 'seed_tube', 'change', ['chips' => ['curled_lip']]))->assertOk();
    $this->decide($walk, ['id' => (string) Str::uuid7(), 'row' => 3, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'change', 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertOk();
    PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'slots' => ['seed_tube'], 'per_row' => 1, 'lead_days' => 0]);
    expect(($this->found)('card'))->toBe([]);
    $kept = $this->putJson("/api/planters/{$this->long->id}/work/plan", ['seen' => 0])->assertOk()->json();
    $piece = collect($kept['pieces'])->firstWhere('row', 3);
    expect(collect(($this->found)('card'))->firstWhere('title', 'Row 3: seed tube'))->toBe([
        'kind' => 'card', 'title' => 'Row 3: seed tube', 'detail' => 'Long Acre, Idris Vale', 'planter_id' => $this->long->id, 'key' => $piece['key'],
    ]);
});

it('lists manuals with the planter or the spec sheet that they are of', function (): void {
    $of = fn (string $name, array $of): int => Manual::query()->create(['workshop_id' => $this->technician->workshop_id, 'user_id' => $this->technician->id, 'name' => $name, 'bytes' => 9, 'sha256' => hash('sha256', $name), 'recorded_at' => now()] + $of)->id;
    $whole = $of('Whole planter', ['planter_id' => $this->long->id]);
    $units = $of('Row units', ['spec_sheet_id' => $this->long->spec_sheet_id]);
    expect(($this->found)('manual'))->toBe([
        ['kind' => 'manual', 'title' => 'Row units', 'detail' => $this->long->specSheet->name, 'key' => (string) $units],
        ['kind' => 'manual', 'title' => 'Whole planter', 'detail' => 'Long Acre', 'planter_id' => $this->long->id, 'key' => (string) $whole],
    ])->and(($this->found)('manual', User::factory()->create()->refresh()))->toBe([]);
});

it('finds nothing of another shop, and for a guest the one planter alone', function (): void {
    ($this->note)('Rock chip at the edge');
    $other = $this->planter(['name' => 'Short Acre']);
    $stranger = User::factory()->create()->refresh();
    expect(array_unique(array_column($this->switchTo($stranger)->getJson('/api/find')->json(), 'kind')))->toBe(['calculator']);
    $guest = app(GuestLinks::class)->make($this->technician, $other, 'Hollis Pell', 30)[0]->refresh();
    expect(array_column($this->switchTo($guest)->getJson('/api/find')->json(), 'title'))->toBe(['Short Acre']);
    $helper = User::factory()->for($this->technician->workshop)->create(['role' => Role::Helper])->refresh();
    expect(($this->found)('note', $helper))->toHaveCount(1);
});

it('asks the database as often for twenty planters as for one', function (): void {
    $queries = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->getJson('/api/find')->assertOk();

        return count(DB::getQueryLog());
    };
    ($this->note)('Rock chip at the edge');
    $queries();
    $few = $queries();
    foreach (range(1, 19) as $n) {
        $this->planter(['name' => "Planter {$n}"]);
    }
    expect($queries())->toBe($few);
});
