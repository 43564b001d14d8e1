<?php

declare(strict_types=1);

use App\Models\Work\Joint;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->travelTo('2026-03-01 10:00:00');
    $this->actingAs($this->technician);
    $this->planted = $this->planter(['row_count' => 8, 'planting_start' => '2026-04-17']);
    $this->keep = fn (array $variants, int $seen = 0, string $step = 'gauge_wheel') => $this->putJson("/api/planters/{$this->planted->id}/joints/{$step}", ['variants' => $variants, 'revision' => $seen]);
});

it('keeps what holds a joint, row by row, over the one that was seen', function (): void {
    $all = ['rows' => [], 'pin' => '1/2 bolt', 'tools' => '3/4 wrench'];
    $some = ['rows' => [3, 4], 'pin' => 'clevis pin', 'tools' => 'drift'];
    ($this->keep)([$some, $all])->assertOk()->assertJsonPath('revision', 1)->assertJsonPath('variants', [$some, $all]);
    ($this->keep)([$some, $all])->assertOk()->assertJsonPath('revision', 1);
    ($this->keep)([$all])->assertConflict()->assertJsonPath('changed', ['variants']);
    $joint = Joint::query()->firstOrFail();
    expect([$joint->at(3), $joint->at(1)])->toBe(['clevis pin; drift', '1/2 bolt; 3/4 wrench'])
        ->and($this->getJson("/api/planters/{$this->planted->id}/joints")->json('0'))->toMatchArray(['step' => 'gauge_wheel', 'held' => ['1/2 bolt; 3/4 wrench', '1/2 bolt; 3/4 wrench', 'clevis pin; drift', 'clevis pin; drift', ...array_fill(0, 4, '1/2 bolt; 3/4 wrench')]]);
    ($this->keep)([['rows' => [3], 'pin' => 'clevis pin']], 1)->assertOk();
    expect(Joint::query()->firstOrFail()->at(1))->toBe('');
});

it('refuses what no joint can be', function (array $variants, string $at, string $said): void {
    expect(($this->keep)($variants)->assertUnprocessable()->json('errors')[$at][0])->toBe($said)->and(Joint::query()->count())->toBe(0);
})->with([
    [[['rows' => [9], 'pin' => 'pin']], 'variants', 'This planter has rows 1 to 8.'], [[['rows' => [1]]], 'variants.0.pin', 'Say what holds it, or which tools open it.'],
    [[['rows' => [1, 2], 'pin' => 'a'], ['rows' => [2], 'pin' => 'b']], 'variants', 'Each row has one pin: a row is in two lines, or two lines are for all rows.'],
    [[['pin' => 'a'], ['pin' => 'b']], 'variants', 'Each row has one pin: a row is in two lines, or two lines are for all rows.'], [[['pin' => str_repeat('x', 121)]], 'variants.0.pin', 'Write the pin and the tools in 120 characters or fewer each.'],
]);

it('knows no joint that nothing is taken off at', fn () => ($this->keep)([['pin' => 'a']], 0, 'nothing')->assertNotFound());

it('prints pin and tools on the card of the row', function (): void {
    ($this->keep)([['rows' => [3], 'pin' => 'clevis pin', 'tools' => 'drift'], ['rows' => [], 'pin' => 'plain bolt', 'tools' => '']])->assertOk();
    $walk = $this->openWalk($this->planted, ['opener_bearing']);
    foreach ([3, 5] as $row) {
        $at = ['side' => 'left', 'taken_at' => now()->toIso8601ZuluString('millisecond')];
        $this->send($walk, $this->state($row, 'opener_bearing', 'failed', ['chips' => ['seized']] + $at))->assertJsonPath('receipts.0.outcome', 'stored');
        $this->decide($walk, ['id' => (string) Str::uuid7(), 'row' => $row, 'check' => 'opener_bearing', 'side' => 'left', 'action' => 'change', 'words' => 'so', 'happened_at' => $at['taken_at']])->assertJsonPath('receipts.0.message', null);
    }
    expect($this->printed("/api/planters/{$this->planted->id}/work/cards.pdf"))->toContain('Gauge wheel: clevis pin; drift')->toContain('Gauge wheel: plain bolt');
});
