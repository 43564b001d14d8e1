<?php

declare(strict_types=1);

use Illuminate\Support\Str;

it('judges a run by what is good for its seed', function (): void {
    $this->actingAs($this->technician);
    $planter = $this->planter(['planting_start' => now()->addMonth()->toDateString(), 'row_count' => 2]);
    $this->postJson('/api/seed/lots', ['name' => 'Flat 9', 'crop' => 'Popcorn', 'shape' => 'Flat', 'seeds_per_unit' => 80_000])->assertCreated();
    // 30 wrong of 500 are 94%: 91.5 to 95.8%.
    $this->postJson("/api/planters/{$planter->id}/bench", ['id' => (string) Str::uuid7(), 'row' => 1, 'stage' => 'final', 'places' => 500, 'skips' => 15, 'doubles' => 15, 'seed' => 'Flat 9', 'happened_at' => now()->subHour()->toIso8601ZuluString()])->assertCreated();
    $run = fn (): array => $this->getJson("/api/planters/{$planter->id}/bench")->assertOk()->json('runs.0');
    $found = fn (): array => array_column(array_filter($run()['board'], static fn (array $of): bool => $of['state'] !== null), 'check');
    // Under the typical 98% by more than luck: the disc is to be looked at.
    expect($run()['aim'])->toBe(0.98)->and($found())->toBe(['meter_disc']);
    $id = $this->postJson('/api/aims', ['crop' => 'popcorn', 'size' => 'flat', 'singulation' => 0.95])->json('id');
    expect($run()['aim'])->toBe(0.95)->and($found())->toBe([]);
    $this->putJson("/api/aims/{$id}", ['crop' => 'popcorn', 'size' => 'flat', 'singulation' => 0.96, 'revision' => 1])->assertOk();
    expect($found())->toBe(['meter_disc']);
    // What is good for another crop is nothing to it.
    $this->putJson("/api/aims/{$id}", ['crop' => 'milo', 'size' => 'flat', 'singulation' => 0.95, 'revision' => 2])->assertOk();
    expect($run()['aim'])->toBe(0.98);
});
