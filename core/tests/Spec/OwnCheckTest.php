<?php

declare(strict_types=1);

use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\InvalidSpecSheet;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\SpecFault;
use Ustrel\Core\Spec\SpecSheetReader;

/** @param  array<string, array<string, mixed>>  $own */
function sheetWith(array $own): Sheet
{
    $sheet = typicalSheet();
    $sheet['checks'] = $own + $sheet['checks'];

    return SpecSheetReader::read($sheet);
}

/** @return array<string, mixed> */
function ownEntry(string $kind, string $limit = '', string $station = 'gauge_wheels', bool $sided = false): array
{
    return ['own' => ['name' => 'Bracket', 'station' => $station, 'kind' => $kind, 'sided' => $sided]] + ($limit === '' ? [] : ['figures' => ['limit' => ['value' => $limit, 'source' => 'own']]]);
}

it('asks for a shop\'s own check last at its station, on the sides that were said', function (): void {
    $sheet = sheetWith(['own_3' => ownEntry('condition', sided: true), 'own_1' => ownEntry('yes_no', station: 'frame')]);
    $keys = array_keys($sheet->ofRows());
    $at = (int) array_search('own_3', $keys, true);
    expect($keys[$at - 1])->toBe('gauge_touch')->and($keys[$at + 1])->toBe('depth_stop_notch')
        ->and(count($sheet->checks['own_3']->sides))->toBe(2)
        ->and(array_keys($sheet->ofPlanter()))->toContain('own_1')
        ->and($sheet->checks['own_3']->own?->name)->toBe('Bracket');
});

it('judges it as it says', function (): void {
    $sheet = sheetWith(['own_1' => ownEntry('condition'), 'own_2' => ownEntry('yes_no'), 'own_3' => ownEntry('at_most', '12.5'), 'own_4' => ownEntry('at_least', '3')]);
    $judged = fn (string $key, Answer $answer): array => words($sheet->checks[$key]->judge($answer, Background::of()));
    $figure = fn (Check $check, string $typed): Answer => Answer::figure($check->unit->read($typed, Ustrel\Core\Measure\UnitSystem::Inch));
    $of = fn (string $key, string $typed): string => $judged($key, $figure($sheet->checks[$key], $typed))[0];
    expect($judged('own_1', Answer::state(State::Watch, [Chip::from('cracked')])))->toBe(['failed', 'cracked'])
        ->and($judged('own_2', Answer::state(State::No))[0])->toBe('change')
        // The limit itself is allowed.
        ->and([$of('own_3', '0'), $of('own_3', '12.5'), $of('own_3', '12.501')])->toBe(['sound', 'sound', 'change'])
        ->and([$of('own_4', '2.99'), $of('own_4', '3'), $of('own_4', '900')])->toBe(['change', 'sound', 'sound']);
});

it('names what is wrong with one', function (array $entry, string $fault): void {
    try {
        sheetWith(['own_1' => $entry]);
    } catch (InvalidSpecSheet $invalid) {
        expect(array_map(static fn (SpecFault $fault): string => "{$fault->path} {$fault->wordKey}", $invalid->faults))->toContain($fault);

        return;
    }
    $this->fail('It was taken.');
})->with([
    'no name' => [['own' => ['name' => ' ', 'station' => 'frame', 'kind' => 'condition']], 'own_1.name spec.own_name'],
    'a name of 61 letters' => [['own' => ['name' => str_repeat('x', 61), 'station' => 'frame', 'kind' => 'condition']], 'own_1.name spec.own_name'],
    'nowhere' => [['own' => ['name' => 'x', 'station' => 'cab', 'kind' => 'condition']], 'own_1.station spec.own_station'],
    'nothing asked' => [['own' => ['name' => 'x', 'station' => 'frame']], 'own_1.kind spec.own_kind'],
    'nothing at all' => [[], 'own_1.name spec.own_name'],
    'no limit' => [ownEntry('at_most', ' '), 'own_1.limit number.empty'],
    'a limit that is no number' => [ownEntry('at_most', 'much'), 'own_1.limit number.not_a_number'],
    'a limit beyond all range' => [ownEntry('at_most', '10001'), 'own_1.limit number.too_high'],
]);

it('keeps the places of the shop\'s own apart from the checks that ship', function (): void {
    expect(count(CheckKey::own()))->toBe(24)
        ->and(count(CheckKey::own()) + count(CheckKey::shipped()))->toBe(count(CheckKey::cases()));
});
