<?php

declare(strict_types=1);

use App\Models\Workshop;
use Illuminate\Support\Facades\DB;

beforeEach(function (): void {
    $this->planter = $this->planter();
    $this->actingAs($this->technician);
});

it('weighs fields anew by the shop\'s own figures, but not those with a figure of their own', function (): void {
    $this->logAcres($this->planter, '2025-04-20', 100, ['soil' => 'sand', 'downforce' => 'heavy'])->assertCreated();
    $this->logAcres($this->planter, '2025-04-21', 100, ['soil' => 'sand', 'severity' => 0.8])->assertCreated();
    $this->logAcres($this->planter, '2025-04-22', 100)->assertCreated();
    $severities = fn (): array => array_column($this->acresOf($this->planter)['lines'], 'severity');
    // Newest first; 1.3 x 1.15.
    expect($severities())->toEqual([1, 0.8, 1.5]);

    $this->patchJson('/api/workshop', ['ground_factors' => ['soil' => ['sand' => 1.6]]])->assertOk();
    // 1.6 x 1.15, and what is logged from now on goes by it, too.
    $this->logAcres($this->planter, '2025-04-23', 100, ['soil' => 'sand'])->assertCreated();
    expect($severities())->toEqual([1.6, 1, 0.8, 1.84])
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);

    $this->patchJson('/api/workshop', ['ground_factors' => []])->assertOk();
    expect($severities())->toEqual([1.3, 1, 0.8, 1.5]);
});

it('learns how far the shop measures off from all its planters, and lets it say so itself', function (): void {
    // Blades read to and fro about their line by 3 mm or so: far worse than the 1 mm that is taken at first.
    $other = $this->planter(['name' => 'Other']);
    foreach ([$this->planter, $other] as $planter) {
        $this->record($planter, ...array_map(fn (int $row): array => $this->fitting($row, '2023-03-01', ['size' => '15 in']), range(1, 8)))->assertCreated();
        foreach (['2023' => ['376 mm', '381 mm'], '2024' => ['379 mm', '372 mm'], '2025' => ['368 mm', '374 mm']] as $year => $typed) {
            $this->logAcres($planter, "{$year}-04-20", 300)->assertCreated();
            $walk = $this->openWalk($planter);
            $taken = "{$year}-07-01T10:00:00Z";
            DB::table('walks')->where('id', $walk->id)->update(['started_at' => "{$year}-07-01T09:00:00Z", 'season' => $year]);
            $this->send($walk, ...array_map(fn (int $row): array => $this->reading($row, $typed[$row % 2], ['taken_at' => $taken, 'confirmed' => true]), range(1, 8)))->assertOk();
            $this->postJson("/api/walks/{$walk->id}/finish", ['with_unchecked' => true])->assertOk();
        }
    }
    $blades = fn (): array => collect($this->getJson('/api/workshop')->json('measuring'))->firstWhere('check', 'opener_blade_diameter');
    expect($blades()['learned'])->toBeGreaterThan(2.0)->toBeLessThan(4.5)->and($blades()['own'])->toBeNull();
    $width = function (): float {
        $forecast = $this->forecastOf($this->planter, 1);

        return $forecast['left_m']['p90'] - $forecast['left_m']['p10'];
    };
    // The walks were put into the past by hand.
    $this->artisan('ustrel:rebuild');
    expect(DB::table('learned_sums')->update(['squares' => DB::raw('squares + 1')]))->toBeGreaterThan(0)
        ->and($this->artisan('ustrel:rebuild'))->toBe(1)->and($this->artisan('ustrel:rebuild'))->toBe(0);
    $learned = $width();

    $this->patchJson('/api/workshop', ['measuring_sd' => ['opener_blade_diameter' => 0.4]])->assertOk();
    expect($blades()['own'])->toBe(0.4)->and($width())->toBeLessThan($learned)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
    $this->patchJson('/api/workshop', ['measuring_sd' => []])->assertOk();
    expect($width())->toBe($learned);
});

it('refuses figures that cannot be, says which, and keeps the rest as it was', function (array $sent, string $field, string $words): void {
    $before = Workshop::query()->findOrFail($this->technician->workshop_id)->toArray();
    $this->patchJson('/api/workshop', $sent + ['watch_chance' => 0.4])->assertUnprocessable()->assertJsonValidationErrors([$field => $words]);
    expect(Workshop::query()->findOrFail($this->technician->workshop_id)->toArray())->toBe($before);
})->with([
    'too harsh' => [['ground_factors' => ['soil' => ['sand' => 2.5]]], 'ground_factors.soil.sand', 'from 0.5 (half as fast'],
    'as text' => [['ground_factors' => ['soil' => ['sand' => '1.5']]], 'ground_factors.soil.sand', 'from 0.5'],
    'no such ground' => [['ground_factors' => ['soil' => ['moon' => 1.5]]], 'ground_factors.soil', 'their own cases'],
    'no list' => [['ground_factors' => 'sand'], 'ground_factors', 'their own cases'],
    'better than anybody' => [['measuring_sd' => ['guard_width' => 0.01]], 'measuring_sd.guard_width', 'from 0.3 to 10 mm'],
    'of what does not wear' => [['measuring_sd' => ['lights' => 1]], 'measuring_sd', 'opener_blade_diameter'],
]);

it('sets a part of the shop\'s figures over what was seen of it, and names what somebody else has set there meanwhile', function (): void {
    $seen = $this->getJson('/api/workshop')->json('versions');
    $crew = [['name' => 'Wren', 'hours' => [8, 8, 8, 8, 8, 0, 0]]];
    $this->patchJson('/api/workshop', ['shop_rate' => 60, 'crew' => $crew, 'measuring_sd' => ['guard_width' => 0.5], 'seen' => $seen])->assertOk();
    // The answer was lost: the same once more is no conflict.
    $this->patchJson('/api/workshop', ['shop_rate' => 60, 'crew' => $crew, 'seen' => $seen])->assertOk();
    // Another part of them, looked at before: nobody has touched it.
    $this->patchJson('/api/workshop', ['ground_factors' => ['soil' => ['sand' => 1.6]], 'seen' => $seen])->assertOk();
    $this->patchJson('/api/workshop', ['shop_rate' => 75, 'stop_cost' => 200, 'measuring_sd' => ['guard_width' => 0.8], 'seen' => $seen])
        ->assertConflict()->assertJsonPath('changed', ['shop_rate', 'measuring_sd']);
    $now = $this->getJson('/api/workshop');
    expect($now->json('shop_rate'))->toEqual(60)->and($now->json('stop_cost'))->toBeNull();
    $this->patchJson('/api/workshop', ['shop_rate' => 75, 'stop_cost' => 200, 'seen' => $now->json('versions')])->assertOk()->assertJsonPath('shop_rate', 75);
});
