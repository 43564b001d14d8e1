<?php

declare(strict_types=1);

use App\Models\Planter;
use Illuminate\Support\Str;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;

/*
 * Seven planters of different kinds, from the form to the sign-off. What each is checked for stands in core/tests/Unit/planters.json,
 * worked out by hand.
 */

/** Words of the assemblies that there are, by what says that one is fitted. */
const WORDS_OF = [
    'opener' => ['double_disc' => ['blade contact', 'inner shim', 'rivets'], 'runner' => ['runner edge', 'runner slides']],
    'seed_tube_guard' => [true => ['seed tube guard', 'guard width']],
    'scrapers' => [true => ['scraper']],
    'row_cleaner' => [true => ['row cleaner', 'row-cleaner']],
    'coulter' => [true => ['coulter']],
    'firmer' => [true => ['seed firmer']],
    'depth_gauge' => ['gauge_wheels' => ['gauge wheel', 'gauge-wheel', 'depth stop']],
    'seed_sensor' => [true => ['sensor eye', 'seed sensor']],
    'covering_discs' => [true => ['covering disc', 'covering-disc']],
    'press_wheel' => ['drives' => ['press wheel drives']],
    'fertilizer_knife' => [true => ['knife edge', 'stone spring']],
    'parallel_arms' => [true => ['parallel arm', 'arm play']],
    'electronics' => [true => ['field maps', 'sensors counting']],
    'meter' => ['vacuum' => ['vacuum at'], 'plate' => ['drive tab']],
];

/** @return list<string> words that nothing may say of a planter with this equipment */
function wordsOfTheAbsent(Equipment $equipment): array
{
    $absent = [];
    foreach (WORDS_OF as $assembly => $kinds) {
        foreach ($kinds as $kind => $words) {
            $is = $equipment->kind($assembly);
            if ($is !== $kind && ! ($is === true && $kind === 1)) {
                array_push($absent, ...$words);
            }
        }
    }

    return $absent;
}

/** @param  array<string, mixed>  $step  a place of a guide that takes a look or a figure */
function sound(array $step, array $check): array
{
    $answer = match ($check['kind']) {
        'condition' => ['state' => 'sound', 'chips' => []],
        'touch' => ['state' => 'light'],
        'yes_no' => ['state' => 'yes'],
        'count' => ['typed' => $check['key'] === 'inner_shims' ? '3' : '0', 'units' => 'in'],
        default => ['typed' => match (true) {
            isset($check['figures']['new']) => $check['figures']['new']['typed'],
            $check['key'] === 'blade_contact_length' => '2 in',
            isset($check['figures']['pitch']) => '12 in',
            isset($check['figures']['target']) => '60',
            str_contains($check['key'], 'closing_gap') => '1 1/2 in',
            default => '0',
        }, 'units' => 'in'],
    };

    return ['id' => (string) Str::uuid7(), 'row' => $step['row'], 'check' => $step['check'], 'side' => $step['side'], 'taken_at' => now()->toIso8601ZuluString('millisecond')] + $answer;
}

it('takes each kind of planter from the form to the sign-off, and says nothing of what it does not have', function (array $planter): void {
    $this->travelTo('2026-04-10T12:00:00Z');
    $equipment = Equipment::of($planter['equipment'], RowUnitType::from($planter['type']));
    $id = $this->actingAs($this->technician)->postJson('/api/planters', [
        'farm' => 'Ardle', 'name' => $planter['name'], 'row_count' => $planter['rows'], 'spacing' => '30 in', 'spec_sheet_id' => $this->typicalSheet($planter['type'])->id,
        'equipment' => $planter['equipment'], 'planting_start' => '2026-04-24', 'planned_acres' => 1,
    ])->assertCreated()->assertJsonPath('equipment.opener', $equipment->kind('opener'))->json('id');
    $made = Planter::query()->findOrFail($id);
    $path = "/api/planters/{$id}";

    $guide = $this->getJson("{$path}/guide")->assertOk()->json();
    $checks = collect($guide['checks'])->keyBy('key');
    $whole = $checks->where('whole_planter', true)->sum(fn (array $check): int => count($check['sides']));
    expect(count($guide['steps']))->toBe((array_sum($planter['checks']) - $whole) * $planter['rows'] + $whole)
        ->and($guide['planter']['stations'])->toBe($checks->where('whole_planter', false)->pluck('station')->unique()->values()->all());

    $walk = $this->openWalk($made, null);
    $readings = array_map(fn (array $step): array => sound($step, $checks[$step['check']]), $guide['steps']);
    // One thing is wrong: the first look of row 1.
    $bad = collect($guide['steps'])->search(fn (array $step): bool => $step['row'] === 1 && $checks[$step['check']]['kind'] === 'condition' && $checks[$step['check']]['chips'] !== []);
    $readings[$bad] = ['state' => 'change', 'chips' => [$checks[$guide['steps'][$bad]['check']]['chips'][0]['chip']]] + $readings[$bad];
    foreach (array_chunk($readings, 400) as $some) {
        $refused = array_filter($this->send($walk, ...$some)->assertOk()->json('receipts'), fn (array $receipt): bool => $receipt['outcome'] !== 'stored');
        expect(array_values($refused))->toBe([]);
    }
    $this->postJson("/api/walks/{$walk->id}/finish")->assertOk();

    $proposal = collect($this->getJson("{$path}/decide")->assertOk()->json('found'))->firstWhere('check', $guide['steps'][$bad]['check']);
    expect($proposal)->not->toBeNull();
    $this->decide($walk, ['id' => (string) Str::uuid7(), 'row' => 1, 'check' => $proposal['check'], 'side' => $proposal['side'], 'action' => $proposal['proposal']['action'], 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertOk();

    $sign = fn (string $kind, array $answers = []) => $this->postJson("{$path}/first-pass/sign-offs", ['kind' => $kind, 'id' => (string) Str::uuid7(), 'happened_at' => now()->toIso8601ZuluString('millisecond'), 'answers' => $answers])->assertCreated();
    $sign('hand_turned');
    $sign('ready', array_map(fn (array $open): array => ['key' => $open['key'], 'answer' => 'Seen to'], $this->getJson("{$path}/first-pass")->assertOk()->json('open')));

    $said = '';
    foreach (['guide', 'board', 'rows/1', 'ledger', 'forecast', 'decide', 'policies', 'season', 'first-pass', 'work/rain?minutes=120&people=1', 'work/season'] as $screen) {
        $said .= $this->getJson("{$path}/{$screen}")->assertOk()->getContent();
    }
    $settings = array_column($this->getJson("{$path}/settings")->assertOk()->json('keys'), 'key');
    expect([in_array('sprockets', $settings, true), in_array('press_wheel', $settings, true), in_array('cleaner', $settings, true)])
        ->toBe([isset($planter['checks']['sprockets'], $planter['checks']['chain_length']), isset($planter['checks']['press_wheel']), isset($planter['checks']['row_cleaner_teeth'])]);
    foreach (['blank.pdf', 'work/cards.pdf', 'work/ready.pdf'] as $print) {
        $said .= $this->printed("{$path}/{$print}");
    }
    $said .= $this->get("{$path}/work/plan.csv")->assertOk()->getContent();
    // What the form fills in names every assembly, fitted or not.
    $said = (string) preg_replace('/"equipment":\{[^}]*\}/', '', $said);
    $absent = array_diff(array_column(CheckKey::shipped(), 'value'), array_keys($planter['checks']));
    expect(array_values(array_filter($absent, fn (string $check): bool => str_contains($said, "\"{$check}\""))))->toBe([]);
    $said = mb_strtolower($said);
    expect(array_values(array_filter(wordsOfTheAbsent($equipment), fn (string $words): bool => str_contains($said, $words))))->toBe([]);
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
})->with(array_map(static fn (array $planter): array => [$planter], json_decode((string) file_get_contents(__DIR__.'/../../core/tests/Unit/planters.json'), true)));

it('refuses in words what does not go together, and what there is not', function (array $equipment, string $says): void {
    $this->actingAs($this->technician)->postJson('/api/planters', ['farm' => 'Ardle', 'name' => 'Odd', 'row_count' => 2, 'spacing' => '30 in', 'spec_sheet_id' => $this->typicalSheet('plate')->id, 'equipment' => $equipment])
        ->assertUnprocessable()->assertJsonPath('errors.equipment.0', $says);
    expect(Planter::query()->where('name', 'Odd')->exists())->toBeFalse();
})->with([
    [['wings' => true], '“wings” is not a part that a planter can have. Choose from the list.'],
    [['opener' => 'plow'], 'opener: "plow" is not one of the kinds. Choose "double_disc", "single_disc", "runner", "hoe", "none".'],
    [['opener' => ['runner', 'hoe']], 'opener: ["runner","hoe"] is not one of the kinds. Choose "double_disc", "single_disc", "runner", "hoe", "none".'],
    [['firmer' => 'yes'], 'firmer: "yes" is not one of the kinds. Choose false, true.'],
    [['opener' => 'none', 'firmer' => true], 'A seed firmer needs a trench. Choose an opener, or take the firmer off.'],
    [['depth_gauge' => 'press_wheel', 'depth_scale' => 'turns', 'press_wheel' => 'none'], 'Depth is set by the press wheel, but there is none. Add a press wheel, or choose another depth gauge.'],
]);

it('keeps the record when a unit is changed, and asks for what has come', function (): void {
    $planter = $this->planter(['row_count' => 2]);
    $walk = $this->openWalk($planter, null);
    $this->send($walk, $this->reading(1, '14 3/4'))->assertOk();
    $form = ['farm' => $planter->farm, 'name' => $planter->name, 'row_count' => 2, 'spacing' => '30 in', 'spec_sheet_id' => $planter->spec_sheet_id];
    $this->putJson("/api/planters/{$planter->id}", $form + ['equipment' => ['covering_discs' => true]])->assertOk()->assertJsonPath('equipment.covering_discs', true);
    $guide = $this->getJson("/api/walks/{$walk->id}")->assertOk()->json();
    expect(collect($guide['steps'])->where('check', 'covering_disc_diameter'))->toHaveCount(4)
        ->and(collect($guide['steps'])->firstWhere('check', 'opener_blade_diameter')['now']['value'] ?? null)->toBe(374.65);
    // Taken off again: its places go, the blade's reading stays.
    $this->putJson("/api/planters/{$planter->id}", $form + ['equipment' => ['covering_discs' => false]])->assertOk();
    expect(collect($this->getJson("/api/walks/{$walk->id}")->json('steps'))->where('check', 'covering_disc_diameter'))->toHaveCount(0)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('puts a limit of its own on a check that only this planter has', function (): void {
    $sheet = $this->actingAs($this->technician)->postJson("/api/spec-sheets/{$this->typicalSheet()->id}/copies")->assertCreated()->json();
    expect(collect($sheet['checks'])->pluck('key'))->not->toContain('covering_disc_diameter');
    $planter = $this->planter(['spec_sheet_id' => $sheet['id'], 'equipment' => ['covering_discs' => true]]);
    $shown = $this->getJson("/api/spec-sheets/{$sheet['id']}")->assertOk()->json();
    $disc = collect($shown['checks'])->firstWhere('key', 'covering_disc_diameter');
    expect($disc['figures']['limit']['typed'])->toBe('7 in');
    $entry = fn (array $figure): array => ['value' => $figure['typed'], 'source' => $figure['source']];
    $figures = ['covering_disc_diameter' => ['limit' => ['value' => '6 1/2', 'source' => 'our manual']] + array_map($entry, $disc['figures'])];
    $this->putJson("/api/spec-sheets/{$sheet['id']}", ['name' => $shown['name'], 'notch' => $entry($shown['notch']), 'figures' => $figures])->assertOk();
    expect($planter->refresh()->load('specSheet')->readSheet()->checks['covering_disc_diameter']->figures['limit']->typed)->toBe('6 1/2 in');
});

it('takes off for a job only what is there', function (array $equipment, int $minutes): void {
    $planter = $this->planter(['row_count' => 2, 'equipment' => $equipment]);
    $walk = $this->openWalk($planter);
    $this->send($walk, $this->reading(1, '14 3/8'))->assertOk();
    // Both blades of the row are proposed.
    expect($this->toDecide($planter)['open']['minutes'])->toBe($minutes);
})->with([
    // Lock 10, then on each side gauge wheel 8, scraper 3 and blade 6.
    'gauge wheels and scrapers' => [[], 10 + 2 * (8 + 3 + 6)],
    // With a depth band there are neither.
    'a band' => [['depth_gauge' => 'band', 'depth_scale' => 'inches', 'scrapers' => false], 10 + 2 * 6],
]);
