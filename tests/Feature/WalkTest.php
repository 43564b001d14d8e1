<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;

it('walks a planter: start, judge, finish, reopen', function (): void {
    $planter = $this->planter(['row_count' => 2]);
    $walk = $this->openWalk($planter);
    $this->postJson("/api/planters/{$planter->id}/walks", ['kind' => 'rain_day', 'order' => 'row_by_row', 'cautions_acknowledged' => true])
        ->assertUnprocessable()->assertJsonPath('errors.planter.0', "{$planter->name} has a walk that is still open. Finish it, or carry on with it.");

    $this->send($walk,
        $this->reading(1, '14 3/8'), $this->reading(1, '14 3/4', ['side' => 'right']), $this->contact(1, '0'),
        $this->reading(2, '14 1/2'),
    )->assertOk();

    $board = $this->getJson("/api/planters/{$planter->id}/board")->assertOk()->json();
    $now = collect($board['cells'])->mapWithKeys(fn (array $cell): array => ["{$cell['row']} {$cell['check']} {$cell['side']}" => $cell['now']]);
    expect($now['1 opener_blade_diameter left'])->toMatchArray(['value' => 365.125, 'verdict' => 'change', 'reasons' => [['code' => 'under_limit', 'ref' => 368.3, 'unit' => 'mm']]])
        ->and($now['1 opener_blade_diameter right']['verdict'])->toBe('sound')
        ->and($now['1 blade_contact_length centre'])->toMatchArray(['verdict' => 'change', 'reasons' => [['code' => 'no_contact', 'ref' => 38.1, 'unit' => 'mm']]])
        ->and($now['2 opener_blade_diameter left']['verdict'])->toBe('watch')
        ->and($now['2 blade_contact_length centre'])->toBeNull();
    // Row 1: worst is "change", nothing left of the worst part. Row 2: at the limit, nothing left either, one of three read.
    expect($board['ribbon'])->toEqual([
        ['row' => 1, 'verdict' => 'change', 'life_left' => 0, 'checked' => 3],
        ['row' => 2, 'verdict' => 'watch', 'life_left' => 0, 'checked' => 1],
    ]);

    $this->postJson("/api/walks/{$walk->id}/finish")
        ->assertUnprocessable()->assertJsonPath('errors.with_unchecked.0', 'Row 2 is not fully checked. Say so to finish the walk all the same.');
    $this->postJson("/api/walks/{$walk->id}/finish", ['with_unchecked' => true])->assertOk();

    $late = $this->reading(2, '14 3/4', ['side' => 'right']);
    $this->send($walk, $late)->assertOk()
        ->assertJsonPath('receipts.0.outcome', 'refused')
        ->assertJsonPath('receipts.0.message', 'This walk is finished. Reopen it to add readings.');

    $this->postJson("/api/walks/{$walk->id}/reopen")->assertOk()->assertJsonPath('finished_at', null);
    $this->send($walk, $late)->assertOk()->assertJsonPath('receipts.0.outcome', 'stored');
});

it('shows the board of an earlier walk, of this planter only', function (): void {
    $planter = $this->planter(['planting_start' => '2025-04-20']);
    $before = $this->openWalk($planter);
    $this->send($before, $this->reading(1, '14 7/8'))->assertOk();
    $this->postJson("/api/walks/{$before->id}/finish", ['with_unchecked' => true]);
    $planter->update(['planting_start' => '2026-04-20']);

    $cell = fn (string $query): array => $this->cellAt($this->getJson("/api/planters/{$planter->id}/board{$query}")->json('cells'), 1);
    expect($this->getJson("/api/planters/{$planter->id}/board")->json('walk'))->toBeNull()
        ->and($cell('')['now'])->toBeNull()
        ->and($cell('')['last'])->toMatchArray(['value' => 377.825, 'season' => 2025])
        ->and($cell("?walk={$before->id}")['now']['value'])->toBe(377.825);
    $this->getJson("/api/planters/{$this->planter()->id}/board?walk={$before->id}")->assertNotFound();
    $this->getJson("/api/planters/{$planter->id}/board?walk=nonsense")->assertNotFound();
});

it('reopens only where no other walk is open', function (): void {
    $planter = $this->planter();
    $walk = $this->openWalk($planter);
    $this->postJson("/api/walks/{$walk->id}/finish", ['with_unchecked' => true])->assertOk();
    $this->openWalk($planter);
    $this->postJson("/api/walks/{$walk->id}/reopen")->assertUnprocessable();
});

it('keeps a correction as a new reading and shows both in the history', function (): void {
    $planter = $this->planter();
    $walk = $this->openWalk($planter);
    $this->send($walk, $this->reading(3, '14 3/8', ['taken_at' => '2026-03-01T08:00:00.000Z']))->assertOk();
    $this->send($walk, $this->reading(3, '14 5/8', ['taken_at' => '2026-03-01T08:01:00.000Z']))->assertOk();

    $history = $this->getJson("/api/planters/{$planter->id}/history?row=3&check=opener_blade_diameter&side=left")->assertOk()->json();
    expect(array_column($history, 'typed'))->toBe(['14 5/8', '14 3/8'])
        ->and(array_column($history, 'holds'))->toBe([true, false])
        ->and($history[0]['verdict'])->toBe('watch');
    $this->getJson("/api/planters/{$planter->id}/history?row=49&check=opener_blade_diameter&side=left")->assertUnprocessable();
});

it('records what is not fitted, what is taken back and what is the same as last time', function (): void {
    $planter = $this->planter(['planting_start' => '2025-04-20']);
    $before = $this->openWalk($planter);
    $this->send($before, $this->reading(1, '14 13/16'))->assertOk();
    $this->postJson("/api/walks/{$before->id}/finish", ['with_unchecked' => true])->assertOk();
    $planter->update(['planting_start' => '2026-04-20']);
    $walk = $this->openWalk($planter);

    $same = $this->reading(1, '', ['entry' => 'same_as_last']);
    $answer = $this->send($walk, $same)->assertJsonPath('receipts.0.outcome', 'stored');
    expect($this->cellAt($answer->json('news.cells'), 1)['now']['value'])->toBe(376.2375);
    $this->send($walk, $this->reading(2, '', ['entry' => 'same_as_last']))
        ->assertJsonPath('receipts.0.message', 'Row 2 has no reading from an earlier season here, so "same as last time" says nothing.');

    $this->send($walk, $this->reading(2, '', ['result' => 'not_fitted']))->assertJsonPath('news.ribbon.1.checked', 1)->assertJsonPath('news.ribbon.1.verdict', 'sound');
    $this->send($walk, $this->reading(2, '', ['result' => 'withdrawn', 'taken_at' => now()->addSecond()->toIso8601ZuluString()]))
        ->assertJsonPath('news.ribbon.1.checked', 0)->assertJsonPath('news.ribbon.1.verdict', 'unchecked');
});

it('judges by what the last season took, also when that season is corrected later', function (): void {
    $planter = $this->planter(['planting_start' => '2025-04-20']);
    $before = $this->openWalk($planter);
    // 14 11/16 after 14 15/16: another 1/4 leaves 14 7/16, under the limit of 14 1/2.
    $this->send($before, $this->reading(1, '14 15/16'))->assertOk();
    $this->postJson("/api/walks/{$before->id}/finish", ['with_unchecked' => true]);
    $planter->update(['planting_start' => '2026-04-20']);
    $walk = $this->openWalk($planter);
    $cell = $this->cellAt($this->send($walk, $this->reading(1, '14 11/16'))->json('news.cells'), 1);
    expect($cell['now'])->toMatchArray(['verdict' => 'watch', 'reasons' => [['code' => 'will_not_last', 'ref' => 368.3, 'unit' => 'mm']]])
        ->and($cell['last'])->toMatchArray(['value' => 379.4125, 'season' => 2025]);

    // Corrected to 14 3/4: only 1/16 a season.
    $this->postJson("/api/walks/{$walk->id}/finish", ['with_unchecked' => true]);
    $this->postJson("/api/walks/{$before->id}/reopen")->assertOk();
    $this->send($before, $this->reading(1, '14 3/4', ['taken_at' => now()->addSecond()->toIso8601ZuluString()]))->assertOk();
    expect(DB::table('cells')->where('walk_id', $walk->id)->value('verdict'))->toBe('sound');
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('hands out bands, doubts and orders for judging on the device, last time only where it counts', function (): void {
    $planter = $this->planter(['row_count' => 4, 'planting_start' => '2025-04-20']);
    $before = $this->openWalk($planter);
    $this->send($before, $this->reading(2, '15'), $this->contact(2, '2'))->assertOk();
    $this->postJson("/api/walks/{$before->id}/finish", ['with_unchecked' => true]);
    $planter->update(['planting_start' => '2026-04-20']);
    $walk = $this->openWalk($planter);

    $guide = $this->getJson("/api/planters/{$planter->id}/guide")->assertOk()->json();
    $blade = collect($guide['checks'])->firstWhere('key', 'opener_blade_diameter');
    expect($guide['walk']['id'])->toBe($walk->id)
        ->and(array_column($blade['bands'], 'verdict'))->toBe(['change', 'watch', 'watch', 'sound'])
        ->and($blade['bands'][1]['from'])->toBe(368.3)
        ->and($blade['doubts'])->toBe([['code' => 'larger_than_new', 'ref' => 381, 'unit' => 'mm', 'below' => null, 'above' => 381]])
        ->and($guide['row_doubts'])->toBe([]);
    // New 15, limit 14 1/2: under 14 3/4 another season like the last takes it under.
    $step = $this->cellAt($guide['steps'], 2);
    expect(end($step['bands']))->toMatchArray(['from' => 374.65, 'verdict' => 'sound'])
        ->and(array_column($step['doubts'], 'code'))->toBe(['larger_than_new', 'grown_since_last'])
        ->and($this->cellAt($guide['steps'], 1))->not->toHaveKey('bands')
        ->and($this->cellAt($guide['steps'], 2, 'blade_contact_length', 'centre'))->not->toHaveKey('bands');

    foreach ($guide['orders'] as $order) {
        sort($order);
        expect($order)->toBe(range(0, count($guide['steps']) - 1));
    }
    $snake = array_map(fn (int $at): array => $guide['steps'][$at], $guide['orders']['snake']);
    $scrapers = array_values(array_filter($snake, fn (array $step): bool => $step['check'] === 'scraper'));
    expect(array_map(fn (array $step): string => "{$step['row']} {$step['side']}", $scrapers))
        ->toBe(['1 left', '2 left', '3 left', '4 left', '4 right', '3 right', '2 right', '1 right']);
});

it('changes the order of a walk', function (): void {
    $walk = $this->openWalk($this->planter());
    $this->patchJson("/api/walks/{$walk->id}", ['order' => 'station_by_station'])->assertOk()->assertJsonPath('order', 'station_by_station');
    $this->patchJson("/api/walks/{$walk->id}", ['order' => 'snake'])->assertOk();
    $this->patchJson("/api/walks/{$walk->id}", ['order' => 'zigzag'])->assertUnprocessable();
});
