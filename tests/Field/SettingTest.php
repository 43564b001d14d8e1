<?php

declare(strict_types=1);

use App\Models\Field\Setting;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-17']);
    $this->actingAs($this->technician);
    $this->path = "/api/planters/{$this->planted->id}/settings";
    $this->set = fn (string $key, array $with): TestResponse => $this->postJson($this->path, ['settings' => [$with + ['id' => (string) Str::uuid7(), 'key' => $key, 'happened_at' => '2026-04-19T10:00:00Z']]]);
    $this->said = fn (string $query = ''): array => $this->getJson($this->path.$query)->assertOk()->json();
});

it('keeps what is set now, of the planter and of rows, and what it was set to before', function (): void {
    ($this->set)('population', ['figure' => 32_000])->assertCreated();
    ($this->set)('depth_mark', ['figure' => 5, 'happened_at' => '2026-04-19T11:00:00Z'])->assertCreated();
    ($this->set)('depth_mark', ['figure' => 6.5, 'row' => 3, 'happened_at' => '2026-04-19T12:00:00Z', 'note' => 'lifts late'])->assertCreated();
    ($this->set)('downforce', ['value' => '180 lb', 'happened_at' => '2026-04-19T12:00:00Z'])->assertCreated();
    $now = fn (): array => array_map(fn (array $of): string => "{$of['key']} {$of['row']}: {$of['said']}", ($this->said)()['now']);
    expect($now())->toBe(['population 0: 32,000 seeds/ac', 'depth_mark 0: 5 notches', 'depth_mark 3: 6.5 notches', 'downforce 0: 180 lb']);
    // In hectares, for who thinks in them: 32,000 / 0.40468564.
    $this->technician->update(['units' => 'mm']);
    expect($now()[0])->toBe('population 0: 79,074 seeds/ha');
    ($this->set)('population', ['figure' => 79_073.7, 'units' => 'mm', 'happened_at' => '2026-04-19T13:00:00Z'])->assertCreated();
    $this->technician->update(['units' => 'in']);
    expect($now()[0])->toBe('population 0: 32,000 seeds/ac');
    // Taken back, the one before stands again.
    $last = ($this->said)()['log'][0];
    ($this->set)('population', ['figure' => 30_000, 'supersedes' => $last['id'], 'withdrawn' => true])->assertCreated();
    expect($now()[0])->toBe('population 0: 32,000 seeds/ac');
});

it('brings back what the planter was left at on ground like it', function (): void {
    $clay = ['field' => 'Kiln Piece', 'crop' => 'popcorn', 'soil' => 'clay', 'residue' => 'heavy'];
    ($this->set)('closing', ['value' => '4', 'happened_at' => '2025-04-19T10:00:00Z'] + $clay)->assertCreated();
    ($this->set)('closing', ['value' => '2', 'happened_at' => '2025-04-19T11:00:00Z', 'note' => 'furrow shut'] + $clay)->assertCreated();
    expect(($this->said)()['recalled'])->toBeNull();
    $recalled = ($this->said)('?field=Bank&crop=popcorn&soil=clay')['recalled'];
    expect($recalled)->toHaveCount(1)->and($recalled[0])->toMatchArray(['key' => 'closing', 'said' => '2', 'field' => 'Kiln Piece', 'note' => 'furrow shut']);
    // And how it went there that season: 96 plants on 50 ft of 30 in row are 33,454 an acre, 96.1% of 36,000 x 0.967.
    $json = ($this->said)('?field=Bank&crop=popcorn&soil=clay');
    expect($json['went'])->toBe([]);
    $at = ['field' => 'kiln piece', 'happened_at' => '2025-04-20T10:00:00Z'];
    foreach ([['2025-04-20', '40 ac, Kiln Piece, 5 mph'], ['2025-04-21', '20 ac, Kiln Piece, 5.6 mph'], ['2026-04-18', '20 ac, Kiln Piece, 4 mph']] as [$day, $line]) {
        $this->postJson("/api/planters/{$this->planted->id}/acres", ['id' => (string) Str::uuid7(), 'day' => $day, 'line' => $line])->assertSuccessful();
    }
    $this->postJson("/api/planters/{$this->planted->id}/first-pass/digs", ['digs' => [['id' => (string) Str::uuid7(), 'pass' => 1, 'row' => 2, 'target' => '2', 'depths' => ['1', '1', '1'], 'spacings' => []] + $at, ['id' => (string) Str::uuid7(), 'pass' => 2, 'row' => 2, 'target' => '2', 'depths' => ['1.75', '2', '1.75'], 'spacings' => []] + $at, ['id' => (string) Str::uuid7(), 'pass' => 2, 'row' => 3, 'target' => '2', 'depths' => ['2', '2', '2'], 'spacings' => []] + $at]])->assertSuccessful();
    $this->postJson("/api/planters/{$this->planted->id}/emergence", ['counts' => [['id' => (string) Str::uuid7(), 'row' => 2, 'planted_on' => '2025-04-20', 'plants' => 96, 'length' => 50, 'population' => 36_000, 'germination' => 0.967, 'happened_at' => '2025-05-10T10:00:00Z'] + $at]])->assertSuccessful();
    $went = ($this->said)('?field=Bank&crop=popcorn&soil=clay')['went'];
    expect($went[0])->toBe('60 ac were planted at 5.2 mph.')->and($went[1])->toStartWith('Dug on the last pass, 2 rows: 1.92 in deep where 2 in was wanted')->and($went[2])->toContain('96.1% of what was to be expected');
    $this->getJson("{$this->path}?soil=chalk")->assertUnprocessable()->assertJsonPath('errors.soil.0', 'Choose the ground from the list.');
});

it('refuses what no setting can be', function (string $key, array $with, string $field, string $said): void {
    expect(($this->set)($key, $with)->assertUnprocessable()->json('errors')[$field][0])->toContain($said);
})->with([
    'too many seeds' => ['population', ['figure' => 3e6], 'settings.0.figure', 'from 500 to 2,000,000'],
    'no figure' => ['air', [], 'settings.0.figure', 'air: write a figure'],
    'a text for a figure' => ['air', ['figure' => '12'], 'settings.0.figure', 'air is a figure'],
    'no words' => ['closing', ['value' => '  '], 'settings.0.value', 'what it was set to'],
    'a row that is none' => ['depth_mark', ['figure' => 5, 'row' => 99], 'settings.0.row', 'Name a row'],
    'a row of what all share' => ['population', ['figure' => 32_000, 'row' => 2], 'settings.0.row', 'whole planter'],
    'next week' => ['closing', ['value' => '2', 'happened_at' => '2026-04-28T10:00:00Z'], 'settings.0.happened_at', 'not in the future'],
    'no such setting' => ['color', ['value' => 'red'], 'settings.0.key', 'from the list'],
]);

it('takes settings as one line, sent twice as once, and says what of it cannot be read', function (): void {
    $entry = ['id' => (string) Str::uuid7(), 'line' => 'downforce 180 lb rows 3-4, closing 2, air 18 in, heavy residue; ', 'field' => 'Kiln Piece', 'soil' => 'clay', 'happened_at' => '2026-04-19T10:00:00Z'];
    $entry['line'] = rtrim($entry['line'], '; ');
    $send = fn (array $with = []): TestResponse => $this->postJson($this->path, ['settings' => [$with + $entry]]);
    $send()->assertCreated();
    $send()->assertOk();
    $said = array_map(fn (array $of): string => "{$of['key']} {$of['row']}: {$of['said']}, {$of['field']} {$of['soil']} {$of['residue']}", ($this->said)()['now']);
    expect($said)->toBe(['air 0: 18 in H₂O, Kiln Piece clay heavy', 'downforce 3: 180 lb, Kiln Piece clay heavy', 'downforce 4: 180 lb, Kiln Piece clay heavy', 'closing 0: 2, Kiln Piece clay heavy'])->and(Setting::query()->count())->toBe(4);
    $send(['line' => 'downforce 200 lb rows 3-4'])->assertConflict();
    foreach ([
        [['line' => 'downforce 180, wobble 3'], 'settings.0.line', '“wobble 3”: what was set?'], [['line' => 'depth mark 6 row 99'], 'settings.0.line', 'has rows 1 to 8'],
        [['line' => str_repeat('x', 501)], 'settings.0.line', '500 characters or fewer'], [['line' => 7], 'settings.0.line', 'one line'], [['line' => 'closing 2', 'key' => 'closing'], 'settings.0.line', 'but not both'],
        [['line' => 'closing 2, air 900 in', 'id' => (string) Str::uuid7()], 'settings.1.figure', 'from 1 to 60'], [['line' => 'closing 2', 'id' => 'seven'], 'settings.0.id', 'id'],
    ] as [$with, $field, $words]) {
        expect($send($with)->assertUnprocessable()->json('errors')[$field][0] ?? '')->toContain($words);
    }
    $many = array_map(fn (): array => ['id' => (string) Str::uuid7(), 'line' => 'depth mark 6 rows 1-8, closing 2 rows 1-8', 'happened_at' => '2026-04-19T10:00:00Z'], range(1, 70));
    $this->postJson($this->path, ['settings' => $many])->assertUnprocessable()->assertJsonPath('errors.settings.0', 'These lines set more than 1,000 things at once. Send fewer of them.');
    // Nothing of a line is kept where one part of it cannot be.
    expect(Setting::query()->count())->toBe(4);
});

it('puts the settings on paper and into a table', function (): void {
    ($this->set)('closing', ['value' => '=2', 'field' => 'Kiln Piece', 'soil' => 'clay'])->assertCreated();
    ($this->set)('depth_mark', ['figure' => 5, 'row' => 3])->assertCreated();
    expect($this->printed("{$this->path}/sheet.pdf"))->toContain('closing wheels')->toContain('Kiln Piece, clay');
    expect($this->get("{$this->path}/sheet.csv")->assertOk()->getContent())->toContain("\"closing wheels\",,'=2,\"Kiln Piece\",,clay,,2026-04-19,")->toContain('depth,3,"5 notches"');
});

it('opens calculators filled, works them in either units, and names a figure that cannot be', function (): void {
    $path = "/api/planters/{$this->planted->id}/calculators";
    ($this->set)('population', ['figure' => 32_000])->assertCreated();
    ($this->set)('sprocket_box', ['value' => '17, 19, 21, 23'])->assertCreated();
    $asks = array_column($this->getJson("{$path}?units=in")->assertOk()->json('calculators'), 'inputs', 'key');
    $value = fn (string $of, string $key): ?array => array_column($asks[$of], 'value', 'key')[$key];
    expect([$value('spacing', 'population'), $value('spacing', 'width'), $value('sprockets', 'box'), $value('sprockets', 'circumference')])->toBe([[32000], [30], [17, 19, 21, 23], null]);
    $worked = $this->postJson("{$path}/spacing", ['units' => 'in', 'figures' => ['population' => 32_000, 'width' => 30, 'mph' => 5]])->assertOk()->json();
    expect($worked['formula'])->toBe('6,272,640 / (32,000 × 30 in) = 6.534 in')->and($worked['lines'][0]['said'])->toBe('6.534 in')->and($worked['lines'][2]['said'])->toBe('13.47 seeds/s');
    $metric = $this->postJson("{$path}/spacing", ['units' => 'mm', 'figures' => ['population' => 79_073.7, 'width' => 76.2, 'mph' => 8.04672]])->assertOk()->json();
    expect($metric['formula'])->toBe('10^8 / (79,074 × 76.2 cm) = 16.6 cm')->and($metric['lines'][2]['said'])->toBe('13.47 seeds/s');
    $weighed = $this->postJson("{$path}/weighing", ['units' => 'in', 'figures' => ['in' => 412.5, 'out' => 371, 'acres' => 2.05, 'seeds_lb' => 1650, 'scale' => 0.5]])->assertOk()->json();
    // Two weighings of 0.5 lb each: 0.7071 of 41.5 lb are 1.70%, 569 seeds; twice that.
    expect($weighed['lines'][0]['said'])->toBe('33,400 ± 1,100 seeds/ac');
    $this->postJson("{$path}/spacing", ['units' => 'in', 'figures' => ['population' => 0, 'width' => 30]])->assertUnprocessable()->assertJsonPath('errors', ['figures.population' => ['Population: write a figure from 500 seeds/ac to 2,000,000 seeds/ac.']]);
    $this->postJson("{$path}/spacing", ['units' => 'in', 'figures' => ['population' => '32000', 'width' => 30]])->assertUnprocessable()->assertJsonPath('errors', ['figures.population' => ['Population is a figure.']]);
    $this->postJson("{$path}/spacing", ['units' => 'furlong', 'figures' => []])->assertUnprocessable();
    $this->postJson("{$path}/nothing", ['units' => 'in', 'figures' => []])->assertNotFound();
});

it('hands settings on to another planter of the shop, and names what that one cannot take', function (): void {
    $this->planted->update(['equipment' => ['drive' => 'ground', 'downforce' => 'hydraulic']]);
    $small = $this->planter(['name' => 'Small', 'row_count' => 4, 'equipment' => ['drive' => 'electric', 'downforce' => 'spring']]);
    foreach ([['population', ['figure' => 32_000]], ['sprockets', ['value' => '25/17']], ['downforce', ['value' => '180 lb']], ['closing', ['value' => '2']], ['closing', ['value' => '3', 'row' => 8]], ['circumference', ['figure' => 7.1]]] as [$key, $with]) {
        ($this->set)($key, $with)->assertCreated();
    }
    $told = $this->getJson("{$this->path}/for/{$small->id}")->assertOk()->json();
    expect(array_column($told['takes'], 'said', 'key'))->toBe(['population' => '32,000 seeds/ac', 'closing' => '2'])
        ->and(array_map(static fn (array $of): string => "{$of['said']}: {$of['why']}", $told['leaves']))->toEqualCanonicalizing(['sprockets 25/17: it has none', 'downforce 180 lb: its downforce is of another kind', 'closing wheels 3, row 8: it has no such row', 'drive wheel, rolling 7.1 ft: each planter has its own']);
    $theirs = $this->planter();
    $theirs->update(['workshop_id' => $this->technicianOf('Lowmoor Planter Services')->workshop_id]);
    $this->getJson("{$this->path}/for/{$theirs->id}")->assertNotFound();
});
