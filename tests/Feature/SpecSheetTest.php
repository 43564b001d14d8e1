<?php

declare(strict_types=1);

use App\Actions\Spec\CopySpecSheet;
use Illuminate\Support\Facades\DB;

/** @return array<string, mixed> the sheet as its editor sends it, with some figures changed */
function sheetForm(array $sheet, array $changes = []): array
{
    $figures = [];
    foreach ($sheet['checks'] as $check) {
        foreach ($check['figures'] as $name => $figure) {
            $value = $changes["{$check['key']}.{$name}"] ?? $figure['typed'];
            $figures[$check['key']][$name] = ['value' => $value, 'source' => $figure['source']];
        }
    }

    return [
        'name' => $changes['name'] ?? $sheet['name'],
        'notch' => ['value' => $changes['notch'] ?? $sheet['notch']['typed'], 'source' => $sheet['notch']['source']],
        'figures' => $figures,
    ];
}

it('copies a typical sheet, and leaves the typical one as it is', function (): void {
    $typical = $this->typicalSheet();
    $copy = $this->actingAs($this->technician)->postJson("/api/spec-sheets/{$typical->id}/copies")->assertCreated()->json();
    expect($copy)->toMatchArray(['own' => true, 'name' => 'Double-disc unit, vacuum meter, own figures']);
    $this->postJson("/api/spec-sheets/{$typical->id}/copies")->assertJsonPath('name', 'Double-disc unit, vacuum meter, own figures 2');

    $this->putJson("/api/spec-sheets/{$typical->id}", sheetForm($copy))
        ->assertForbidden()->assertJsonPath('message', 'Typical sheets stay as they are. Copy it, and edit your copy.');
});

it('judges open walks by new figures, and finished ones by theirs', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    [$finished, $open] = [$this->planter(['spec_sheet_id' => $sheet->id]), $this->planter(['spec_sheet_id' => $sheet->id])];
    $walks = array_map($this->openWalk(...), [$finished, $open]);
    foreach ($walks as $walk) {
        $this->send($walk, $this->reading(1, '14 3/8'))->assertJsonPath('cells.0.now.verdict', 'change');
    }
    $this->postJson("/api/walks/{$walks[0]->id}/finish", ['with_unchecked' => true])->assertOk();

    $shown = $this->getJson("/api/spec-sheets/{$sheet->id}")->json();
    $this->putJson("/api/spec-sheets/{$sheet->id}", sheetForm($shown, ['opener_blade_diameter.limit' => '14', 'notch' => '3/8']))
        ->assertOk()->assertJsonPath('notch.mm', 9.525);

    $verdicts = DB::table('cells')->pluck('verdict', 'walk_id');
    expect($verdicts[$walks[0]->id])->toBe('change')->and($verdicts[$walks[1]->id])->toBe('sound');
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('marks every figure that cannot stand, and keeps the sheet as it was', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $shown = $this->actingAs($this->technician)->getJson("/api/spec-sheets/{$sheet->id}")->json();
    $errors = $this->putJson("/api/spec-sheets/{$sheet->id}", sheetForm($shown, [
        'opener_blade_diameter.limit' => '15 1/2', 'blade_contact_length.high' => '1', 'notch' => 'a bit',
    ]))->assertUnprocessable()->json('errors');
    expect($errors)->toBe([
        'notch' => ['"a bit" is not a length. Write one such as 14 3/8, 14.375 in or 365 mm.'],
        'figures.opener_blade_diameter.limit' => ['The limit has to be under the new size.'],
        'figures.blade_contact_length.high' => ['The window has to start above 0 and end above its start.'],
    ]);
    expect($this->getJson("/api/spec-sheets/{$sheet->id}")->json())->toBe($shown);
});

it('keeps each figure with the unit it was typed in', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $this->technician->update(['units' => 'mm']);
    $shown = $this->actingAs($this->technician)->getJson("/api/spec-sheets/{$sheet->id}")->json();
    $kept = $this->putJson("/api/spec-sheets/{$sheet->id}", sheetForm($shown, ['opener_blade_diameter.limit' => '365']))->assertOk()->json();
    expect($kept['checks'][0]['figures']['limit'])->toMatchArray(['mm' => 365, 'typed' => '365 mm'])
        ->and($kept['checks'][0]['figures']['new'])->toMatchArray(['mm' => 381, 'typed' => '15 in']);
});
