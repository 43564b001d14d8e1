<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-17', 'row_count' => 16, 'equipment' => ['drive' => 'ground']]);
    $this->actingAs($this->technician);
    $this->path = "/api/planters/{$this->planted->id}/first-pass";
    // 8 spacings about a mean of so many inches, whose scatter is a fifteenth of it.
    $this->spacings = static fn (float $inches): array => array_map(static fn (int $at): string => (string) round($inches * (1 + ($at % 2 === 0 ? 0.065 : -0.065)), 3), range(0, 7));
    $this->dig = function (array $inches, string $set = '6', array $with = []): TestResponse {
        return $this->postJson("{$this->path}/digs", ['digs' => array_map(fn (int $row, float $of): array => $with + [
            'id' => (string) Str::uuid7(), 'pass' => 1, 'row' => $row, 'field' => 'East', 'target' => '2', 'spacing' => $set, 'depths' => ['2', '2'], 'spacings' => ($this->spacings)($of), 'happened_at' => '2026-04-20T09:00:00Z',
        ], array_keys($inches), $inches)])->assertCreated();
    };
    $this->set = fn (string $key, array $with, string $at = '2026-04-19T10:00:00Z'): TestResponse => $this->postJson("/api/planters/{$this->planted->id}/settings", ['settings' => [$with + ['id' => (string) Str::uuid7(), 'key' => $key, 'happened_at' => $at]]])->assertCreated();
    $this->told = fn (): array => $this->getJson($this->path)->assertOk()->json();
    $this->rate = fn (): ?array => ($this->told)()['passes'][0]['rate'];
});

it('names the sprocket where all rows were set to 6 in and dug at 9, and asks about it at the sign-off', function (): void {
    ($this->set)('sprockets', ['value' => '30/20']);
    ($this->set)('sprocket_box', ['value' => '20, 25, 45']);
    ($this->dig)([1 => 9.0, 6 => 9.0, 11 => 9.0, 16 => 9.0]);
    $rate = ($this->rate)();
    expect($rate)->toMatchArray(['verdict' => 'off', 'said' => 'The rate is off'])->and($rate['ratio'])->toStartWith('Spacing is 1.50 times what is set')
        ->and($rate['findings'][0])->toMatchArray(['scope' => 'all', 'rows' => [1, 6, 11, 16], 'said' => 'All rows dug (1, 6, 11, 16): 50% too far apart', 'to_prove' => null, 'causes' => [
            '20/20 looks to be in, not 30/20. Read the teeth, then change the driver from 20 to 30 teeth.',
            'If 30/20 really is in, the chart is wrong: change the driver from 30 to 45 teeth, which gives 45/20.',
        ]]);
    expect(array_column(($this->told)()['open'], 'said'))->toContain('All rows dug (1, 6, 11, 16): seeds 50% too far apart.');
});

it('leaves what lies within the band, and goes by the band of the crop', function (): void {
    ($this->dig)([1 => 6.2, 6 => 6.2, 11 => 6.2, 16 => 6.2]);
    expect(($this->rate)()['findings'])->toBe([])->and(array_column(($this->told)()['open'], 'said'))->not->toContain('All rows dug (1, 6, 11, 16): seeds 3% too far apart.');
    $this->putJson("/api/planters/{$this->planted->id}/season", ['revision' => 0, 'fields' => [['name' => 'East', 'crop' => 'Popcorn', 'acres' => 80], ['name' => 'West', 'crop' => 'Milo', 'acres' => 80]]])->assertOk();
    // One percent either way is good for popcorn only, and 2 1/4 in deep is wanted: a dig within 1/8 in of that.
    $this->postJson('/api/aims', ['crop' => 'popcorn', 'rate_low' => -0.01, 'rate_high' => 0.01, 'depth_band' => 3.2, 'depth' => 57.2])->assertCreated();
    expect(($this->rate)()['findings'][0]['said'])->toBe('All rows dug (1, 6, 11, 16): 3% too far apart')->and(($this->told)()['aims'])->toBe(['depth' => '2.25', 'depth_band' => '0.13 in', 'rate_band' => '-1 to +1%']);
});

it('says how many more spacings would tell, and of one row that it may be all', function (): void {
    // Mean 6.25 of 6: r = 1.0417, CV of 8 is 0.0695: (1.645 x 0.0695 / |1.0417/1.05 - 1|)^2 - 8 = 200.
    ($this->dig)([3 => 6.25]);
    expect(($this->rate)())->toMatchArray(['verdict' => 'unsure', 'findings' => []])->and(preg_match('/^Cannot tell yet: measure (\d+) more spacings$/', ($this->rate)()['said'], $more))->toBe(1)->and((int) $more[1])->toEqualWithDelta(200, 8)
        ->and(($this->told)()['passes'][0]['rows'][0]['rate']['verdict'])->toBe('unsure');
    ($this->dig)([5 => 9.0], '6', ['pass' => 2]);
    expect(($this->rate)()['findings'][0])->toMatchArray(['scope' => 'row', 'rows' => [5], 'to_prove' => 'Dig another row to know whether all rows are off.'])->and(($this->rate)()['findings'][0]['causes'][0])->toContain('meter of this row');
});

it('goes by the drive wheel of the walk, and has no sprockets where motors turn the meters', function (): void {
    $walk = $this->openWalk($this->planted, ['drive_wheel_contact']);
    $this->postJson("/api/walks/{$walk->id}/readings", ['readings' => [['id' => (string) Str::uuid7(), 'row' => 0, 'check' => 'drive_wheel_contact', 'side' => 'centre', 'state' => 'no', 'chips' => [], 'taken_at' => '2026-04-20T08:00:00Z']]])->assertOk();
    ($this->dig)([1 => 6.6, 16 => 6.6]);
    expect(($this->rate)()['findings'][0]['causes'])->toBe(['The drive wheel does not touch the ground: fix that first.', 'Drive wheel slips, or its rolling circumference is off: check tire pressure, count turns over 100 ft.']);
    $this->planted->update(['equipment' => ['drive' => 'electric']]);
    expect(($this->rate)()['findings'][0]['causes'])->toBe(['Rate or cells entered wrong in the monitor: compare both with the disc.']);
});

it('learns what a notch is worth from what was set between passes, and tells it beside them', function (): void {
    $deep = fn (int $pass, string $inches, string $at): array => ['pass' => $pass, 'depths' => array_fill(0, 6, $inches), 'spacings' => [], 'happened_at' => $at];
    ($this->set)('depth_mark', ['figure' => 4], '2026-04-20T08:00:00Z');
    ($this->dig)([1 => 6.0, 6 => 6.0, 11 => 6.0], '6', $deep(1, '1 1/2', '2026-04-20T08:30:00Z'));
    $this->travelTo('2026-04-20 11:00:00');
    ($this->set)('depth_mark', ['figure' => 5], '2026-04-20T08:45:00Z');
    // One notch brought 1/2 in on all three rows, not the 1/4 of the sheet: what is wanted is reached.
    ($this->dig)([1 => 6.0, 6 => 6.0], '6', $deep(2, '2', '2026-04-20T09:30:00Z'));
    ($this->dig)([11 => 6.0], '6', ['target' => '2 1/2'] + $deep(2, '2', '2026-04-20T09:31:00Z'));
    $told = ($this->told)();
    expect($told['passes'][0]['set_before'])->toBe(['depth to 5 notches, all rows'])->and($told['passes'][1]['set_before'])->toBe([])->and($told['levers'])->toHaveCount(1)
        ->and(preg_match('/^One notch up: 0\.4[6-9]\d* ± 0\.\d+ in deeper$/', $told['levers'][0]))->toBe(1)->and($told['passes'][0]['rows'][0])->toMatchArray(['stands' => 5, 'turn' => 0, 'expected' => null]);
    // 1/2 in deeper is one notch here, not the two of the sheet, which stand with the first pass.
    expect($told['passes'][0]['rows'][2]['turn'])->toEqual(1)->and($told['passes'][0]['rows'][2]['expected'])->toMatch('/^expect 2\.(4[4-9]|5\d?) in after that/')
        ->and($told['passes'][1]['rows'][0])->toMatchArray(['turn' => 2, 'expected' => null]);
});

it('goes by the notch that this spring’s walk found, not by one of last year', function (): void {
    $walk = $this->openWalk($this->planted, ['depth_set_notch']);
    ($this->set)('depth_mark', ['figure' => 2], '2025-04-20T08:00:00Z');
    $this->postJson("/api/walks/{$walk->id}/readings", ['readings' => [['id' => (string) Str::uuid7(), 'row' => 1, 'check' => 'depth_set_notch', 'side' => 'centre', 'typed' => '6', 'taken_at' => '2026-04-20T08:00:00Z']]])->assertOk();
    ($this->dig)([1 => 6.0, 16 => 6.0], '6', ['depths' => array_fill(0, 6, '1 1/2')]);
    // 1/2 in shallow are two notches of the sheet: from 6 to 8; of row 16 only last year's 2 is known.
    $rows = array_column(($this->told)()['passes'][0]['rows'], null, 'row');
    expect($rows[1])->toMatchArray(['stands' => 6, 'turn' => 2, 'turn_to' => 8])->and($rows[16])->toMatchArray(['stands' => 2, 'turn_to' => 4]);
});

it('keeps where it was dug and its residue', function (): void {
    ($this->dig)([1 => 6.0, 16 => 6.0], '6', ['spot' => 'hilltop', 'residue' => 'heavy']);
    expect(($this->told)()['passes'][0]['rows'][0])->toMatchArray(['spot' => 'hilltop', 'residue' => 'heavy']);
    $refused = fn (array $with): array => $this->postJson("{$this->path}/digs", ['digs' => [$with + ['id' => (string) Str::uuid7(), 'pass' => 1, 'row' => 2, 'target' => '2', 'depths' => ['2', '2'], 'spacings' => [], 'happened_at' => '2026-04-20T09:00:00Z']]])->assertUnprocessable()->json('errors');
    expect($refused(['residue' => 'deep'])['digs.0.residue'][0])->toContain('Choose how much residue')->and($refused(['spot' => str_repeat('x', 81)])['digs.0.spot'][0])->toContain('80 characters');
});
