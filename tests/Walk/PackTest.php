<?php

declare(strict_types=1);

use App\Models\Walk\Pack;
use App\Models\Walk\Walk;

function packForm(array $fields = []): array
{
    return $fields + ['name' => 'Tubes', 'kind' => 'rain_day', 'checks' => ['seed_sensor', 'seed_tube']];
}

it('keeps a pack of the shop beside those that are shipped', function (): void {
    $this->actingAs($this->technician);
    $made = $this->postJson('/api/packs', packForm())->assertCreated()->assertJson(['name' => 'Tubes', 'checks' => ['seed_tube', 'seed_sensor']])->json();
    Pack::factory()->create(['name' => 'The neighbour\'s']);
    expect(array_column($this->getJson('/api/packs')->assertOk()->json(), 'name'))->toBe(['Yearly', 'Blades and contact', 'Rain day look', 'Two tools, ten minutes', 'Garden planter', 'Plate meters', 'Drill', 'Beet planter', 'Tubes']);
    $this->putJson("/api/packs/{$made['id']}", packForm(['name' => 'Tubes, all', 'checks' => ['seed_tube']]))->assertOk()->assertJsonPath('checks', ['seed_tube']);
    $this->deleteJson("/api/packs/{$made['id']}")->assertNoContent();
    expect($this->getJson('/api/packs')->json())->toHaveCount(8);
});

it('says what is wrong with a pack', function (array $fields, string $field, string $message): void {
    $this->actingAs($this->technician)->postJson('/api/packs', packForm());
    $errors = $this->postJson('/api/packs', packForm($fields))->assertUnprocessable()->json('errors');
    expect($errors[$field][0] ?? null)->toBe($message);
    expect(Pack::query()->count())->toBe(1);
})->with([
    'no check' => [['name' => 'A', 'checks' => []], 'checks', 'A pack has one check or more. Choose what it is for.'],
    'no list of checks' => [['name' => 'A', 'checks' => 'all'], 'checks', 'A pack has one check or more. Choose what it is for.'],
    'a check that is none' => [['name' => 'A', 'checks' => ['seed_tube', 'paint']], 'checks.1', 'One of these checks is not known here. Choose from the list.'],
    'no name' => [['name' => ' '], 'name', 'A pack has a name of 60 characters or fewer.'],
    'a long name' => [['name' => str_repeat('n', 61)], 'name', 'A pack has a name of 60 characters or fewer.'],
    'a name that is taken' => [[], 'name', 'The pack “Tubes” already exists. Choose another name.'],
    'a name that is shipped' => [['name' => 'yearly'], 'name', 'The pack “yearly” already exists. Choose another name.'],
    'no kind' => [['name' => 'A', 'kind' => 'winter'], 'kind', 'Say which walk the pack is for: pre-season, first pass, in season, rain day or season end.'],
]);

it('proposes the pack that the planter was last walked with', function (): void {
    $planter = $this->planter();
    $this->actingAs($this->technician);
    $guide = "/api/planters/{$planter->id}/guide";
    $this->getJson($guide)->assertJsonPath('last_pack', null);
    $start = ['kind' => 'rain_day', 'order' => 'row_by_row', 'cautions_acknowledged' => true, 'checks' => ['seed_tube'], 'pack' => 'Tubes'];
    $this->postJson("/api/planters/{$planter->id}/walks", ['pack' => str_repeat('n', 61)] + $start)->assertUnprocessable()->assertJsonPath('errors.pack.0', 'A pack has a name of 60 characters or fewer.');
    $walk = $this->postJson("/api/planters/{$planter->id}/walks", $start)->assertCreated()->assertJsonPath('pack', 'Tubes')->json('id');
    $this->getJson($guide)->assertJsonPath('last_pack', 'Tubes')->assertJsonPath('walk.pack', 'Tubes');
    // With other checks it is that pack no more; with the same it still is.
    $this->patchJson("/api/walks/{$walk}", ['checks' => ['seed_tube']])->assertOk()->assertJsonPath('pack', 'Tubes');
    $this->patchJson("/api/walks/{$walk}", ['checks' => ['seed_tube', 'seed_sensor']])->assertOk()->assertJsonPath('pack', null);
    Walk::query()->whereKey($walk)->update(['pack' => 'Tubes']);
    $this->postJson("/api/walks/{$walk}/finish", ['with_unchecked' => true])->assertOk();
    Walk::query()->whereKey($walk)->update(['season' => 2020]);
    $this->getJson($guide)->assertJsonPath('walk', null)->assertJsonPath('last_pack', 'Tubes');
});

it('records the rest of a station as what it is', function (): void {
    $walk = $this->openWalk($this->planter(), ['opener_bearing']);
    $looked = ['typed' => null, 'check' => 'opener_bearing', 'result' => 'looked_sound', 'entry' => 'rest_here'];
    $without = array_filter($this->reading(1, '', $looked), fn (mixed $part): bool => $part !== null);
    $this->send($walk, $without)->assertOk()->assertJsonPath('receipts.0.outcome', 'stored');
    $this->assertDatabaseHas('readings', ['walk_id' => $walk->id, 'entry' => 'rest_here', 'result' => 'looked_sound']);
    $this->send($walk, ['id' => (string) Illuminate\Support\Str::uuid7(), 'result' => 'recorded', 'state' => 'sound'] + $without)
        ->assertOk()->assertJsonPath('receipts.0.outcome', 'refused');
});

it('tells before a walk how long the shop takes for a figure and for a look', function (): void {
    $this->travelTo('2026-03-20T12:00:00Z');
    $planter = $this->planter(['row_count' => 24]);
    $pace = fn (): ?array => $this->actingAs($this->technician)->getJson("/api/planters/{$planter->id}/guide")->assertOk()->json('pace');
    expect($pace())->toBe(['figure' => 12, 'look' => 3, 'own' => false]);

    $walk = $this->openWalk($planter, ['opener_blade_diameter', 'seed_tube']);
    expect($pace())->toBeNull();
    $at = 0;
    $take = function (int $seconds) use (&$at): array {
        return ['taken_at' => now()->subHour()->addSeconds($at += $seconds)->toIso8601ZuluString('millisecond')];
    };
    $readings = [];
    foreach (range(1, 24) as $row) {
        $readings[] = $this->reading($row, '14 3/4', $take(20));
        $readings[] = $this->state($row, 'seed_tube', 'sound', $take(6));
    }
    $this->send($walk, ...$readings)->assertOk();
    $this->postJson("/api/walks/{$walk->id}/finish", ['with_unchecked' => true])->assertOk();
    expect($pace())->toBe(['figure' => 20, 'look' => 6, 'own' => true]);

    // A planter to play with teaches nothing, and a neighbor's shop neither.
    $planter->update(['is_sample' => true]);
    expect($pace()['own'])->toBeFalse();
});
