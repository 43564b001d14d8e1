<?php

declare(strict_types=1);

use App\Models\SpecSheet;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-17']);
    $this->walk = $this->openWalk($this->planted);
    $this->actingAs($this->technician);
    $this->ask = fn (array $body): TestResponse => $this->postJson("/api/planters/{$this->planted->id}/diagnosis", $body);
    $this->read = fn (string $check, array $with): TestResponse => $this->postJson("/api/walks/{$this->walk->id}/readings", ['readings' => [$with + ['id' => (string) Str::uuid7(), 'row' => 3, 'check' => $check, 'side' => 'centre', 'taken_at' => '2026-04-19T08:00:00Z']]])->assertOk();
    $this->ranked = fn (array $body): array => array_column(($this->ask)($body)->assertOk()->json('causes'), null, 'key');
});

it('ranks by what is seen, and by what the row\'s own record says', function (): void {
    $before = ($this->ranked)(['row' => 3, 'seen' => ['skips']]);
    expect(array_key_first($before))->toBe('air_low')->and($before['seal_worn']['record'])->toBe([]);
    // The seal was found worn on this row, and the air is right.
    ($this->read)('meter_seal', ['state' => 'change', 'chips' => ['worn']]);
    ($this->read)('air_hose', ['state' => 'sound']);
    $after = ($this->ranked)(['row' => 3, 'seen' => ['skips']]);
    expect(array_key_first($after))->toBe('seal_worn')->and($after['seal_worn'])->toMatchArray(['because' => ['skips'], 'record' => ['meter_seal']])->and($after['seal_worn']['looks'][0])->toMatchArray(['check' => 'meter_seal', 'figure' => false])
        ->and($after['seal_worn']['chance'])->toBeGreaterThan(2 * $before['seal_worn']['chance'])
        // Another row is none the worse for it.
        ->and(($this->ranked)(['row' => 4, 'seen' => ['skips']])['seal_worn']['record'])->toBe([]);
});

it('names nothing that the row unit does not have', function (): void {
    $plate = $this->planter(['spec_sheet_id' => SpecSheet::query()->whereNull('workshop_id')->where('type', 'plate')->firstOrFail()->id, 'equipment' => ['meter' => 'plate', 'drive' => 'ground']]);
    $keys = array_column($this->postJson("/api/planters/{$plate->id}/diagnosis", ['row' => 3, 'seen' => ['skips']])->assertOk()->json('causes'), 'key');
    expect($keys)->not->toContain('air_low')->not->toContain('seal_worn')->toContain('cell_plugged');
});

it('goes by the last dig of the row where nothing else is said, and says what to look at first', function (): void {
    $dig = fn (int $row, string $depth, array $seen): array => ['id' => (string) Str::uuid7(), 'pass' => 1, 'row' => $row, 'target' => '2', 'depths' => [$depth, $depth, $depth, $depth, $depth], 'spacings' => [], 'seen' => $seen, 'happened_at' => '2026-04-20T09:00:00Z'];
    $this->postJson("/api/planters/{$this->planted->id}/first-pass/digs", ['digs' => [$dig(1, '2', ['v']), $dig(3, '1 1/2', ['w']), $dig(5, '2', ['v'])]])->assertCreated();
    $told = ($this->ask)(['row' => 3])->assertOk()->json();
    expect($told['seen'])->toBe(['shallow', 'w'])->and($told['absent'])->toContain('open')->and($told['causes'][0]['key'])->toBe('contact_short')->and($told['first'])->not->toBeNull();
    // Nothing is amiss with a row that is as it should be, nor with one that nobody has dug.
    expect(($this->ask)(['row' => 1])->json('causes'))->toBe([])->and(($this->ask)(['row' => 2])->json('causes'))->toBe([]);
});

it('refuses what nobody can see', function (array $body, string $field): void {
    ($this->ask)($body)->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    'a row that is none' => [['row' => 40, 'seen' => ['skips']], 'row'],
    'no row' => [['seen' => ['skips']], 'row'],
    'no such thing' => [['row' => 1, 'seen' => ['rust']], 'seen'],
    'a text for a list' => [['row' => 1, 'seen' => 'skips'], 'seen'],
]);
