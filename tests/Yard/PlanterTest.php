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
    ['row_count', 0, 'A planter has 1 to 48 rows.'],
    ['row_count', 49, 'A planter has 1 to 48 rows.'],
    ['row_count', 'many', 'A planter has 1 to 48 rows.'],
    ['spacing', '0', 'Row spacing has to be more than 0, such as 30 in or 76 cm.'],
    ['spacing', '81 in', 'Row spacing over 80 in (203 cm) is not a planter\'s. Check the figure and its unit.'],
    ['spacing', '30 1/', '"30 1/" is not finished: the fraction needs its bottom figure, such as 14 3/8.'],
    ['sections', [4, 5], 'The sections add up to 9 rows, but the planter has 8.'],
    ['spec_sheet_id', 999999, 'Choose one of the spec sheets in the list.'],
    ['planting_start', 'in spring', 'Write planting start as a date from 2000 to 2100.'],
]);

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
