<?php

declare(strict_types=1);

/** @return array<string, mixed> */
function planterForm(array $fields = []): array
{
    return $fields + [
        'farm' => 'Hask Hill Farm', 'name' => 'Hask Hill', 'row_count' => 8, 'spacing' => '36 in',
        'spec_sheet_id' => test()->typicalSheet()->id, 'planting_start' => '2027-04-20',
    ];
}

it('makes a planter and reads it back', function (): void {
    $made = $this->actingAs($this->technician)
        ->postJson('/api/planters', planterForm(['sections' => [2, 4, 2]]))->assertCreated()->json();
    $this->getJson("/api/planters/{$made['id']}")->assertOk()->assertJson([
        'name' => 'Hask Hill', 'row_count' => 8, 'spacing_mm' => 914.4, 'spacing_typed' => '36 in',
        'sections' => [2, 4, 2], 'season' => 2027, 'planting_start' => '2027-04-20',
        'spec_sheet' => ['type' => 'vacuum'],
    ]);
});

it('reads a bare spacing in the units of the person', function (): void {
    $this->technician->update(['units' => 'mm']);
    $this->actingAs($this->technician)->postJson('/api/planters', planterForm(['spacing' => '508']))
        ->assertCreated()->assertJsonPath('spacing_mm', 508);
});

it('says what is wrong with a planter', function (string $field, mixed $value, string $message): void {
    $this->actingAs($this->technician)
        ->postJson('/api/planters', planterForm([$field => $value]))
        ->assertUnprocessable()->assertJsonPath("errors.{$field}.0", $message);
})->with([
    ['row_count', 0, 'A planter has 1 to 48 rows, a drill up to 64.'],
    ['row_count', 49, 'A planter has 1 to 48 rows, a drill up to 64.'],
    ['row_count', 'many', 'A planter has 1 to 48 rows, a drill up to 64.'],
    ['spacing', '0', 'Row spacing has to be more than 0, such as 30 in or 76 cm.'],
    ['spacing', '81 in', 'Row spacing over 80 in (203 cm) is not a planter\'s. Check the figure and its unit.'],
    ['spacing', '30 1/', '"30 1/": the fraction needs its bottom number, such as 14 3/8.'],
    ['sections', [4, 5], 'The sections add up to 9 rows, but the planter has 8.'],
    ['spec_sheet_id', 999999, 'Choose one of the spec sheets in the list.'],
    ['planting_start', 'in spring', 'Write planting start as a date from 2000 to 2100.'],
]);

it('takes a drill of up to 64 rows, read on every one of them', function (): void {
    $form = planterForm(['spec_sheet_id' => $this->typicalSheet('single_disc_drill')->id, 'row_count' => 65, 'spacing' => '7 1/2 in']);
    $this->actingAs($this->technician)->postJson('/api/planters', $form)
        ->assertUnprocessable()->assertJsonPath('errors.row_count.0', 'A drill has 1 to 64 rows.');
    $planter = App\Models\Planter::query()->findOrFail($this->postJson('/api/planters', ['row_count' => 64] + $form)->assertCreated()->json('id'));
    $walk = $this->openWalk($planter, ['opener_blade_diameter', 'press_wheel']);
    $this->send($walk, $this->reading(64, '17 1/8', ['side' => 'centre']), $this->state(64, 'press_wheel', 'change', ['side' => 'centre', 'chips' => ['loose']]))
        ->assertOk()->assertJsonPath('receipts.0.outcome', 'stored')->assertJsonPath('receipts.1.outcome', 'stored');
    $this->getJson("/api/planters/{$planter->id}/board")->assertOk()->assertJsonPath('ribbon.63.verdict', 'change');
    $this->getJson("/api/planters/{$planter->id}/rows/64")->assertOk();
});

it('asks of fertilizer, liquid and electronics only what is carried, and of a band on both sides where both are fed', function (): void {
    $checks = function (array $equipment): array {
        $made = $this->actingAs($this->technician)->postJson('/api/planters', planterForm(['name' => uniqid(), 'equipment' => $equipment]))->assertCreated();

        return collect($this->getJson("/api/planters/{$made->json('id')}/guide")->json('checks'))->mapWithKeys(fn (array $check): array => [$check['key'] => $check['sides']])->all();
    };
    expect($checks(['fertilizer' => true, 'liquid' => false]))->toHaveKey('fertilizer_bearing')->not->toHaveKey('fertilizer_pump')->toMatchArray(['fertilizer_band_offset' => ['centre']])
        ->and($checks(['fertilizer' => true, 'fertilizer_both_sides' => true]))->toHaveKey('fertilizer_pump')->toMatchArray(['fertilizer_band_depth' => ['left', 'right']])
        ->and($checks(['liquid' => true]))->not->toHaveKey('fertilizer_bearing')->toHaveKey('fertilizer_pump')
        ->and($checks(['electronics' => false]))->not->toHaveKey('monitor_on')->toHaveKey('lights');
});

it('keeps two planters of one farm apart', function (): void {
    $this->actingAs($this->technician)->postJson('/api/planters', planterForm())->assertCreated();
    $this->postJson('/api/planters', planterForm(['name' => 'hask hill']))
        ->assertUnprocessable()->assertJsonValidationErrors('name');
});

it('brings an open walk along when the planter changes', function (): void {
    $planter = $this->planter(['row_count' => 6]);
    $walk = $this->openWalk($planter);
    $this->send($walk, $this->reading(5, '14 3/4'))->assertOk();
    $form = planterForm(['name' => $planter->name, 'farm' => $planter->farm]);

    $this->putJson("/api/planters/{$planter->id}", ['row_count' => 4] + $form)
        ->assertUnprocessable()->assertJsonPath('errors.row_count.0', 'The open walk has readings up to row 5, so the planter cannot be cut to 4 rows now. Finish the walk first.');
    expect($planter->refresh()->row_count)->toBe(6);

    // A drill has one blade and no contact: the walk asks for a third of the readings from now on.
    $drill = $this->typicalSheet('single_disc_drill')->id;
    $this->putJson("/api/planters/{$planter->id}", ['row_count' => 5, 'spec_sheet_id' => $drill] + $form)->assertOk();
    $guide = $this->getJson("/api/walks/{$walk->id}")->assertJsonPath('walk.places', 5)->json();
    expect(collect($guide['steps'])->where('check', 'opener_blade_diameter'))->toHaveCount(5)
        ->and(collect($guide['steps'])->where('check', 'blade_contact_length'))->toHaveCount(0);
});

it('says how many pairs of tires there can be, and asks for each of them', function (mixed $pairs, bool $isTaken): void {
    $planter = $this->planter();
    $form = ['farm' => $planter->farm, 'name' => $planter->name, 'row_count' => $planter->row_count, 'spacing' => '30 in', 'spec_sheet_id' => $planter->spec_sheet_id];
    $answer = $this->actingAs($this->technician)->putJson("/api/planters/{$planter->id}", $form + ['equipment' => ['meter' => 'vacuum', 'tyre_pairs' => $pairs]]);
    if ($isTaken) {
        $answer->assertOk()->assertJsonPath('equipment.tyre_pairs', $pairs);
        $asked = collect($this->getJson("/api/planters/{$planter->id}/guide")->json('steps'))->filter(fn (array $step): bool => str_starts_with($step['check'], 'tyre_pressure'))->count();
        expect($asked)->toBe($pairs === null ? 1 : 2 * $pairs);
    } else {
        $answer->assertUnprocessable()->assertJsonValidationErrors(['equipment' => 'from 1 to 4']);
    }
})->with([[null, true], [1, true], [4, true], [0, false], [5, false], ['2', false], [1.5, false]]);
