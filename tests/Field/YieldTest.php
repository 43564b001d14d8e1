<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-05-20 10:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-17']);
    $this->actingAs($this->technician);
    $this->curve = fn (array $with): TestResponse => $this->putJson('/api/workshop/yield-curve', $with + ['crop' => 'Popcorn', 'unit' => 'bu', 'price' => 4.5, 'points' => '20,000 150; 30,000 190; 36,000 202']);
    $this->fields = fn (): array => $this->getJson("/api/planters/{$this->planted->id}/emergence")->assertOk()->json();
    $count = ['field' => 'Long Field', 'planted_on' => '2026-04-20', 'length' => 50, 'population' => 34_000, 'germination' => 0.95, 'happened_at' => '2026-05-18T10:00:00Z'];
    // 50 ft of 30 in row: 1/348.48 of an acre. 80 and 75 plants are 27,007 an acre; row 3 has 2.
    $this->postJson("/api/planters/{$this->planted->id}/emergence", ['counts' => [['id' => (string) Str::uuid7(), 'row' => 1, 'plants' => 80] + $count, ['id' => (string) Str::uuid7(), 'row' => 2, 'plants' => 75] + $count]])->assertCreated();
    $this->more = fn (int $row, int $plants): TestResponse => $this->postJson("/api/planters/{$this->planted->id}/emergence", ['counts' => [['id' => (string) Str::uuid7(), 'row' => $row, 'plants' => $plants] + $count]])->assertCreated();
    $this->postJson("/api/planters/{$this->planted->id}/acres", ['id' => (string) Str::uuid7(), 'day' => '2026-04-20', 'line' => '60 ac, long field, popcorn'])->assertCreated();
});

it('tells a short stand in money by the shop’s own curve, and by nothing else', function (): void {
    expect(($this->fields)()['fields'][0])->toMatchArray(['crop' => 'popcorn', 'cost' => null]);
    ($this->curve)([])->assertOk()->assertJsonPath('curves.0.points', '20,000 150; 30,000 190; 36,000 202');
    // 32,300 were to be expected: 194.6 bu; 27,007 stand: 178.03. 16.57 bu are 74.57 an acre, and 4,474 on sixty.
    expect(($this->fields)()['fields'][0]['cost'])->toContain('16.6 bu/ac less')->toContain('$74.57/ac')->toContain('$4,474 on 60 ac');
    $this->technician->update(['units' => 'mm']);
    // The same on hectares: 16.57 x 2.471 and 74.57 x 2.471.
    expect(($this->fields)()['fields'][0]['cost'])->toContain('40.9 bu/ha less')->toContain('$184/ha')->and(($this->fields)()['curves'][0]['points'])->toBe('49,421 370.66; 74,132 469.5; 88,958 499.15');
    ($this->curve)(['points' => '49421 370.66; 74132 469.5; 88958 499.15', 'units' => 'mm'])->assertOk();
    $this->technician->update(['units' => 'in']);
    expect(($this->fields)()['curves'][0]['points'])->toBe('20,000 150; 30,000 190; 36,000 202');
    ($this->curve)(['points' => '10,000 90; 20,000 150'])->assertOk();
    expect(($this->fields)()['fields'][0]['cost'])->toContain('does not reach');
    ($this->curve)(['points' => ''])->assertOk()->assertJsonPath('curves', []);
    expect(($this->fields)()['fields'][0]['cost'])->toBeNull();
});

it('refuses what is no yield curve', function (array $with, string $field, string $said): void {
    expect(($this->curve)($with)->assertUnprocessable()->json('errors')[$field][0])->toContain($said);
})->with([
    [['points' => '30,000'], 'points', '“30,000” is not plants'], [['points' => '30,000 190'], 'points', '2 to 12 points'], [['points' => 7], 'points', 'not plants'], [['unit' => ' '], 'unit', 'counted in'],
    [['price' => -1], 'price', ''], [['price' => '4.5'], 'price', ''], [['crop' => ''], 'crop', 'Name the crop'], [['points' => '30000 190; 30000 191'], 'points', 'there twice'],
]);

it('gives a short row its symptom, to be diagnosed by', function (): void {
    ($this->more)(3, 40);
    ($this->more)(4, 2);
    $rows = array_column(($this->fields)()['fields'][0]['rows'], 'symptom', 'row');
    expect($rows)->toBe([1 => null, 2 => null, 3 => 'thin', 4 => 'dead']);
    $told = $this->postJson("/api/planters/{$this->planted->id}/diagnosis", ['row' => 3, 'seen' => ['thin']])->assertOk()->json();
    expect($told['causes'][0]['because'])->toBe(['thin'])->and($told['first'])->not->toBeNull();
});
