<?php

declare(strict_types=1);

use App\Models\Field\Dig;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-17']);
    $this->actingAs($this->technician);
    $this->path = "/api/planters/{$this->planted->id}/first-pass";
    $this->entry = fn (int $row, array $with = []): array => $with + [
        'id' => (string) Str::uuid7(), 'pass' => 1, 'row' => $row, 'target' => '2', 'spacing' => '6 1/2', 'depths' => ['2', '1 15/16', '2', '2 1/16', '2'], 'spacings' => ['6 1/2', '6.4', '6.6'], 'happened_at' => '2026-04-20T09:00:00Z',
    ];
    $this->dig = fn (array ...$digs): TestResponse => $this->postJson("{$this->path}/digs", ['digs' => $digs]);
    $this->told = fn (): array => $this->getJson($this->path)->assertOk()->json();
});

it('tells each row how deep it plants and what to turn, which rows really differ, and the second pass beside the first', function (): void {
    $shallow = ['depths' => ['1 1/2', '38 mm', '1 1/2', '1 9/16', '1 7/16'], 'seen' => ['w', 'dry_soil'], 'note' => 'ridge'];
    ($this->dig)(($this->entry)(1), ($this->entry)(2, $shallow), ($this->entry)(3))->assertCreated();
    $pass = ($this->told)()['passes'][0];
    $rows = array_column($pass['rows'], null, 'row');
    // 1/2 in too shallow are two notches of 1/4 in; 6.5 in by 30 in are 32,167 seeds an acre.
    expect($pass['target'])->toBe('2 in')->and($rows[2])->toMatchArray(['depth' => '1.5 in', 'turn' => 2, 'differs' => false, 'seen' => ['w', 'dry_soil'], 'before' => null, 'missed' => 0, 'fed' => 1])
        ->and($rows[1]['turn'])->toEqualWithDelta(0, 0.5)->and($rows[2]['population'])->toStartWith('32,')->and($rows[2]['off'])->toEqualWithDelta(-12.7, 0.1);
    ($this->dig)(($this->entry)(2, ['pass' => 2]))->assertCreated();
    $passes = ($this->told)()['passes'];
    expect(array_column($passes, 'pass'))->toBe([2, 1])->and($passes[0]['rows'][0])->toMatchArray(['row' => 2, 'before' => '1.5 in', 'depth' => '2 in', 'turn' => 0]);
    expect(array_column(($this->told)()['to_dig'], 'why', 'row'))->toMatchArray([1 => 'wing', 8 => 'wing']);
});

it('counts blades that were changed after the dig', function (): void {
    $walk = $this->openWalk($this->planted);
    $this->travelTo('2026-04-19 08:00:00');
    foreach (['left', 'right'] as $side) {
        $this->postJson("/api/walks/{$walk->id}/readings", ['readings' => [['id' => (string) Str::uuid7(), 'row' => 2, 'check' => 'opener_blade_diameter', 'side' => $side, 'typed' => '14 1/2', 'units' => 'in', 'taken_at' => '2026-04-19T08:00:00Z']]])->assertOk();
    }
    $this->travelTo('2026-04-20 12:00:00');
    ($this->dig)(($this->entry)(2, ['depths' => ['1 3/4', '1 3/4', '1 3/4', '1 3/4']]))->assertCreated();
    expect(($this->told)()['passes'][0]['rows'][0]['turn'])->toEqual(1);
    $fit = fn (string $side): array => ['id' => (string) Str::uuid7(), 'kind' => 'fitted', 'row' => 2, 'slot' => 'opener_blade', 'side' => $side, 'size' => '15', 'units' => 'in', 'happened_at' => '2026-04-20T11:00:00Z'];
    $this->postJson("/api/planters/{$this->planted->id}/ledger", ['events' => [$fit('left'), $fit('right')]])->assertSuccessful();
    // New blades of 15 in cut half of 1/2 in deeper: the notch is won.
    expect(($this->told)()['passes'][0]['rows'][0]['turn'])->toEqual(0);
});

it('asks about a figure that lost its point, and keeps it where it is right', function (): void {
    $odd = ($this->entry)(1, ['spacings' => ['6', '6', '61', '6']]);
    expect(($this->dig)($odd)->assertUnprocessable()->json('errors')['digs.0.spacings'][0])->toBe('Spacing 3, “61”, does not fit the others. Check for a missing decimal point. If it is right, confirm it.');
    ($this->dig)(['confirmed' => true] + $odd)->assertCreated();
});

it('refuses what no dig can be, naming the figure', function (array $with, string $field, string $said): void {
    expect(($this->dig)(($this->entry)(1), ($this->entry)(2, $with))->assertUnprocessable()->json('errors')["digs.1.{$field}"][0])->toContain($said)->and(Dig::query()->count())->toBe(0);
})->with([
    'millimetres in an inch shop' => [['depths' => ['2', '45']], 'depths', 'Depth 2, “45”: write it from 1/8 to 6 in'],
    'no figure' => [['depths' => ['deep']], 'depths', 'Depth 1, “deep”'],
    'nothing' => [['depths' => [], 'spacings' => ['6']], 'depths', 'the depth of one seed at least'],
    'a row that the planter does not have' => [['row' => 17], 'row', 'counted from 1'],
    'no pass' => [['pass' => 0], 'pass', '1 for the first'],
    'a number for a text' => [['depths' => [2]], 'depths', 'each figure by itself'],
    'a furrow of stars' => [['seen' => ['stars']], 'seen', 'from the list'],
    'a mark off the scale' => [['mark' => 100.5], 'mark', '0 to 100'],
    'a mark in words' => [['mark' => '3'], 'mark', '0 to 100'],
    'a notch to the thousandth' => [['mark' => 3.255], 'mark', 'such as 5 or 5.5'],
    'next week' => [['happened_at' => '2026-04-28T09:00:00Z'], 'happened_at', 'not in the future'],
]);

it('keeps who turned the rows by hand, and who says that it is ready', function (): void {
    $sign = fn (array $with): TestResponse => $this->postJson("{$this->path}/sign-offs", $with + ['id' => (string) Str::uuid7(), 'happened_at' => '2026-04-20T09:00:00Z']);
    $sign(['kind' => 'hand_turned', 'rows' => [3]])->assertCreated();
    // Row 3 did not drop, and nobody has dug: each is asked about, and the answers are kept.
    $ready = ['kind' => 'ready', 'words' => 'Row 3 sensor only', 'happened_at' => '2026-04-20T09:30:00Z'];
    $sign($ready)->assertUnprocessable()->assertJsonPath('errors.answers.0', 'Still open: Row 3 dropped no seed when turned by hand. Answer it before you sign off.');
    expect(array_column(($this->told)()['open'], 'key'))->toBe(['not_dropped', 'digs']);
    $sign($ready + ['answers' => [['key' => 'not_dropped', 'answer' => 'Sensor only, it drops']]])->assertUnprocessable()->assertJsonPath('errors.answers.0', fn (string $said): bool => str_contains($said, 'Fewer than 4 rows were dug'));
    $sign($ready + ['answers' => [['key' => 'not_dropped', 'answer' => 'Sensor only, it drops'], ['key' => 'digs', 'answer' => '']]])->assertUnprocessable();
    $sign($ready + ['answers' => [['key' => 'digs', 'answer' => 'Rain is coming'], ['key' => 'not_dropped', 'answer' => 'Sensor only, it drops'], ['key' => 'moon', 'answer' => 'full']]])->assertCreated();
    $sign(['kind' => 'ready', 'rows' => [40]])->assertUnprocessable()->assertJsonPath('errors.rows.0', 'Name rows that this planter has: 1 to 8.');
    $sign(['kind' => 'maybe'])->assertUnprocessable();
    $told = ($this->told)()['sign_offs'];
    expect(array_column($told, 'kind'))->toBe(['ready', 'hand_turned'])->and($told[1]['rows'])->toBe([3])->and($told[0]['by'])->toBe($this->technician->name)
        ->and(array_column($told[0]['answers'], 'answer', 'key'))->toBe(['not_dropped' => 'Sensor only, it drops', 'digs' => 'Rain is coming']);
    $sign(['kind' => 'ready', 'supersedes' => $told[0]['id'], 'withdrawn' => true])->assertCreated();
    expect(($this->told)()['sign_offs'])->toHaveCount(1);
});

it('calls the first pass done once enough rows were dug after the last adjustment and it was signed off after that', function (): void {
    $step = fn (): array => collect($this->getJson("/api/planters/{$this->planted->id}/season")->assertOk()->json('countdown'))->firstWhere('key', 'first_pass');
    $sign = fn (string $kind, string $at, array $answers = []): TestResponse => $this->postJson("{$this->path}/sign-offs", ['kind' => $kind, 'id' => (string) Str::uuid7(), 'happened_at' => "2026-04-20T{$at}Z", 'answers' => $answers]);
    $open = fn (): array => array_column(($this->told)()['open'], 'key');
    $walk = $this->openWalk($this->planted, null);
    expect($step())->toMatchArray(['done' => false, 'said' => ['The rows were not turned by hand.', 'Fewer than 4 rows were dug since the last adjustment.']]);
    $sign('hand_turned', '07:00:00')->assertCreated();
    ($this->dig)(...array_map(fn (int $row): array => ($this->entry)($row, ['happened_at' => '2026-04-20T08:00:00Z']), range(1, 4)))->assertCreated();
    expect($open())->toBe([])->and($step()['done'])->toBeFalse();
    $sign('ready', '08:10:00')->assertCreated();
    expect($step())->toMatchArray(['done' => true, 'said' => []]);
    // Downforce set after that: what was dug says nothing of how it plants now, nor does the sign-off.
    $this->postJson("/api/planters/{$this->planted->id}/settings", ['settings' => [['id' => (string) Str::uuid7(), 'key' => 'downforce', 'value' => '180 lb', 'happened_at' => '2026-04-20T08:30:00Z']]])->assertCreated();
    expect($open())->toBe(['digs', 'again'])->and($step()['done'])->toBeFalse()->and(collect(($this->told)()['open'])->firstWhere('key', 'again')['said'])->toBe('Depth or downforce was changed: look again at seed firmer tension, closing pressure step.');
    // Three rows are not enough; four are, and the sign-off of before does not count for them.
    ($this->dig)(...array_map(fn (int $row): array => ($this->entry)($row, ['pass' => 2, 'happened_at' => '2026-04-20T09:00:00Z']), range(1, 3)))->assertCreated();
    expect($open())->toBe(['digs', 'again']);
    // Looked at before that it does not count, nor on one row of eight; on four rows after that it does.
    $look = fn (string $at, int ...$rows): TestResponse => $this->postJson("/api/walks/{$walk->id}/readings", ['readings' => array_merge(...array_map(static fn (int $row): array => array_map(static fn (string $check): array => ['id' => (string) Str::uuid7(), 'row' => $row, 'check' => $check, 'side' => 'centre', 'taken_at' => "2026-04-20T{$at}Z"] + ($check === 'closing_pressure' ? ['typed' => '2', 'units' => 'in'] : ['state' => 'sound', 'chips' => []]), ['firmer_tension', 'closing_pressure']), $rows))])->assertOk();
    $look('08:20:00', 1, 2, 3, 4);
    $look('08:50:00', 5);
    expect($open())->toContain('again');
    $look('08:51:00', 1, 2, 3);
    expect($open())->toBe(['digs']);
    // Row 4 at 2 1/4 in where 2 is wanted is within a quarter; row 5 at 2 3/8 is not.
    ($this->dig)(($this->entry)(4, ['pass' => 2, 'depths' => ['2 1/4', '2 1/4'], 'happened_at' => '2026-04-20T09:01:00Z']), ($this->entry)(5, ['pass' => 2, 'depths' => ['2 3/8', '2 3/8'], 'happened_at' => '2026-04-20T09:01:00Z']))->assertCreated();
    expect($open())->toBe(['depth:5'])->and($step()['done'])->toBeFalse();
    $sign('ready', '09:10:00')->assertUnprocessable();
    $sign('ready', '09:10:00', [['key' => 'depth:5', 'answer' => 'Turned down a notch']])->assertCreated();
    expect($step()['done'])->toBeTrue();
    // Another sprocket plants another rate: what was dug says nothing of it.
    $this->postJson("/api/planters/{$this->planted->id}/settings", ['settings' => [['id' => (string) Str::uuid7(), 'key' => 'sprockets', 'value' => '30/20', 'happened_at' => '2026-04-20T09:20:00Z']]])->assertCreated();
    expect($step()['done'])->toBeFalse()->and($open())->toContain('digs')->not->toContain('again');
});

it('asks about set 6, found 9: the rate is off, whatever the depth', function (): void {
    ($this->dig)(...array_map(fn (int $row): array => ($this->entry)($row, ['spacing' => '6', 'spacings' => ['9', '9', '9', '9'], 'happened_at' => '2026-04-20T09:00:00Z']), range(1, 4)))->assertCreated();
    expect(array_column(($this->told)()['open'], 'key'))->toBe(['hand_turned', 'rate:all:1,2,3,4']);
});

it('asks nothing about a season that is over', function (): void {
    $this->postJson("{$this->path}/sign-offs", ['kind' => 'ready', 'id' => (string) Str::uuid7(), 'happened_at' => '2025-04-20T09:30:00Z'])->assertCreated();
});

it('advises in marks where the unit has no notches: nothing until two are known, then by the planter’s own digs', function (): void {
    $this->planted->update(['equipment' => ['depth_scale' => 'marks'] + $this->planted->units()->most->toArray()]);
    $shallow = ['1 1/2', '1 1/2', '1 7/16', '1 9/16', '1 1/2'];
    ($this->dig)(($this->entry)(1, ['depths' => $shallow, 'mark' => 3]), ($this->entry)(2, ['depths' => $shallow, 'mark' => 3]))->assertCreated();
    $told = ($this->told)();
    // A notch of the sheet says nothing of marks.
    expect($told['depth_scales'][0])->toBe('marks')->and($told['passes'][0]['rows'][0])->toMatchArray(['turn' => null, 'deeper' => null, 'stands' => 3, 'turn_to' => null, 'expected' => null]);
    // Row 2 at mark 5 plants 2 in: 1/4 in a mark. Row 1 wants 2 of them.
    $this->travelTo('2026-04-20 13:00:00');
    ($this->dig)(($this->entry)(2, ['pass' => 2, 'mark' => 5, 'happened_at' => '2026-04-20T12:00:00Z']), ($this->entry)(1, ['pass' => 2, 'depths' => $shallow, 'mark' => 3, 'happened_at' => '2026-04-20T12:01:00Z']))->assertCreated();
    $told = ($this->told)();
    $rows = array_column($told['passes'][0]['rows'], null, 'row');
    expect($rows[1])->toMatchArray(['turn' => 2, 'deeper' => true, 'stands' => 3, 'turn_to' => 5])->and($rows[1]['expected'])->toContain('in after that')
        ->and($rows[2]['turn'])->toEqual(0)->and($told['levers'][0])->toStartWith('One mark up: 0.2');
    // The calculator opens with the same digs, and its answer is kept as the depth mark.
    $inputs = array_column(collect($this->getJson("/api/planters/{$this->planted->id}/calculators?units=in")->assertOk()->json('calculators'))->firstWhere('key', 'depth_mark')['inputs'], 'value', 'key');
    expect($inputs['marks'])->toEqualCanonicalizing([3, 3, 3, 5])->and(array_combine(array_map(strval(...), $inputs['marks']), $inputs['depths']))->toEqual(['3' => 1.5, '5' => 2]);
    $worked = fn (float $aim): array => $this->postJson("/api/planters/{$this->planted->id}/calculators/depth_mark", ['units' => 'in', 'figures' => ['marks' => $inputs['marks'], 'depths' => $inputs['depths'], 'aim' => $aim]])->assertOk()->json('lines.0');
    expect($worked(1.75)['keep'])->toBe(['key' => 'depth_mark', 'value' => '', 'figure' => 4])
        // A scale begins at 0: what lies below it is told and cannot be kept.
        ->and($worked(0.5)['said'])->toStartWith('−1')->and($worked(0.5)['keep'])->toBeNull();
});

it('asks no notch on the walk of a planter that has none', function (): void {
    $keys = fn (): array => array_keys($this->planted->refresh()->readSheet()->checks);
    expect($keys())->toContain('depth_set_notch');
    $this->planted->update(['equipment' => ['depth_scale' => 'turns'] + $this->planted->units()->most->toArray()]);
    expect(array_filter($keys(), static fn (string $key): bool => str_contains($key, 'notch')))->toBe([])->and($keys())->toContain('closing_pressure');
});

it('judges the closing pressure by the furrows, and asks about it at the sign-off', function (): void {
    $open = ['seen' => ['open']];
    ($this->dig)(($this->entry)(1, $open), ($this->entry)(2, $open), ($this->entry)(3, $open), ($this->entry)(4, ['seen' => ['v']]))->assertCreated();
    $told = ($this->told)();
    expect($told['passes'][0]['closing'])->toBe(['Furrow left open on rows 1, 2, 3: close harder, a step at a time. Check wheel gap and centering first.'])
        ->and(array_column($told['open'], 'said', 'key'))->toHaveKey('closing:more:1,2,3');
    // Closed harder and dug again: a clean V asks nothing more.
    $this->travelTo('2026-04-20 13:00:00');
    ($this->dig)(...array_map(fn (int $row): array => ($this->entry)($row, ['pass' => 2, 'seen' => ['v'], 'happened_at' => '2026-04-20T12:00:00Z']), [1, 2, 3]))->assertCreated();
    expect(($this->told)()['passes'][0]['closing'])->toBe([])->and(array_filter(array_column(($this->told)()['open'], 'key'), static fn (string $key): bool => str_starts_with($key, 'closing')))->toBe([]);
});

it('calls spacings uneven by what the shop calls good, and only by more than luck', function (): void {
    // Ten spacings about 6 1/2 in that scatter by 2.33 in, 36% of it: 26% at least. Three that scatter by 23% say nothing of 20.
    $wide = ['spacings' => ['3.6', '9.4', '4', '9', '6', '7', '3.8', '9.2', '5', '8']];
    ($this->dig)(($this->entry)(1, $wide), ($this->entry)(2, ['spacings' => ['5', '8', '6.5']]), ($this->entry)(3))->assertCreated();
    $uneven = fn (): array => array_column(($this->told)()['passes'][0]['rows'], 'uneven', 'row');
    // 30% are typical: ten spacings cannot tell 36% from it.
    expect($uneven())->toBe([1 => false, 2 => false, 3 => false]);
    $this->postJson('/api/aims', ['crop' => '', 'spacing_cv' => 0.2])->assertCreated();
    expect($uneven())->toBe([1 => true, 2 => false, 3 => false]);
});
