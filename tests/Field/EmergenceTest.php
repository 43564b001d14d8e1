<?php

declare(strict_types=1);

use App\Models\Field\StandCount;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-05-10 10:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-17']);
    $this->actingAs($this->technician);
    $this->entry = fn (int $row, int $plants, array $with = []): array => $with + ['id' => (string) Str::uuid7(), 'row' => $row, 'field' => 'Kiln Piece', 'planted_on' => '2026-04-20', 'plants' => $plants, 'length' => 17.424, 'population' => 30_000, 'germination' => 0.95, 'happened_at' => '2026-05-09T09:00:00Z'];
    $this->count = fn (array ...$counts): TestResponse => $this->postJson("/api/planters/{$this->planted->id}/emergence", ['counts' => $counts]);
    $this->told = fn (): array => $this->getJson("/api/planters/{$this->planted->id}/emergence")->assertOk()->json('fields');
});

it('tells the stand against what was planted, the rows that are short, and how evenly they came', function (): void {
    foreach ([1 => 28, 2 => 27, 3 => 8, 4 => 29] as $row => $plants) {
        ($this->count)(($this->entry)($row, $plants))->assertCreated();
    }
    [$field] = ($this->told)();
    // 92 plants on four thousandths of an acre are 23,000; 28,500 were to come.
    expect($field)->toMatchArray(['field' => 'Kiln Piece', 'expected' => '28,500 plants/ac', 'share' => 0.807, 'short' => [3]])->and($field['stand'])->toStartWith('23,000 ±')
        ->and($field['rows'][2])->toMatchArray(['row' => 3, 'stand' => '8,000 plants/ac', 'plants' => 8, 'length' => '17.42 ft', 'hours' => null])->and($field['rows'][2]['against'])->toEqualWithDelta(8 / 28, 0.01);
    // By straight lines: 10% (2.8) 24 x 1.8 / 5 h after the count of 28 April, 90% (25.2) 207 x 11.2 / 14 h after that of
    // 30 April, which is 205 h; but between 24 and 255, since nobody counted between 30 April and 9 May.
    foreach ([[28, 1], [29, 6], [30, 14]] as [$day, $plants]) {
        ($this->count)(($this->entry)(1, $plants, ['happened_at' => "2026-04-{$day}T18:00:00Z"]))->assertCreated();
    }
    [$row] = ($this->told)()[0]['rows'];
    expect($row['counts'])->toBe(4)->and($row)->toMatchArray(['hours' => 205, 'least' => 24, 'most' => 255])->and($row['half'])->toEqualWithDelta(240, 12);
});

it('says whether a row came up in the hours that are good for the crop', function (): void {
    foreach ([[27, 0], [28, 2], [29, 14], [30, 20], [1, 28], [2, 28]] as [$day, $plants]) {
        ($this->count)(($this->entry)(1, $plants, ['happened_at' => sprintf('2026-%02d-%02dT18:00:00Z', $day < 3 ? 5 : 4, $day)]))->assertCreated();
    }
    $row = fn (): array => ($this->told)()[0]['rows'][0];
    // 10% (2.8) between the 28th and 29th, 90% (25.2) between the 30th and the 1st: 24 hours at least, and 72 at most.
    expect($row()['slow'])->toBeNull()->and(($this->told)()[0]['aim_hours'])->toEqual(48)->and($row()['least'])->toEqual(24)->and($row()['most'])->toEqual(72);
    $id = $this->postJson('/api/aims', ['crop' => '', 'emergence_hours' => 72])->json('id');
    expect($row()['slow'])->toBeFalse();
    $this->putJson("/api/aims/{$id}", ['crop' => '', 'emergence_hours' => 23, 'revision' => 1])->assertOk();
    expect($row()['slow'])->toBeTrue();
});

it('refuses what no count can be', function (array $with, string $field, string $said): void {
    expect(($this->count)(($this->entry)(2, 20, $with))->assertUnprocessable()->json('errors')["counts.0.{$field}"][0])->toContain($said)->and(StandCount::query()->count())->toBe(0);
})->with([
    'before planting' => [['planted_on' => '2026-05-10', 'happened_at' => '2026-05-08T09:00:00Z'], 'planted_on', 'or after'],
    'half a plant' => [['plants' => 1.5], 'plants', 'whole numbers'],
    'no length' => [['length' => 0], 'length', 'from 1/2 to 500 ft'],
    'a length in words' => [['length' => '17'], 'length', 'as a figure'],
    'more than all germinate' => [['germination' => 1.5], 'germination', '1 to 100%'],
    'no field' => [['field' => ' '], 'field', 'Name the field'],
    'a row that is none' => [['row' => 9], 'row', 'counted from 1'],
]);
