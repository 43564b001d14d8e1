<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

it('walks a planter: start, judge, finish, reopen', function (): void {
    $planter = $this->planter(['row_count' => 2]);
    $walk = $this->openWalk($planter);
    $this->postJson("/api/planters/{$planter->id}/walks", ['kind' => 'rain_day', 'order' => 'row_by_row', 'cautions_acknowledged' => true])
        ->assertUnprocessable()->assertJsonPath('errors.planter.0', "{$planter->name} has a walk that is still open. Finish it, or continue it.");

    $this->send($walk,
        $this->reading(1, '14 3/8'), $this->reading(1, '14 3/4', ['side' => 'right']), $this->contact(1, '0'),
        $this->reading(2, '14 1/2'),
    )->assertOk();

    $board = $this->getJson("/api/planters/{$planter->id}/board")->assertOk()->json();
    $now = collect($board['cells'])->mapWithKeys(fn (array $cell): array => ["{$cell['row']} {$cell['check']} {$cell['side']}" => $cell['now'] ?? null]);
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
        ->assertUnprocessable()->assertJsonPath('errors.with_unchecked.0', 'Row 2 is not fully checked. Confirm to finish the walk anyway.');
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

it('keeps a board until something of it changes, and says last time where a place is not found sound', function (): void {
    $planter = $this->planter(['planting_start' => '2025-04-20']);
    $before = $this->openWalk($planter);
    $this->send($before, $this->reading(1, '14 7/8'), $this->reading(2, '14 7/8'), $this->reading(3, '14 7/8'))->assertOk();
    $this->postJson("/api/walks/{$before->id}/finish", ['with_unchecked' => true]);
    $planter->update(['planting_start' => '2026-04-20']);
    $walk = $this->openWalk($planter);
    $this->send($walk, $this->reading(1, '14 13/16'), $this->reading(2, '14 3/8'))->assertOk();

    $board = fn (string $version = ''): TestResponse => $this->withHeader('If-None-Match', $version)->getJson("/api/planters/{$planter->id}/board");
    $first = $board()->assertOk();
    expect(collect($first->json('cells'))->whereNotNull('last')->pluck('last.value', 'row')->all())->toBe([2 => 377.825, 3 => 377.825]);
    $version = (string) $first->headers->get('ETag');
    $board($version)->assertStatus(304);
    expect($board()->getContent())->toBe($first->getContent());

    // Each of these changes something that a board shows.
    $changes = [
        fn () => $this->send($walk, $this->reading(3, '14 3/8')),
        fn () => $this->record($planter, $this->fitting(2, '', ['happened_at' => now()->toIso8601ZuluString()])),
        fn () => $this->patchJson('/api/workshop', ['watch_chance' => 0.35]),
        fn () => $this->postJson("/api/walks/{$walk->id}/finish", ['with_unchecked' => true]),
    ];
    foreach ($changes as $change) {
        $change()->assertSuccessful();
        $next = $board($version)->assertOk();
        expect($next->headers->get('ETag'))->not->toBe($version);
        $version = (string) $next->headers->get('ETag');
    }
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
    $this->getJson("/api/planters/{$planter->id}/history?row=65&check=opener_blade_diameter&side=left")->assertUnprocessable();
    $this->getJson("/api/planters/{$planter->id}/history?row=3&check=opener_blade_color&side=left")->assertUnprocessable()->assertJsonValidationErrorFor('check');
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

/** Eight rows whose blades have lost about 1/8 in on 100 acres last season, and 300 acres to come. */
function seasonBehind(object $test): array
{
    $planter = $test->planter(['planting_start' => now()->subYear()->addDays(20)->toDateString()]);
    $test->record($planter, ...array_map(fn (int $row): array => $test->fitting($row, now()->subYear()->subDays(5)->toDateString()), range(1, 8)))->assertCreated();
    $test->logAcres($planter, now()->subYear()->addDays(20)->toDateString(), 100)->assertCreated();
    $before = $test->openWalk($planter);
    $test->send($before, ...array_map(fn (int $row): array => $test->reading($row, '14 7/8', ['taken_at' => now()->subDays(3)->toIso8601ZuluString()]), range(1, 7)))->assertOk();
    DB::table('walks')->where('id', $before->id)->update(['started_at' => now()->subDays(4)]);
    $test->postJson("/api/walks/{$before->id}/finish", ['with_unchecked' => true])->assertOk();
    $planter->update(['planting_start' => now()->addDays(20)->toDateString(), 'planned_acres' => 300]);

    return [$planter->refresh(), $before->refresh()];
}

it('watches a blade that is not likely to last the season, and judges anew when the record changes', function (): void {
    [$planter, $before] = seasonBehind($this);
    $this->logAcres($planter, now()->subDay()->toDateString(), 100)->assertCreated();
    $walk = $this->openWalk($planter);
    // About 1/8 to 3/16 a hundred acres, 200 more to come: 14 21/32 ends near 14 11/32. The rest of the rows say the same.
    $cell = $this->cellAt($this->send($walk, $this->reading(1, '14 21/32'))->json('news.cells'), 1);
    expect($cell['now'])->toMatchArray(['verdict' => 'watch', 'reasons' => [['code' => 'will_not_last', 'ref' => 20, 'unit' => 'percent']]])
        ->and($cell['last'])->toMatchArray(['value' => 377.825]);
    $forecast = $this->forecastOf($planter, 1);
    expect($forecast['chance'])->toBeGreaterThan(0.5)->and($forecast['thin'])->toBeFalse()
        ->and($forecast['left_acres']['p50'])->toBeBetween(110, 200)
        ->and($forecast['due_on'])->toBeNull();

    // Only 20 acres to come: it will do.
    $this->putJson("/api/planters/{$planter->id}", [
        'farm' => $planter->farm, 'name' => $planter->name, 'row_count' => 8, 'spacing' => '30 in', 'spec_sheet_id' => $planter->spec_sheet_id,
        'planting_start' => $planter->planting_start->iso, 'planned_acres' => 120, 'planting_days' => 10,
    ])->assertOk();
    expect(DB::table('cells')->where('walk_id', $walk->id)->value('verdict'))->toBe('sound')
        ->and($this->forecastOf($planter, 1)['chance'])->toBeLessThan(0.2);

    // It had worn three times as much by last season after all.
    $this->postJson("/api/walks/{$walk->id}/finish", ['with_unchecked' => true]);
    $this->postJson("/api/walks/{$before->id}/reopen")->assertOk();
    $this->send($before, ...array_map(fn (int $row): array => $this->reading($row, '14 5/8', ['confirmed' => true, 'taken_at' => now()->subDays(2)->toIso8601ZuluString()]), range(1, 7)))->assertOk();
    expect(DB::table('cells')->where('walk_id', $walk->id)->value('verdict'))->toBe('watch')
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('hands out bands, doubts and orders for judging on the device, the season only where something is known of it', function (): void {
    [$planter] = seasonBehind($this);
    $walk = $this->openWalk($planter);

    $guide = $this->getJson("/api/planters/{$planter->id}/guide")->assertOk()->json();
    $blade = collect($guide['checks'])->firstWhere('key', 'opener_blade_diameter');
    expect($guide['walk']['id'])->toBe($walk->id)
        ->and(array_column($blade['bands'], 'verdict'))->toBe(['change', 'watch', 'watch', 'sound'])
        ->and($blade['bands'][1]['from'])->toBe(368.3)
        ->and($blade['doubts'])->toBe([['code' => 'larger_than_new', 'ref' => 381, 'unit' => 'mm', 'below' => null, 'above' => 381]])
        ->and($guide['row_doubts'])->toBe([]);
    $step = $this->cellAt($guide['steps'], 2);
    $codes = array_map(fn (array $band): string => end($band['reasons'])['code'], $step['bands']);
    expect($codes)->toBe(['under_limit', 'will_not_last', 'will_not_last', 'will_not_last', 'above_limit'])
        ->and(end($step['bands'])['from'])->toBeBetween(372, 380)
        ->and(array_column($step['doubts'], 'code'))->toBe(['larger_than_new', 'grown_since_last'])
        // Where nothing was ever read, the nominal life says something of the season.
        ->and($this->cellAt($guide['steps'], 2, 'arm_play_side', 'centre'))->toHaveKey('bands')
        ->and($this->cellAt($guide['steps'], 2, 'depth_stop_notch', 'centre'))->not->toHaveKey('bands');

    foreach ($guide['orders'] as $order) {
        sort($order);
        expect($order)->toBe(range(0, count($guide['steps']) - 1));
    }
    $snake = array_map(fn (int $at): array => $guide['steps'][$at], $guide['orders']['snake']);
    $scrapers = array_values(array_filter($snake, fn (array $step): bool => $step['check'] === 'scraper'));
    expect(array_map(fn (array $step): string => "{$step['row']} {$step['side']}", $scrapers))
        ->toBe([...array_map(fn (int $row): string => "{$row} left", range(1, 8)), ...array_map(fn (int $row): string => "{$row} right", range(8, 1))]);
});

it('changes the order of a walk', function (): void {
    $walk = $this->openWalk($this->planter());
    $this->patchJson("/api/walks/{$walk->id}", ['order' => 'station_by_station'])->assertOk()->assertJsonPath('order', 'station_by_station');
    $this->patchJson("/api/walks/{$walk->id}", ['order' => 'snake'])->assertOk();
    $this->patchJson("/api/walks/{$walk->id}", ['order' => 'zigzag'])->assertUnprocessable();
});
