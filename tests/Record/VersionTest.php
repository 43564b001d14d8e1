<?php

declare(strict_types=1);

use App\Models\Parts\PartType;
use App\Models\Walk\Pack;
use App\Spec\CopySpecSheet;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->actingAs($this->technician);
    $workshop = $this->technician->workshop_id;
    $edit = ['name' => 'Ours', 'figures' => [], 'notch' => ['value' => '1/4', 'source' => 'manual']];
    // The address of a document, and what its form sends.
    $this->documents = [
        'planter' => function (): array {
            $planter = $this->planter(['name' => 'East', 'planned_acres' => '500.0', 'planting_start' => '2026-04-17', 'equipment' => ['drive' => 'ground', 'meter' => 'finger']]);

            return ["/api/planters/{$planter->id}", ['farm' => $planter->farm, 'name' => 'East', 'row_count' => $planter->row_count, 'spacing' => '30 in', 'spec_sheet_id' => $planter->spec_sheet_id, 'planned_acres' => 500, 'planting_start' => '2026-04-17']];
        },
        'part type' => fn (): array => ['/api/part-types/'.PartType::factory()->create(['workshop_id' => $workshop, 'name' => 'Blade', 'slots' => ['opener_blade'], 'price' => '40.00'])->id, ['name' => 'Blade', 'slots' => ['opener_blade'], 'per_row' => 2, 'price' => 41]],
        'pack' => fn (): array => ['/api/packs/'.Pack::factory()->create(['workshop_id' => $workshop])->id, ['name' => 'Short walk', 'kind' => 'pre_season', 'checks' => ['opener_blade_diameter']]],
        'spec sheet' => fn (): array => ['/api/spec-sheets/'.app(CopySpecSheet::class)($this->typicalSheet(), $this->technician)->id, $edit],
    ];
});

it('overwrites nobody who has saved meanwhile', function (string $kind): void {
    [$path, $form] = $this->documents[$kind]();
    $put = fn (array $with): TestResponse => $this->putJson($path, $with + $form);
    // What is known without a version, as of an earlier client, is taken.
    $first = $put([])->assertOk()->json('version');
    expect($first)->toBeString();
    $second = $put(['version' => $first, 'name' => 'Mine'])->assertOk()->json('version');
    expect($second)->not->toBe($first);
    // Sent again because the answer was lost: it stands already.
    $put(['version' => $first, 'name' => 'Mine'])->assertOk()->assertJsonPath('version', $second);
    $put(['version' => $first, 'name' => 'Theirs'])->assertConflict()->assertJsonPath('message', 'Someone else changed this meanwhile, so nothing was saved. Reload, then make your change.');
    $read = match ($kind) {
        'pack' => collect($this->getJson('/api/packs')->json())->firstWhere('name', 'Mine'),
        'part type' => collect($this->getJson('/api/part-types')->json())->firstWhere('name', 'Mine'),
        default => $this->getJson($path)->json(),
    };
    // What was read anew has the version that the save told of, though it came from the database.
    expect($read['name'])->toBe('Mine')->and($read['version'])->toBe($second);
    $put(['version' => $second, 'name' => 'Theirs'])->assertOk();
})->with(['planter', 'part type', 'pack', 'spec sheet']);

it('does not take what a planter learned for a change of its form', function (): void {
    $planter = $this->planter();
    $version = $this->getJson("/api/planters/{$planter->id}")->json('version');
    $planter->update(['revision' => 99]);
    expect($this->getJson("/api/planters/{$planter->id}")->json('version'))->toBe($version);
});
