<?php

declare(strict_types=1);

use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

it('keeps a reading of every kind, judged', function (): void {
    $planter = $this->planter(['equipment' => ['drive' => 'ground']]);
    $walk = $this->openWalk($planter, null);
    $news = $this->send($walk,
        $this->state(1, 'gauge_touch', 'gap', ['side' => 'left']),
        $this->state(1, 'arm_bolts', 'watch', ['chips' => ['cracked', 'loose', 'cracked']]),
        $this->state(1, 'meter_cleaned', 'no'),
        $this->reading(1, '0', ['check' => 'inner_shims', 'side' => 'right']),
        $this->reading(1, '5.16', ['check' => 'chain_length', 'side' => 'centre']),
        $this->reading(0, '-0.5°', ['check' => 'toolbar_pitch', 'side' => 'centre']),
        $this->reading(0, '4 bar', ['check' => 'tyre_pressure', 'side' => 'centre']),
    )->assertOk();
    expect(array_column($news->json('receipts'), 'outcome'))->toBe(array_fill(0, 7, 'stored'));

    $now = fn (int $row, string $check, string $side = 'centre'): array => $this->cellAt($news->json('news.cells'), $row, $check, $side)['now'];
    expect($now(1, 'gauge_touch', 'left'))->toMatchArray(['state' => 'gap', 'value' => null, 'verdict' => 'change'])
        ->and($now(1, 'arm_bolts'))->toMatchArray(['state' => 'watch', 'chips' => ['loose', 'cracked'], 'verdict' => 'failed'])
        ->and(array_column($now(1, 'arm_bolts')['reasons'], 'code'))->toBe(['chip.loose', 'chip.cracked'])
        ->and($now(1, 'meter_cleaned')['verdict'])->toBe('watch')
        ->and($now(1, 'inner_shims', 'right'))->toMatchArray(['value' => 0, 'verdict' => 'watch'])
        ->and($now(1, 'chain_length')['reasons'])->toEqual([['code' => 'over_stretch_limit', 'ref' => 3, 'unit' => 'percent']])
        ->and($now(0, 'toolbar_pitch'))->toMatchArray(['value' => -0.5, 'verdict' => 'change'])
        ->and($now(0, 'tyre_pressure')['value'])->toBe(58.015)
        ->and($news->json('news.whole_planter'))->toMatchArray(['row' => 0, 'verdict' => 'change', 'checked' => 2])
        ->and($news->json('news.ribbon.0.verdict'))->toBe('failed');
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('refuses a reading of the wrong kind, side or reason in plain words', function (array $reading, string $message): void {
    $walk = $this->openWalk($this->planter(), null);
    $reading = array_filter($reading + $this->reading(3, ''), fn (mixed $value): bool => $value !== '');
    $this->send($walk, $reading)->assertOk()
        ->assertJsonPath('receipts.0.outcome', 'refused')->assertJsonPath('receipts.0.message', $message);
    expect(DB::table('readings')->count())->toBe(0);
})->with([
    [['check' => 'gauge_touch', 'typed' => '14'], '"Gauge wheel touch" on row 3 is a touch: gap, light or tight.'],
    [['check' => 'gauge_touch', 'state' => 'yes'], '"Gauge wheel touch" on row 3 is a touch: gap, light or tight.'],
    [['check' => 'opener_blade_diameter', 'state' => 'sound'], '"Opener blade diameter" on row 3 is a length. Write one such as 14 3/8.'],
    [['check' => 'inner_shims', 'typed' => '2.5'], '"2.5" is not a whole number.'],
    [['check' => 'inner_shims', 'side' => 'centre', 'typed' => '2'], 'Row 3 does not have "Inner shims" on that side.'],
    [['check' => 'air_at_meter', 'side' => 'centre', 'typed' => '18 acres'], '"18 acres" has a unit this field does not take. It takes in h2o, mbar, kpa.'],
    [['check' => 'scraper', 'state' => 'change', 'chips' => ['sad']], '"sad" is no reason for "Scraper". There are: worn, missing, spring or plate broken, bent.'],
    [['check' => 'scraper', 'state' => 'change', 'chips' => 'worn'], '"worn" is no reason for "Scraper". There are: worn, missing, spring or plate broken, bent.'],
    [['check' => 'lights', 'side' => 'centre', 'state' => 'yes'], '"Lights" belongs to the whole planter, not to row 3. Send it as row 0.'],
    [['check' => 'scraper', 'result' => 'looked_sound'], 'Rest of row and rest of station go with looked_sound, and only they do.'],
    [['check' => 'coulter_rim', 'side' => 'centre', 'state' => 'sound'], 'Row 3 has no such check on this planter\'s spec sheet (Coulter rim).'],
]);

it('judges a row by the others, and again when the others come in', function (): void {
    $walk = $this->openWalk($this->planter(), null);
    $notch = fn (int $row, string $typed): array => $this->reading($row, $typed, ['check' => 'depth_stop_notch', 'side' => 'centre', 'confirmed' => true]);
    $verdict = fn (int $row): string => DB::table('cells')->where('row_number', $row)->value('verdict');
    $this->send($walk, $notch(1, '5'), $notch(2, '8'))->assertOk();
    expect($verdict(2))->toBe('sound');
    // With a third row there is a median of 5: row 2 stands out, though it was not sent again.
    $cells = $this->send($walk, $notch(3, '5'))->json('news.cells');
    expect($verdict(2))->toBe('change')
        ->and($this->cellAt($cells, 2, 'depth_stop_notch', 'centre')['now']['verdict'])->toBe('change')
        ->and(DB::table('walk_rows')->where('row_number', 2)->value('verdict'))->toBe('change');
    expect($this->artisan('ustrel:rebuild'))->toBe(0);

    $index = $this->getJson("/api/walks/{$walk->id}/depth-index")->assertOk()->json();
    // Three lifts of eight say nothing of where to set the handles.
    expect($index)->toMatchArray(['median' => null, 'rows' => [], 'missing' => [4, 5, 6, 7, 8]]);
    $this->send($walk, $notch(4, '5'), $notch(5, '5'), $notch(6, '5'))->assertOk();
    $index = $this->getJson("/api/walks/{$walk->id}/depth-index")->json();
    expect($index)->toMatchArray(['median' => 5, 'spread_before' => 3, 'spread_after' => 0, 'notch_mm' => 6.35, 'missing' => [7, 8]])
        // It lifts 3 higher than the rest: so much higher it is set, or its scale brought down.
        ->and([$index['school'], array_column($index['rows'], 'move', 'row')])->toBe(['handle', [1 => 0, 2 => 3, 3 => 0, 4 => 0, 5 => 0, 6 => 0]]);
    $this->patchJson('/api/workshop', ['depth_school' => 'reindex'])->assertOk()->assertJsonPath('depth_school', 'reindex');
    expect(array_column($this->getJson("/api/walks/{$walk->id}/depth-index")->json('rows'), 'move', 'row'))->toBe([1 => 0, 2 => -3, 3 => 0, 4 => 0, 5 => 0, 6 => 0]);
    $this->patchJson('/api/workshop', ['depth_school' => 'lever'])->assertUnprocessable()->assertJsonPath('errors.depth_school.0', 'Choose handle, to carry the difference in the handle, or reindex, to set the stop\'s own scale.');
});

it('records what was only looked over as that, and takes it back', function (): void {
    $walk = $this->openWalk($this->planter(['row_count' => 1]));
    $glance = fn (string $check, string $side): array => array_diff_key($this->reading(1, '', ['check' => $check, 'side' => $side, 'result' => 'looked_sound', 'entry' => 'rest_of_row']), ['typed' => 1]);
    $answer = $this->send($walk, $glance('opener_blade_diameter', 'left'), $glance('opener_blade_diameter', 'right'), $glance('blade_contact_length', 'centre'))->assertOk();
    expect($this->cellAt($answer->json('news.cells'), 1)['now'])->toMatchArray(['result' => 'looked_sound', 'value' => null, 'verdict' => 'sound', 'reasons' => [['code' => 'looked_sound', 'ref' => null, 'unit' => null]]])
        ->and($answer->json('news.ribbon.0.checked'))->toBe(3);
    $later = now()->addSecond()->toIso8601ZuluString();
    $this->send($walk, ['id' => (string) Str::uuid7(), 'result' => 'withdrawn', 'entry' => 'typed', 'taken_at' => $later] + $glance('opener_blade_diameter', 'left'))
        ->assertJsonPath('news.ribbon.0.checked', 2);
    // What was not measured is no "last time".
    expect(DB::table('cells')->where('result', 'looked_sound')->whereNotNull('value')->count())->toBe(0);
});

it('asks only what the planter carries, and refuses blades that the guard stops', function (): void {
    $form = ['farm' => 'Pell', 'name' => 'Garden', 'row_count' => 2, 'spacing' => '30', 'spec_sheet_id' => $this->typicalSheet()->id];
    $this->actingAs($this->technician)->postJson('/api/planters', $form + ['equipment' => ['heavy_blades' => true]])
        ->assertUnprocessable()->assertJsonPath('errors.equipment.0', 'Heavier blades with large rivets do not turn against the plain seed tube guard. Fit the guard with clearance, or plain blades.');
    $this->postJson('/api/planters', $form + ['equipment' => ['drive' => 'horse']])->assertUnprocessable();
    $id = $this->postJson('/api/planters', $form + ['equipment' => ['heavy_blades' => true, 'clearance_guard' => true, 'coulter' => true, 'closing_wheels' => 'spiked_steel']])
        ->assertCreated()->assertJsonPath('equipment.drive', 'electric')->json('id');

    $checks = collect($this->getJson("/api/planters/{$id}/guide")->json('checks'));
    expect($checks->pluck('key'))->toContain('coulter_diameter')->not->toContain('chain_length', 'fertilizer_boot')
        ->and($checks->firstWhere('key', 'closing_gap')['marks'])->toBe(['low' => 22.225, 'high' => 28.575]);
});

it('starts a walk with a device\'s own id, once, after the cautions', function (): void {
    $planter = $this->planter();
    $start = ['id' => (string) Str::uuid7(), 'kind' => 'pre_season', 'order' => 'snake', 'checks' => ['scraper', 'lights'], 'started_at' => '2026-03-01T09:00:00Z'];
    $post = fn (array $with): Illuminate\Testing\TestResponse => $this->actingAs($this->technician)->postJson("/api/planters/{$planter->id}/walks", $with + $start);
    $post([])->assertUnprocessable()->assertJsonPath('errors.cautions_acknowledged.0', 'Read and confirm the lock-up cautions, then start the walk.');
    $read = ['cautions_acknowledged' => true];
    $post($read + ['checks' => []])->assertJsonPath('errors.checks.0', 'Choose at least one station.');
    $post($read + ['checks' => ['coulter_rim']])->assertJsonPath('errors.checks.0', 'A check was chosen that this planter does not have.');
    $post($read)->assertCreated()->assertJsonPath('id', $start['id'])->assertJsonPath('places', 8 * 2 + 1)->assertJsonPath('started_at', '2026-03-01T09:00:00.000Z');
    $post($read)->assertOk()->assertJsonPath('id', $start['id']);
    expect(DB::table('walks')->count())->toBe(1);
});

it('counts only what is walked today, and keeps what was read elsewhere', function (): void {
    $planter = $this->planter(['row_count' => 2]);
    $walk = $this->openWalk($planter, ['scraper', 'lights']);
    $this->send($walk, $this->state(1, 'scraper', 'sound', ['side' => 'left']), $this->state(1, 'scraper', 'sound', ['side' => 'right']), $this->reading(1, '14 3/8'))->assertOk();
    $this->postJson("/api/walks/{$walk->id}/finish")->assertUnprocessable()
        ->assertJsonPath('errors.with_unchecked.0', 'Row 2 is not fully checked. Confirm to finish the walk anyway. The whole-planter checks are not all done. Confirm to finish the walk anyway.');
    expect($this->getJson("/api/planters/{$planter->id}/board")->json('ribbon.0'))->toMatchArray(['verdict' => 'change', 'checked' => 2]);

    $this->patchJson("/api/walks/{$walk->id}", ['checks' => ['opener_blade_diameter']])->assertOk()->assertJsonPath('places', 4);
    expect($this->getJson("/api/planters/{$planter->id}/board")->json('ribbon.0.checked'))->toBe(1);
    $this->patchJson("/api/walks/{$walk->id}", ['checks' => []])->assertUnprocessable();
});

it('tells a second device what is new, and when to get everything again', function (): void {
    $planter = $this->planter();
    $walk = $this->openWalk($planter);
    $this->travelTo(now()->startOfSecond());
    $this->send($walk, $this->reading(1, '14 3/4'))->assertOk();
    $guide = $this->getJson("/api/walks/{$walk->id}")->json();
    $this->travel(5)->seconds();
    $this->send($walk, $this->reading(2, '14 3/8'))->assertOk();

    $news = $this->getJson("/api/walks/{$walk->id}/news?since={$guide['as_of']}")->assertOk()->json();
    $measured = array_filter($news['cells'], fn (array $cell): bool => $cell['check'] === 'opener_blade_diameter');
    expect(array_column($measured, 'row'))->toBe([1, 2])
        ->and($news['version'])->toBe($guide['version'])
        ->and($news['ribbon'][1]['verdict'])->toBe('change');
    $later = $this->getJson("/api/walks/{$walk->id}/news?since={$news['as_of']}")->json('cells');
    expect(collect($later)->where('check', 'opener_blade_diameter')->pluck('row')->all())->toBe([2])
        ->and($this->getJson("/api/walks/{$walk->id}/news?since=yesterday")->json('cells'))->toHaveCount(count($guide['steps']));

    $planter->update(['equipment' => ['coulter' => true]]);
    $form = ['farm' => $planter->farm, 'name' => $planter->name, 'row_count' => 8, 'spacing' => '30', 'spec_sheet_id' => $planter->spec_sheet_id, 'equipment' => ['coulter' => true]];
    $this->putJson("/api/planters/{$planter->id}", $form)->assertOk();
    expect($this->getJson("/api/walks/{$walk->id}/news?since={$news['as_of']}")->json('version'))->not->toBe($guide['version']);
});

it('tells the next time what comes in while it gathers what is new', function (string $ask): void {
    $planter = $this->planter();
    $walk = $this->openWalk($planter);
    $this->travelTo(now()->startOfSecond());
    $this->send($walk, $this->reading(1, '14 3/4'))->assertOk();
    $since = $this->getJson("/api/walks/{$walk->id}")->json('as_of');
    // Two more readings are kept right after the board was read.
    $isIn = false;
    DB::listen(function (QueryExecuted $query) use (&$isIn, $walk): void {
        if ($isIn || ! str_contains($query->sql, 'from "cells"')) {
            return;
        }
        $isIn = true;
        foreach ([2, 3] as $row) {
            $this->travel(1)->seconds();
            $this->send($walk, $this->reading($row, '14 3/8'))->assertOk();
        }
    });
    $news = $this->getJson(sprintf($ask, $walk->id, $planter->id, $since))->assertOk()->json();
    expect($isIn)->toBeTrue();
    $told = $this->getJson("/api/walks/{$walk->id}/news?since={$news['as_of']}")->json('cells');
    expect(collect($told)->where('check', 'opener_blade_diameter')->pluck('row')->unique()->values()->all())->toContain(2, 3);
})->with(['the news' => ['/api/walks/%s/news?since=%3$s'], 'the walk' => ['/api/walks/%s'], 'the guide' => ['/api/planters/%2$s/guide']]);

it('works the toolbar level out, or says which figure is missing', function (): void {
    $planter = $this->planter();
    $level = fn (string $query): Illuminate\Testing\TestResponse => $this->actingAs($this->technician)->getJson("/api/planters/{$planter->id}/toolbar-level?{$query}");
    // 0.597 degrees nose-down; to the middle of the range, 0.65 degrees: 160 x (0.0113444 + 0.0104167) = 3.482 in up at the hitch.
    $answer = $level('front=20&rear=20.5&span=48&hitch=160')->assertOk()->assertJsonPath('pitch', -0.597)->assertJsonPath('verdict', 'change');
    expect($answer->json('hitch_move_mm'))->toEqualWithDelta(88.44, 0.01);
    $level('pitch=0.5')->assertOk()->assertJsonPath('verdict', 'sound')->assertJsonPath('hitch_move_mm', null);
    $level('front=20&rear=20.5')->assertUnprocessable()->assertJsonPath('errors.span.0', 'Type a number.');
    $level('front=20&rear=40&span=10')->assertUnprocessable()->assertJsonPath('errors.span.0', 'The two points have to lie further apart than their heights differ. Check the three figures.');
    $level('pitch=steep')->assertUnprocessable()->assertJsonPath('errors.pitch.0', '"steep" is not a number. Type one such as 18, 18.5 or 14 3/8.');
});

it('does not take one person\'s readings under another\'s name', function (): void {
    $walk = $this->openWalk($this->planter());
    $colleague = $this->technicianOf('Other');
    $colleague->update(['workshop_id' => $this->technician->workshop_id]);
    $this->switchTo($colleague)->withHeader('X-Ustrel-User', (string) $this->technician->id)
        ->postJson("/api/walks/{$walk->id}/readings", ['readings' => [$this->reading(1, '14 3/4')]])->assertUnauthorized();
    expect(DB::table('readings')->count())->toBe(0);
    $this->switchTo($colleague)->withHeader('X-Ustrel-User', (string) $colleague->id)
        ->postJson("/api/walks/{$walk->id}/readings", ['readings' => [$this->reading(1, '14 3/4')]])->assertOk();
});

it('prints findings and a blank sheet', function (): void {
    $planter = $this->planter(['row_count' => 14]);
    $walk = $this->openWalk($planter, null);
    $this->send($walk, $this->reading(1, '14 3/8'), $this->state(13, 'seed_tube', 'watch', ['chips' => ['curled_lip']]))->assertOk();
    foreach (["/api/walks/{$walk->id}/sheet.pdf", "/api/planters/{$planter->id}/blank.pdf"] as $address) {
        $pdf = $this->get($address)->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent();
        expect($pdf)->toStartWith('%PDF-')->and(preg_match_all('/\/Type \/Page\b/', $pdf))->toBeGreaterThan(2);
    }
});

it('keeps the record of a row: figures and trouble of all seasons, not what was merely sound', function (): void {
    $planter = $this->planter(['planting_start' => '2025-04-20']);
    $before = $this->openWalk($planter, null);
    $this->send($before, $this->reading(3, '14 7/8'), $this->state(3, 'seed_tube', 'sound'), $this->reading(4, '14 3/4'))->assertOk();
    $this->postJson("/api/walks/{$before->id}/finish", ['with_unchecked' => true])->assertOk();
    $planter->update(['planting_start' => '2026-04-20']);
    $this->send($this->openWalk($planter, null), $this->reading(3, '14 3/8'), $this->state(3, 'seed_tube', 'watch', ['chips' => ['dog_ear']]))->assertOk();

    $readings = $this->getJson("/api/planters/{$planter->id}/rows/3")->assertOk()->json('readings');
    $told = array_map(fn (array $one): array => [$one['season'], $one['check'], $one['verdict']], $readings);
    expect($told)->toEqualCanonicalizing([
        [2026, 'opener_blade_diameter', 'change'], [2026, 'seed_tube', 'watch'], [2025, 'opener_blade_diameter', 'sound'],
    ]);
    $this->getJson("/api/planters/{$planter->id}/rows/9")->assertNotFound();
});

it('has no depth index before a notch is read', function (): void {
    $walk = $this->openWalk($this->planter(), null);
    $this->getJson("/api/walks/{$walk->id}/depth-index")->assertOk()->assertJsonPath('median', null)->assertJsonPath('rows', []);
});

it('finds packs of shims that are not alike, on both sides, until they are', function (): void {
    $walk = $this->openWalk($this->planter(['row_count' => 2]), ['inner_shims', 'blade_contact_length']);
    $shims = fn (string $side, string $typed, int $row = 1): array => $this->reading($row, $typed, ['check' => 'inner_shims', 'side' => $side]);
    $told = fn (): array => collect($this->getJson("/api/planters/{$walk->planter_id}/board")->json('cells'))
        ->filter(fn (array $cell): bool => $cell['check'] === 'inner_shims' && isset($cell['now']))
        ->map(fn (array $cell): string => "{$cell['row']} {$cell['side']} {$cell['now']['verdict']} ".($cell['now']['reasons'][0]['code'] ?? ''))->values()->all();
    $this->send($walk, $shims('left', '3'), $shims('left', '3', 2))->assertOk();
    expect($told())->toBe(['1 left sound enough_left', '2 left sound enough_left']);
    $this->send($walk, $shims('right', '2'), $shims('right', '3', 2))->assertOk();
    expect($told())->toBe(['1 left change unequal_sides', '1 right change unequal_sides', '2 left sound enough_left', '2 right sound enough_left']);
    $this->send($walk, ['taken_at' => now()->addSecond()->toIso8601ZuluString('millisecond')] + $shims('left', '2'))->assertOk();
    expect($told())->toBe(['1 left sound enough_left', '1 right sound enough_left', '2 left sound enough_left', '2 right sound enough_left']);
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('judges the notch that is set now by what the row carries, whichever of the two is read last', function (): void {
    $planter = $this->planter(['row_count' => 5]);
    $walk = $this->openWalk($planter, null);
    $notch = fn (int $row, string $check, string $typed): array => $this->reading($row, $typed, ['check' => $check, 'side' => 'centre', 'confirmed' => true]);
    $verdicts = function () use ($planter): array {
        $cells = $this->getJson("/api/planters/{$planter->id}/board")->json('cells');

        return array_map(fn (int $row): string => $this->cellAt($cells, $row, 'depth_set_notch', 'centre')['now']['verdict'], range(1, 5));
    };
    $this->send($walk, ...array_map(fn (int $row): array => $notch($row, 'depth_set_notch', $row === 4 ? '6' : '5'), range(1, 5)))->assertOk();
    expect($verdicts())->toBe(['sound', 'sound', 'sound', 'watch', 'sound']);

    // Row 3 lifts 3 notches higher than the rest: set like them it plants shallow. Row 4 is right where it is.
    $this->send($walk, ...array_map(fn (int $row, string $lifts): array => $notch($row, 'depth_stop_notch', $lifts), range(1, 5), ['5', '5', '8', '6', '5']))->assertOk();
    expect($verdicts())->toBe(['sound', 'sound', 'change', 'sound', 'sound']);
    $lifts = fn (): string => $this->cellAt($this->getJson("/api/planters/{$planter->id}/board")->json('cells'), 3, 'depth_stop_notch', 'centre')['now']['verdict'];
    // What a row carries is no fault of its own.
    expect($lifts())->toBe('sound');
    $index = $this->getJson("/api/walks/{$walk->id}/depth-index")->json();
    expect($index['set'][2])->toEqual(['row' => 3, 'notch' => 5, 'aim' => 8])->and($index['blades'])->toBe([]);
    $bands = $this->getJson("/api/planters/{$planter->id}/guide")->json('row_bands');
    expect(collect($bands['depth_set_notch 3'])->firstWhere('verdict', 'sound')['reasons'][0])->toMatchArray(['code' => 'at_aim', 'ref' => 8]);

    // A shop that re-indexes its stops sets all alike; and what hangs on it is drawn as a rebuild would.
    $this->patchJson('/api/workshop', ['depth_school' => 'reindex'])->assertOk();
    expect($verdicts())->toBe(['sound', 'sound', 'sound', 'watch', 'sound'])
        ->and($lifts())->toBe('change')
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('says how rows with other blades are to be set, as long as nobody has measured where the wheels lift', function (): void {
    $planter = $this->planter(['row_count' => 3]);
    $walk = $this->openWalk($planter, null);
    $blades = fn (int $row, string $typed): array => array_map(fn (string $side): array => $this->reading($row, $typed, ['side' => $side, 'confirmed' => true]), ['left', 'right']);
    // 1/2 in lost is 1/4 in of depth: one notch.
    $this->send($walk, ...$blades(1, '14 1/2'), ...$blades(2, '15'), ...$blades(3, '14 1/2'))->assertOk();
    expect($this->getJson("/api/walks/{$walk->id}/depth-index")->json('blades'))->toEqual([['row' => 2, 'move' => -1]]);
});

it('keeps to which side the closing wheels are off, from a device and from a file', function (): void {
    $planter = $this->planter(['row_count' => 3]);
    $walk = $this->openWalk($planter, null);
    $off = fn (int $row, string $typed): array => $this->reading($row, $typed, ['check' => 'closing_centring', 'side' => 'centre']);
    $this->send($walk, $off(1, '3/8 L'), $off(2, '5 mm right'), $off(3, '1/8'))->assertOk();
    $cells = $this->getJson("/api/planters/{$planter->id}/board")->json('cells');
    $now = fn (int $row): array => $this->cellAt($cells, $row, 'closing_centring', 'centre')['now'];
    expect($now(1))->toMatchArray(['value' => 9.525, 'chips' => ['off_left'], 'verdict' => 'change'])
        ->and(array_column($now(1)['reasons'], 'code'))->toBe(['off_centre', 'chip.off_left'])
        ->and($now(2))->toMatchArray(['value' => 5, 'chips' => ['off_right']])
        ->and($now(3)['chips'] ?? [])->toBe([]);
    // A side where none can be said is no figure.
    $this->send($walk, $this->reading(1, '14 3/8 L'))->assertOk()->assertJsonPath('receipts.0.outcome', 'refused');
    $this->send($walk, $off(1, 'L'))->assertOk()->assertJsonPath('receipts.0.outcome', 'refused');
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
});
