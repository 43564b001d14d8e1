<?php

declare(strict_types=1);

use App\Spec\CopySpecSheet;
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
    expect($copy)->toMatchArray(['own' => true, 'name' => 'Vacuum meter, typical values, own figures']);
    $this->postJson("/api/spec-sheets/{$typical->id}/copies")->assertJsonPath('name', 'Vacuum meter, typical values, own figures 2');

    $this->putJson("/api/spec-sheets/{$typical->id}", sheetForm($copy))
        ->assertForbidden()->assertJsonPath('message', 'Typical sheets cannot be edited. Copy it and edit your copy.');
});

it('judges open walks by new figures, and finished ones by theirs', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    [$finished, $open] = [$this->planter(['spec_sheet_id' => $sheet->id]), $this->planter(['spec_sheet_id' => $sheet->id])];
    $walks = array_map($this->openWalk(...), [$finished, $open]);
    foreach ($walks as $walk) {
        expect($this->cellAt($this->send($walk, $this->reading(1, '14 3/8'))->json('news.cells'), 1)['now']['verdict'])->toBe('change');
    }
    $this->postJson("/api/walks/{$walks[0]->id}/finish", ['with_unchecked' => true])->assertOk();

    $shown = $this->getJson("/api/spec-sheets/{$sheet->id}")->json();
    $this->putJson("/api/spec-sheets/{$sheet->id}", sheetForm($shown, ['opener_blade_diameter.limit' => '14', 'notch' => '3/8']))
        ->assertOk()->assertJsonPath('notch.value', 9.525);

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
        'notch' => ['"a bit" is not a number. Type one such as 18, 18.5 or 14 3/8.'],
        'figures.opener_blade_diameter.limit' => ['The limit has to be under the new size.'],
        'figures.blade_contact_length.high' => ['The window has to start above 0 and end above its start.'],
    ]);
    expect($this->getJson("/api/spec-sheets/{$sheet->id}")->json())->toBe($shown);
});

it('keeps each figure with the unit it was typed in', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $this->technician->update(['units' => 'mm']);
    $shown = $this->actingAs($this->technician)->getJson("/api/spec-sheets/{$sheet->id}")->json();
    $kept = $this->putJson("/api/spec-sheets/{$sheet->id}", sheetForm($shown, ['opener_blade_diameter.limit' => '365', 'tyre_pressure.target' => '4']))->assertOk()->json();
    $figures = collect($kept['checks'])->keyBy('key')->map(fn (array $check): array => $check['figures']);
    expect($figures['opener_blade_diameter']['limit'])->toMatchArray(['value' => 365, 'unit' => 'mm', 'typed' => '365 mm'])
        ->and($figures['opener_blade_diameter']['new'])->toMatchArray(['value' => 381, 'typed' => '15 in'])
        ->and($figures['tyre_pressure']['target'])->toMatchArray(['typed' => '4 bar', 'unit' => 'psi'])
        ->and($figures['tyre_pressure']['target']['value'])->toEqualWithDelta(58.015, 0.001);
});

it('says what other figures would change before they are kept, and keeps nothing', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $planter = $this->planter(['spec_sheet_id' => $sheet->id, 'name' => 'Quill Bottom']);
    $walk = $this->openWalk($planter);
    $this->send($walk, $this->reading(3, '14 3/8'), $this->reading(4, '14 7/8'))->assertOk();
    $shown = $this->getJson("/api/spec-sheets/{$sheet->id}")->json();
    $before = DB::table('cells')->get()->all();

    $this->postJson("/api/spec-sheets/{$sheet->id}/preview", sheetForm($shown, ['opener_blade_diameter.limit' => '14 1/4']))
        ->assertOk()->assertExactJson([['planter' => 'Quill Bottom', 'row' => 3, 'check' => 'opener_blade_diameter', 'side' => 'left', 'from' => 'change', 'to' => 'watch']]);
    $this->postJson("/api/spec-sheets/{$sheet->id}/preview", sheetForm($shown, ['opener_blade_diameter.limit' => '16']))->assertUnprocessable();
    expect($this->getJson("/api/spec-sheets/{$sheet->id}")->json())->toBe($shown)
        ->and(DB::table('cells')->get()->all())->toEqual($before);
});

it('goes back to the typical figures, and open walks with it', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $walk = $this->openWalk($this->planter(['spec_sheet_id' => $sheet->id]));
    $this->send($walk, $this->reading(1, '14 3/8'))->assertOk();
    $typical = $this->getJson("/api/spec-sheets/{$sheet->id}")->json();
    $this->putJson("/api/spec-sheets/{$sheet->id}", sheetForm($typical, ['name' => 'Ours', 'opener_blade_diameter.limit' => '14']))->assertOk();
    expect(DB::table('cells')->value('verdict'))->toBe('sound');

    $this->postJson("/api/spec-sheets/{$sheet->id}/reset")->assertOk()->assertJsonPath('name', 'Ours')->assertJsonPath('checks', $typical['checks']);
    expect(DB::table('cells')->value('verdict'))->toBe('change');
    $this->postJson("/api/spec-sheets/{$this->typicalSheet()->id}/reset")->assertForbidden();
});

it('gives an older copy the checks that have come since, and leaves its own figures', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $old = $sheet->sheet;
    $old['checks'] = ['opener_blade_diameter' => ['rule' => 'wear_limit', 'sides' => ['left', 'right']] + $old['checks']['opener_blade_diameter']];
    $old['checks']['opener_blade_diameter']['figures']['limit']['value'] = '14 in';
    $sheet->update(['sheet' => $old]);
    app(App\Spec\LoadTypicalSheets::class)();

    $checks = $sheet->refresh()->read()->checks;
    expect(count($checks))->toBe(count($this->typicalSheet()->read()->checks))
        ->and($checks['opener_blade_diameter']->figures['limit']->typed)->toBe('14 in');
});

it('has planters go by the typical figures as they come with another version', function (): void {
    $planter = $this->planter(['planned_acres' => 200]);
    $this->record($planter, $this->fitting(1, '2025-05-01'))->assertCreated();
    $sheet = $this->typicalSheet();
    $left = fn (): float => $this->forecastOf($planter, 1)['left_m']['p50'];
    $now = $left();
    $older = $sheet->sheet;
    $older['checks']['opener_blade_diameter']['figures']['life']['value'] = '250 mi';
    $sheet->update(['sheet' => $older]);
    $this->artisan('ustrel:rebuild');
    expect($left())->toEqualWithDelta($now / 2, 2);

    expect($this->artisan('ustrel:load-sheets'))->toBe(0);
    expect($left())->toEqualWithDelta($now, 2)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
    // Nothing is drawn anew where nothing has changed.
    $revision = $planter->refresh()->revision;
    $this->artisan('ustrel:load-sheets');
    expect($planter->refresh()->revision)->toBe($revision);
});

it('says on which side the thread is left-hand, and the torque as the manual has it', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $planter = $this->planter(['spec_sheet_id' => $sheet->id]);
    $told = fn (): array => Illuminate\Support\Arr::only($this->actingAs($this->technician)->getJson("/api/planters/{$planter->id}/guide")->json('planter.spec_sheet'), ['left_hand_thread', 'torque']);
    expect($told())->toBe(['left_hand_thread' => 'left', 'torque' => '']);

    $form = sheetForm($this->getJson("/api/spec-sheets/{$sheet->id}")->json());
    $this->putJson("/api/spec-sheets/{$sheet->id}", $form + ['threads' => ['left_hand' => 'right', 'torque' => '120 ft lb']])->assertOk()->assertJson(['left_hand_thread' => 'right', 'torque' => '120 ft lb']);
    expect($told())->toBe(['left_hand_thread' => 'right', 'torque' => '120 ft lb']);
    // Left out they stay; empty they are unknown.
    $this->putJson("/api/spec-sheets/{$sheet->id}", $form)->assertOk()->assertJson(['left_hand_thread' => 'right', 'torque' => '120 ft lb']);
    $this->putJson("/api/spec-sheets/{$sheet->id}", $form + ['threads' => ['left_hand' => '', 'torque' => '']])->assertOk()->assertJson(['left_hand_thread' => null, 'torque' => '']);
    foreach ([['left_hand', 'centre', 'Say which side has the left-hand thread: left or right.'], ['torque', str_repeat('9', 61), 'A torque is written in 60 characters or fewer, such as 120 ft lb.']] as [$field, $value, $message]) {
        $errors = $this->putJson("/api/spec-sheets/{$sheet->id}", $form + ['threads' => [$field => $value] + ['left_hand' => 'left', 'torque' => '']])->assertUnprocessable()->json('errors');
        expect($errors["threads.{$field}"][0])->toBe($message);
    }
    // One without the other would empty it unsaid.
    $this->putJson("/api/spec-sheets/{$sheet->id}", $form + ['threads' => ['torque' => '90 Nm']])->assertUnprocessable()
        ->assertJsonPath('errors.threads.0', 'Say both the side of the left-hand thread and the torque; either may be empty.');
});
