<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Opener\ShimCount;
use Ustrel\Core\Opener\ShimsMoved;
use Ustrel\Core\Parts\FitRule;
use Ustrel\Core\Parts\FitRules;
use Ustrel\Core\Parts\Installed;
use Ustrel\Core\Parts\Life\Renewal;
use Ustrel\Core\Parts\Life\Renewals;
use Ustrel\Core\Parts\PartFitting;
use Ustrel\Core\Parts\PartKind;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Findings;
use Ustrel\Core\Walk\Place;

$on = static fn (string $day): Moment => Moment::of("{$day}T12:00:00Z");
$in = static fn (Slot $slot, Side $side, string $from, ?float $size = null, bool $used = false, ?string $until = null, int $row = 1): Installed => new Installed(
    new PartFitting("{$slot->value} {$from}", new SlotPlace($row, $slot, $side), "part {$from}", $on($from), $until === null ? null : $on($until)), $size, 0.0, $used,
);
/** @param  array<string, Renewal>  $renewals */
$told = static fn (array $renewals): array => array_map(static fn (Renewal $renewal): string => implode(' ', [$renewal->result->value, ...words($renewal->judgement)]), $renewals);

it('tells a new part, judges a used one by its size, and asks for the contact again', function () use ($on, $in, $told): void {
    $seen = array_fill_keys(['1:opener_blade_diameter:left', '1:opener_blade_diameter:right', '1:blade_contact_length:centre'], $on('2026-03-01'));
    $new = Renewals::of(sheetFor(), [$in(Slot::from('opener_blade'), Side::Left, '2026-03-02', 381.0)], $seen, []);
    expect($told($new)['1:opener_blade_diameter:left'])->toBe('fitted sound new_since')
        ->and($told($new)['1:blade_contact_length:centre'])->toBe('measure_again unchecked measure_again')
        ->and($new['1:opener_blade_diameter:left']->lifeLeft)->toBe(1.0)
        ->and($new)->not->toHaveKey('1:opener_blade_diameter:right');
    // Whose size nobody knows is new and no more is said of it.
    $unknown = Renewals::of(sheetFor(), [$in(Slot::from('opener_blade'), Side::Left, '2026-03-02')], $seen, [])['1:opener_blade_diameter:left'];
    expect([$unknown->result->value, $unknown->judgement->verdict, $unknown->lifeLeft])->toBe(['fitted', Verdict::Sound, null]);
    // 14 7/8 in is sound, unless the season would take it to the limit: then it is watched as it goes in.
    $half = [$in(Slot::from('opener_blade'), Side::Left, '2026-03-02', 377.825, true)];
    $short = new SeasonOutlook(Unit::Millimetre->quantityOf(380.0), Unit::Percent->quantity(20_000));
    expect(Renewals::of(sheetFor(), $half, $seen, [])['1:opener_blade_diameter:left']->judgement->verdict)->toBe(Verdict::Sound)
        ->and(Renewals::of(sheetFor(), $half, $seen, ['1:opener_blade_diameter:left' => $short])['1:opener_blade_diameter:left']->judgement->verdict)->toBe(Verdict::Watch);
    // 14 7/16 in is under the limit of 14 1/2: worn out as it went in.
    $used = Renewals::of(sheetFor(), [$in(Slot::from('opener_blade'), Side::Left, '2026-03-02', 366.7125, true)], $seen, []);
    expect($told($used)['1:opener_blade_diameter:left'])->toBe('fitted change under_limit used_since');
});

it('asks for contact, touch, scraper and depth again after a blade was changed, of its side', function () use ($on, $in): void {
    $keys = ['1:blade_contact_length:centre', '1:gauge_touch:left', '1:gauge_touch:right', '1:scraper:left', '1:scraper:right', '1:depth_stop_notch:centre', '1:seed_tube:centre', '2:gauge_touch:left'];
    $renewals = Renewals::of(sheetFor(), [$in(Slot::from('opener_blade'), Side::Left, '2026-03-02', 381.0)], array_fill_keys($keys, $on('2026-03-01')), []);
    expect(array_values(array_intersect(array_keys($renewals), $keys)))->toEqualCanonicalizing(['1:blade_contact_length:centre', '1:gauge_touch:left', '1:scraper:left', '1:depth_stop_notch:centre']);
});

it('leaves alone what was looked at after, and asks nothing again that was never read', function () use ($on, $in): void {
    $after = ['1:opener_blade_diameter:left' => $on('2026-03-03'), '1:blade_contact_length:centre' => $on('2026-03-03')];
    $fitted = [$in(Slot::from('opener_blade'), Side::Left, '2026-03-02', 381.0)];
    expect(Renewals::of(sheetFor(), $fitted, $after, []))->not->toHaveKey('1:opener_blade_diameter:left')->not->toHaveKey('1:blade_contact_length:centre')
        ->and(array_keys(Renewals::of(sheetFor(), $fitted, [], [])))->not->toContain('1:blade_contact_length:centre')->toContain('1:opener_blade_diameter:left');
});

it('asks for contact and counts again after shims were moved, on that row alone', function () use ($on): void {
    $seen = array_fill_keys(['1:blade_contact_length:centre', '1:inner_shims:left', '1:inner_shims:right', '2:blade_contact_length:centre'], $on('2026-03-01'));
    $renewals = Renewals::of(sheetFor(), [new ShimsMoved('m', 1, -1, $on('2026-03-02'))], $seen, []);
    expect(array_keys($renewals))->toEqualCanonicalizing(['1:blade_contact_length:centre', '1:inner_shims:left', '1:inner_shims:right']);
});

it('asks for the touch of the side alone whose tire was changed', function () use ($on, $in): void {
    $seen = array_fill_keys(['1:gauge_touch:left', '1:gauge_touch:right'], $on('2026-03-01'));
    $renewals = Renewals::of(sheetFor(), [$in(Slot::from('gauge_tyre'), Side::Right, '2026-03-02')], $seen, []);
    expect($renewals)->toHaveKey('1:gauge_touch:right')->not->toHaveKey('1:gauge_touch:left');
});

it('knows what is in the pack by the count and the moves since, and when the count was wrong', function () use ($on): void {
    $count = new ShimCount(1, Side::Left, 3, $on('2026-03-02'));
    $move = static fn (int $row, int $pairs, string $day): ShimsMoved => new ShimsMoved($day, $row, $pairs, $on($day));
    expect($count->now([]))->toBe(3)
        ->and($count->now([$move(1, -2, '2026-03-01'), $move(2, -2, '2026-03-03')]))->toBe(3)
        ->and($count->now([$move(1, -2, '2026-03-03'), $move(1, 1, '2026-03-04')]))->toBe(2)
        ->and($count->now([$move(1, -3, '2026-03-03')]))->toBe(0)
        ->and($count->now([$move(1, -4, '2026-03-03')]))->toBeNull();
});

it('names the part that went in last of two that do not go together, only while both were in', function (array $parts, array $moments, bool $carries, ?string $last) use ($on, $in): void {
    $kinds = ['plain blade' => [Slot::from('opener_blade'), new PartKind], 'heavy blade' => [Slot::from('opener_blade'), new PartKind(heavy: true)], 'plain guard' => [Slot::from('seed_tube_guard'), new PartKind], 'wide guard' => [Slot::from('seed_tube_guard'), new PartKind(clearance: true)]];
    $held = array_map(static function (array $part) use ($kinds, $in): array {
        [$name, $row, $from, $until] = [...$part, null];
        [$slot, $kind] = $kinds[$name];

        return [$in($slot, $slot->is('opener_blade') ? Side::Left : Side::Centre, $from, null, false, $until, $row)->fitting, $kind];
    }, $parts);
    $broken = FitRules::broken($held, array_map($on, $moments), new RowUnits(8, Equipment::of(['clearance_guard' => $carries], RowUnitType::Vacuum)));
    expect($broken === null ? null : $broken[0]->id)->toBe($last);
    if ($broken !== null) {
        expect($broken[1])->toBe(FitRule::HeavyBladesNeedClearanceGuard);
    }
})->with([
    'a plain blade goes with any guard' => [[['plain blade', 1, '2026-03-01'], ['plain guard', 1, '2026-03-02']], ['2026-03-03'], false, null],
    'heavy with a wide guard' => [[['heavy blade', 1, '2026-03-01'], ['wide guard', 1, '2026-03-02']], ['2026-03-03'], false, null],
    'heavy with a plain guard that came later' => [[['heavy blade', 1, '2026-03-01'], ['plain guard', 1, '2026-03-02']], ['2026-03-03'], true, 'seed_tube_guard 2026-03-02'],
    'heavy that came later' => [[['plain guard', 1, '2026-03-01'], ['heavy blade', 1, '2026-03-02']], ['2026-03-03'], true, 'opener_blade 2026-03-02'],
    'no guard on record: by what the planter carries' => [[['heavy blade', 1, '2026-03-01']], ['2026-03-03'], false, 'opener_blade 2026-03-01'],
    'and it carries one' => [[['heavy blade', 1, '2026-03-01']], ['2026-03-03'], true, null],
    'on other rows' => [[['heavy blade', 1, '2026-03-01'], ['wide guard', 1, '2026-03-01'], ['plain guard', 2, '2026-03-02']], ['2026-03-03'], false, null],
    'not in at that moment' => [[['heavy blade', 1, '2026-03-01', '2026-03-02'], ['plain guard', 1, '2026-03-01']], ['2026-03-03'], true, null],
    'but at an earlier one' => [[['heavy blade', 1, '2026-03-01', '2026-03-02'], ['plain guard', 1, '2026-02-01']], ['2026-03-03', '2026-03-01'], true, 'opener_blade 2026-03-01'],
]);

it('lists findings with the worst first, then along the planter, without what is sound or unchecked', function (): void {
    $place = static fn (int $row): Place => new Place($row, CheckKey::from('scraper'), Side::Left);
    $places = array_map($place, [1, 2, 3, 4, 5, 6]);
    $verdicts = array_combine(
        array_map(static fn (Place $one): string => $one->key(), array_slice($places, 0, 5)),
        [Verdict::Watch, Verdict::Sound, Verdict::Failed, Verdict::Change, Verdict::Watch],
    );
    expect(array_map(static fn (int $at): int => $places[$at]->row, Findings::among($places, $verdicts)))->toBe([3, 4, 1, 5]);
});

it('reads a place back from its key', function (): void {
    foreach ([new Place(0, CheckKey::from('toolbar_pitch'), Side::Centre), new Place(48, CheckKey::from('opener_blade_diameter'), Side::Right)] as $place) {
        expect(Place::fromKey($place->key()))->toEqual($place);
    }
});
