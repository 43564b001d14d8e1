<?php

declare(strict_types=1);

use App\Models\Wear\RenewedPart;
use Illuminate\Http\UploadedFile;

/** Half past eleven on the evening of the 20th in the west; in Greenwich it is the 21st. */
beforeEach(function (): void {
    $this->actingAs($this->technician)->patchJson('/api/workshop', ['time_zone' => 'America/Chicago'])->assertOk()->assertJsonPath('time_zone', 'America/Chicago');
    $this->planter = $this->planter(['planting_start' => '2026-04-25', 'planned_acres' => 160]);
    $this->travelTo('2026-04-21 04:30:00');
});

it('lives in the workshop\'s day', function (): void {
    $this->getJson('/api/me')->assertJsonPath('time_zone', 'America/Chicago');
    expect($this->getJson("/api/planters/{$this->planter->id}")->json('days_to_planting'))->toBe(5)
        ->and($this->getJson('/api/yard')->json('0.days_to_planting'))->toBe(5);
    $this->logAcres($this->planter, '2026-04-20', 40)->assertCreated();
    $this->logAcres($this->planter, '2026-04-21', 40)->assertUnprocessable()->assertJsonValidationErrors(['day' => 'Tue, Apr 21 is still to come']);
    $walk = $this->openWalk($this->planter);
    $this->record($this->planter, $this->fitting(1, '', ['happened_at' => now()->toIso8601ZuluString()]))->assertCreated();
    expect(RenewedPart::query()->where('check_key', 'opener_blade_diameter')->firstOrFail()->reasons[0]['on'])->toBe('2026-04-20');
    $this->record($this->planter, $this->fitting(2, '2026-04-21', ['happened_at' => '2026-04-21T12:00:00Z']))->assertUnprocessable()->assertJsonValidationErrors(['events.0.happened_at' => 'not in the future']);
    $answer = $this->post("/api/planters/{$this->planter->id}/imports", ['file' => UploadedFile::fake()->createWithContent('a.csv', "Date,Field,Acres\n2026-04-20,A,5\n2026-04-21,B,5\n"), 'kind' => 'acres', 'mode' => 'good']);
    expect($answer->json('result'))->toMatchArray(['kept' => 1, 'bad' => 1])
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('counts a day\'s acres from its end there, and not in Greenwich', function (): void {
    $this->record($this->planter, $this->fitting(1, '2026-03-01'))->assertCreated();
    $this->logAcres($this->planter, '2026-04-20', 80)->assertCreated();
    $walk = $this->openWalk($this->planter);
    // Read in the evening after planting: by the rule before that day's acres.
    $this->send($walk, $this->reading(1, '14 15/16'))->assertOk();
    $chart = $this->getJson("/api/planters/{$this->planter->id}/wear-chart?row=1&check=opener_blade_diameter&side=left")->assertOk()->json();
    expect($chart['points'][0]['at_m'])->toBe(0)->and($chart['now_m'] / 1609.344)->toEqualWithDelta(33, 0.01);
    // In Greenwich it is the next day, and they count.
    $this->patchJson('/api/workshop', ['time_zone' => 'UTC'])->assertOk();
    $chart = $this->getJson("/api/planters/{$this->planter->id}/wear-chart?row=1&check=opener_blade_diameter&side=left")->json();
    expect($chart['points'][0]['at_m'] / 1609.344)->toEqualWithDelta(33, 0.01)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});
