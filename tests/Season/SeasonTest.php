<?php

declare(strict_types=1);

use App\Models\Parts\PartType;
use App\Models\Plan\SeasonPlan;
use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Sabre\VObject\Reader;

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-03-02 09:00', 'UTC'));
    $this->planted = $this->planter(['name' => 'Long Acre', 'row_count' => 16, 'planting_start' => null]);
    $this->plan = fn (array $plan = []): TestResponse => $this->actingAs($this->technician)->putJson("/api/planters/{$this->planted->id}/season", $plan + [
        'revision' => 0, 'planting_start' => '2026-04-20', 'planting_end' => '2026-05-02', 'mph' => 5, 'efficiency' => 0.65, 'hours_a_day' => 10, 'fit_share' => 0.6,
        'fields' => [['name' => 'Far Down', 'acres' => 400, 'crop' => 'corn'], ['name' => 'Kiln Piece', 'acres' => 120.5, 'population' => 28000]],
    ]);
    $this->season = fn (): array => $this->actingAs($this->technician)->getJson("/api/planters/{$this->planted->id}/season")->assertOk()->json();
});

it('says when planting is done, by fields, pace and weather', function (): void {
    expect(($this->season)()['said'])->toBe(['no_start', 'no_crew', 'no_acres', 'no_rate']);
    ($this->plan)()->assertOk();
    $said = ($this->season)();
    // 16 rows at 30 in: 40 ft x 5 mph x 0.65 / 8.25 = 15.76 acres an hour, 157.6 a day: 520.5 acres are four fit days of ten, and a start on the 20th.
    expect([$said['acres'], $said['acres_an_hour'], $said['acres_a_day'], $said['width_ft']])->toBe([520.5, 15.76, 157.6, 40])
        ->and($said['finish']['p10'])->toBeLessThanOrEqual('2026-04-24')
        ->and($said['finish']['p50'])->toBeGreaterThanOrEqual('2026-04-24')->toBeLessThanOrEqual('2026-04-27')
        ->and($said['finish']['p90'])->toBeGreaterThan($said['finish']['p50'])
        ->and($said['in_window'])->toBeGreaterThan(0.8)
        ->and($said['planned_acres'])->toBeNull()
        ->and($this->planted->refresh()->planned_acres)->toBe('520.50')
        ->and($this->planted->planting_days)->toBe(13)
        ->and($this->getJson("/api/planters/{$this->planted->id}/season/speed?acres_an_hour=20")->json('mph'))->toBe(6.35);
});

it('goes by the log once there is one, and by what it has left', function (): void {
    ($this->plan)()->assertOk();
    $this->travelTo(CarbonImmutable::parse('2026-04-23 20:00', 'UTC'));
    foreach (['2026-04-20' => 80, '2026-04-21' => 90, '2026-04-22' => 85] as $day => $acres) {
        $this->logAcres($this->planted, $day, $acres)->assertCreated();
    }
    $said = ($this->season)();
    expect([$said['done'], $said['days_logged']])->toBe([255, 3])->and($said['acres_a_day'])->toBeLessThan(110)->and($said['finish']['p10'])->toBeGreaterThan('2026-04-24');
});

it('prices an hour’s stop by what it makes late', function (): void {
    $this->actingAs($this->technician)->patchJson('/api/workshop', ['shop_rate' => 60, 'crew' => [['name' => 'Wren', 'hours' => [8, 8, 8, 8, 8, 0, 0]]]])->assertOk();
    ($this->plan)(['delay_price' => 2, 'delay_after' => '2026-04-21'])->assertOk();
    // Two days that are not late bring 2 x 157.6 x 0.6 = 189.1 acres; 331.4 are late: 331.4 x 2 / 10 an hour, and the 60 of who waits.
    expect(($this->season)()['hour_cost'])->toEqualWithDelta(60 + 331.4 * 2 / 10, 0.05);
});

it('stops for whichever runs out first', function (): void {
    ($this->plan)(['counts_fills' => true, 'efficiency' => 0.85, 'fill_minutes' => 12, 'tanks' => [['name' => 'seed', 'holds' => 100, 'rate' => 0.4, 'unit' => 'units'], ['name' => 'liquid', 'holds' => 600, 'rate' => 10, 'unit' => 'gal']]])->assertOk();
    $said = ($this->season)();
    // 19.28 acres an hour over ten hours are 192.8 a day: 3.2 fills.
    expect($said['fills'])->toBe([['crop' => null, 'of' => 520.5, 'acres' => 60, 'a_day' => 3.2, 'first' => 'liquid', 'short' => 1900, 'unit' => 'gal']])->and($said['acres_an_hour'])->toBe(19.28);
    // A box of corn seed stops nobody on the 120.5 acres without it: 400 acres by 1.6 stops of 250 acres.
    $corn = ['revision' => 1, 'counts_fills' => true, 'efficiency' => 0.85, 'fill_minutes' => 12, 'tanks' => [['name' => 'seed', 'holds' => 100, 'rate' => 0.4, 'unit' => 'units', 'crop' => 'Corn']]];
    ($this->plan)($corn)->assertOk()->assertJsonPath('fills', fn (array $fills): bool => count($fills) === 1 && $fills[0]['crop'] === 'corn' && $fills[0]['of'] === 400 && $fills[0]['acres'] === 250)
        // 1 / (8.25 / (5 x 40 x 0.85) + 0.2 x 1.6 / 520.5) = 1 / (0.0485294 + 0.0006148).
        ->assertJsonPath('acres_an_hour', 20.35);
    ($this->plan)(['revision' => 2, 'tanks' => [['crop' => 'milo'] + $corn['tanks'][0]]])->assertUnprocessable()->assertJsonPath('errors.tanks.0', 'No field of this season grows "milo". Choose one of corn, or leave the crop empty if the tank runs in all of them.');
});

it('refuses what cannot be, in words, and keeps what was there', function (array $wrong, string $field, string $says): void {
    ($this->plan)()->assertOk();
    ($this->plan)($wrong + ['revision' => 1])->assertUnprocessable()->assertJsonValidationErrors([$field => $says]);
    expect(SeasonPlan::query()->sole()->revision)->toBe(1);
})->with([
    'a window that ends before it starts' => [['planting_end' => '2026-04-19'], 'planting_end', 'ends on Sun, Apr 19, before it starts on Mon, Apr 20'],
    'an end without a start' => [['planting_start' => null], 'planting_start', 'Say when planting starts'],
    'a window of years' => [['planting_end' => '2028-04-19'], 'planting_end', 'longer than a year'],
    'more fields than planned' => [['planned_acres' => 500], 'planned_acres', 'The fields add up to 520.5 acres, more than the 500 planned'],
    'a share over 100%' => [['fit_share' => 1.2], 'fit_share', '1 to 100%'],
    'no fit day' => [['fit_share' => 0], 'fit_share', '1 to 100%'],
    'a share as text' => [['efficiency' => '0.65'], 'efficiency', '1 to 100%'],
    'a negative price' => [['delay_price' => -1], 'delay_price', '0 to 100,000'],
    'negative minutes' => [['fill_minutes' => -5], 'fill_minutes', '0 to 240'],
    'standing still' => [['mph' => 0], 'mph', '0.5 to 30'],
    'a day of 25 hours' => [['hours_a_day' => 25], 'hours_a_day', '0.5 to 24'],
    'a field without acres' => [['fields' => [['name' => 'Far Down', 'acres' => 0]]], 'fields.0.acres', '0.01 to 10,000'],
    'a field without a name' => [['fields' => [['name' => '', 'acres' => 10]]], 'fields.0.name', 'a name'],
    'fields as text' => [['fields' => 'Far Down'], 'fields', 'as a list'],
    'fills without a tank' => [['counts_fills' => true, 'tanks' => []], 'tanks', 'say which boxes'],
    'a tank with a negative volume' => [['tanks' => [['name' => 'seed', 'holds' => -1, 'rate' => 1, 'unit' => 'gal']]], 'tanks.0.holds', 'both over 0'],
    'a tick of what the record tells' => [['ticked' => ['walk']], 'ticked', 'Only what no record tells'],
    'an item without a day' => [['own_items' => [['id' => '0198b0c0-0000-7000-8000-000000000001', 'title' => 'x', 'due' => 'soon', 'done' => false]]], 'own_items.0.due', 'a date'],
]);

it('allows a start in the past, and says it', function (): void {
    ($this->plan)(['planting_start' => '2026-02-20', 'planting_end' => '2026-03-10'])->assertOk();
    $said = ($this->season)();
    expect($said['said'])->toContain('start_past')->and($said['finish']['p10'])->toBeGreaterThan('2026-03-02');
});

it('overwrites nothing that somebody else has changed meanwhile', function (): void {
    ($this->plan)()->assertOk();
    ($this->plan)(['revision' => 1, 'mph' => 6])->assertOk();
    ($this->plan)(['revision' => 1, 'mph' => 4])->assertConflict()->assertJsonPath('message', 'Someone else changed this meanwhile, so nothing was saved. Reload, then make your change.')->assertJsonPath('changed', ['mph']);
    // Sent again because the answer was lost it is known.
    ($this->plan)(['revision' => 1, 'mph' => 6])->assertOk()->assertJsonPath('revision', 2);
    expect(($this->season)()['mph'])->toBe(6);
});

it('counts back from planting by its own record', function (): void {
    $this->actingAs($this->technician)->patchJson('/api/workshop', ['crew' => [['name' => 'Wren', 'hours' => [8, 8, 8, 8, 8, 0, 0]]]])->assertOk();
    ($this->plan)(['ticked' => ['seed'], 'own_items' => [['id' => $id = (string) Str::uuid7(), 'title' => 'Oil', 'due' => '2026-03-01', 'done' => false]]])->assertOk();
    $steps = fn (): array => array_column(($this->season)()['countdown'], null, 'key');
    $before = $steps();
    expect([$before['seed']['done'], $before['walk']['done'], $before['first_pass']['done']])->toBe([true, false, false])
        ->and($before[$id])->toMatchArray(['title' => 'Oil', 'late' => true, 'by_hand' => true])
        ->and($before['walk']['by_hand'])->toBeFalse()
        // Sunday the 19th, by Friday; level on Thursday at the latest, work before it.
        ->and($before['first_pass'])->toMatchArray(['due' => '2026-04-19', 'latest_start' => '2026-04-17']);

    $tube = PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'slots' => ['seed_tube'], 'price' => 44, 'lead_days' => 9, 'per_row' => 1]);
    $walk = $this->openWalk($this->planted, null);
    $this->send($walk, $this->state(5, 'seed_tube', 'change', ['chips' => ['curled_lip']]))->assertOk();
    $this->postJson("/api/walks/{$walk->id}/finish", ['with_unchecked' => true])->assertOk();
    expect($steps()['walk']['done'])->toBeTrue()->and($steps()['decisions']['done'])->toBeFalse();
    $this->decide($walk, ['id' => (string) Str::uuid7(), 'row' => 5, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'change', 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertOk();
    expect($steps()['decisions']['done'])->toBeTrue()->and($steps()['work']['done'])->toBeFalse()->and($steps()['parts_ordered']['done'])->toBeFalse();
    // On order, then on the shelf.
    $order = $this->postJson('/api/orders', ['key' => (string) Str::uuid7(), 'revision' => 0, 'state' => 'ordered', 'ordered_on' => '2026-03-02', 'lines' => [['part_type_id' => $tube->id, 'quantity' => 1, 'price' => 44]]])->assertCreated()->json('id');
    expect([$steps()['parts_ordered']['done'], $steps()['parts_here']['done']])->toBe([true, false]);
    $this->postJson("/api/orders/{$order}/receive", ['moves' => [['id' => (string) Str::uuid7(), 'part_type_id' => $tube->id, 'quantity' => 1, 'happened_at' => now()->toIso8601ZuluString('millisecond')]]])->assertOk();
    expect($steps()['parts_here']['done'])->toBeTrue();
    $this->travel(1)->hours();
    $this->record($this->planted, $this->fitting(5, now()->toDateString(), ['slot' => 'seed_tube', 'side' => 'centre', 'happened_at' => now()->toIso8601ZuluString()]))->assertCreated();
    expect($steps()['work']['done'])->toBeTrue();
});

it('puts the countdown into a calendar under ids that stay', function (): void {
    ($this->plan)()->assertOk();
    $read = function (): array {
        $events = [];
        foreach (Reader::read($this->get("/api/planters/{$this->planted->id}/season/countdown.ics")->assertOk()->getContent())->VEVENT as $event) {
            $events[(string) $event->UID] = [(string) $event->DTSTART, (int) (string) $event->SEQUENCE, (string) $event->SUMMARY];
        }

        return $events;
    };
    $first = $read();
    expect($first["first_pass-{$this->planted->id}-2026@ustrel"])->toBe(['20260419', 1, 'Long Acre: First pass dug and adjusted']);
    ($this->plan)(['revision' => 1, 'planting_start' => '2026-04-25', 'planting_end' => null])->assertOk();
    $second = $read();
    expect(array_keys($second))->toBe(array_keys($first))->and($second["first_pass-{$this->planted->id}-2026@ustrel"])->toBe(['20260424', 2, 'Long Acre: First pass dug and adjusted']);
});

it('takes fields from a table and gives them as one', function (): void {
    $read = fn (string $csv): TestResponse => $this->actingAs($this->technician)->post("/api/planters/{$this->planted->id}/season/fields", ['file' => UploadedFile::fake()->createWithContent('f.csv', $csv)], ['Accept' => 'application/json']);
    // A point or a comma may mean either, until the shop says how it writes numbers.
    $read("Field;Acres;Population\nFar Down;62,5;28.000\n")->assertUnprocessable()->assertJsonPath('errors.file.0', fn (string $said): bool => str_contains($said, '28 or 28000'));
    $this->technician->workshop->update(['number_style' => 'comma']);
    $fields = $read("Field;Crop;Acres;Tillage;Population\nFar Down;corn;62,5;no-till;28.000\n;;;;\n'=Kiln;soybeans;1.240,25;;\n")->assertOk()->json('fields');
    expect($fields)->toHaveCount(2)
        ->and($fields[0])->toMatchArray(['name' => 'Far Down', 'acres' => 62.5, 'tillage' => 'no_till', 'population' => 28000])
        ->and($fields[1])->toMatchArray(['name' => '=Kiln', 'acres' => 1240.25, 'population' => null]);
    ($this->plan)(['fields' => $fields])->assertOk();
    $written = $this->get("/api/planters/{$this->planted->id}/season/fields.csv")->assertOk()->getContent();
    expect($written)->toContain("'=Kiln,soybeans,1240.25")->and($read($written)->json('fields'))->toEqual($fields);
    $read("Name,Crop\nx,y\n")->assertUnprocessable()->assertJsonValidationErrors(['file' => 'one is acres']);
    $read("Field,Acres\nFar Down,many\n")->assertUnprocessable()->assertJsonValidationErrors(['file' => 'Line 2: "many" is not a number.']);
    $read("Field,Acres\n")->assertUnprocessable();
});

it('offers last season’s fields: as planned, or else as logged', function (): void {
    $this->planted->update(['planting_start' => '2026-04-20']);
    foreach (['Long Field' => 80, 'Far Down' => 40] as $field => $acres) {
        $this->logAcres($this->planted, '2025-04-25', $acres, ['field' => $field, 'crop' => 'corn'])->assertCreated();
    }
    expect(array_column(($this->season)()['fields_before'], 'acres', 'name'))->toBe(['Far Down' => 40, 'Long Field' => 80]);
    SeasonPlan::query()->create(['planter_id' => $this->planted->id, 'season' => 2025, 'fields' => [['name' => 'Planned', 'acres' => 10.5, 'crop' => null, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => null, 'population' => null]]]);
    expect(array_column(($this->season)()['fields_before'], 'name'))->toBe(['Planned']);
});

it('takes the plan along when planting moves into another year', function (): void {
    ($this->plan)()->assertOk();
    ($this->plan)(['revision' => 1, 'planting_start' => '2027-04-20', 'planting_end' => null])->assertOk();
    expect(SeasonPlan::query()->sole()->season)->toBe(2027)->and(($this->season)()['fields'])->toHaveCount(2);
});
