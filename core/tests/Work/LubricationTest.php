<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\Season;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Work\Lubrication;
use Ustrel\Core\Work\Schedule\InvalidPlan;

it('goes round what the planter has: some four minutes a row', function (): void {
    $points = fn (Equipment $of): array => array_column(array_map(static fn (Lubrication $point): array => [$point->point, $point->minutes], Lubrication::read(Lubrication::points(), new RowUnits(16, $of))), 1, 0);
    $ground = $points(Equipment::of(['meter' => 'plate', 'drive' => 'ground', 'row_cleaner' => true, 'markers' => true], RowUnitType::Vacuum));
    // 16 rows at 1 + 1 + 1 + 1 + 0.5 + 0.5, and 5 + 3 + 4 of the planter.
    expect(array_sum($ground))->toBe(80 + 12)->and($ground)->toHaveKeys(['drive_shaft', 'idlers', 'markers']);
    expect($points(Equipment::of(['meter' => 'vacuum', 'drive' => 'electric', 'row_cleaner' => false], RowUnitType::Vacuum)))->toBe(['gauge_wheel_arms' => 16, 'closing_arms' => 16, 'hitch' => 3, 'pins_and_studs' => 8]);
});

beforeEach(function (): void {
    $this->point = static fn (array $with = []): Lubrication => Lubrication::read([$with + ['point' => 'hitch', 'per' => 'planter', 'minutes' => 3, 'product' => 'grease', 'rounds' => 'both']], new RowUnits(8, Equipment::of(['meter' => 'vacuum'], RowUnitType::Vacuum)))[0];
    // Planting from 20 April: rounds before it from 20 December on, after it from 20 August on.
    $this->seasons = Season::startingOn(Day::of('2026-04-20'));
    $this->due = fn (Lubrication $of, string $today, ?string $last, float $acres = 0.0, ?float $hours = null): bool => $of->isDue(Day::of($today), $this->seasons, $last === null ? null : Day::of($last), $acres, $hours);
});

it('is due before planting and after it, each once', function (): void {
    $both = ($this->point)();
    expect(($this->due)($both, '2026-03-01', null))->toBeTrue()
        ->and(($this->due)($both, '2026-03-01', '2025-12-20'))->toBeFalse()
        ->and(($this->due)($both, '2026-03-01', '2025-12-19'))->toBeTrue()
        // Greased in spring it is due again in autumn, if it has planted.
        ->and(($this->due)($both, '2026-08-19', '2026-03-01', 300.0))->toBeFalse()
        ->and(($this->due)($both, '2026-08-20', '2026-03-01', 300.0))->toBeTrue()
        ->and(($this->due)($both, '2026-08-20', '2026-03-01', 0.0))->toBeFalse()
        ->and(($this->due)($both, '2026-10-01', '2026-09-01'))->toBeFalse()
        ->and(($this->due)($both, '2026-12-20', '2026-09-01'))->toBeTrue();
});

it('is due once a season where one round is enough, at whatever time of it', function (): void {
    $before = ($this->point)(['rounds' => 'before_planting']);
    // Done in the autumn overhaul it is done for spring.
    expect(($this->due)($before, '2027-03-01', '2026-10-15', 0.0))->toBeFalse()
        ->and(($this->due)($before, '2027-03-01', '2026-03-15', 300.0))->toBeTrue()
        // Nobody is asked for it in September.
        ->and(($this->due)($before, '2026-09-15', '2026-03-15', 300.0))->toBeFalse();
    $after = ($this->point)(['rounds' => 'after_planting']);
    expect(($this->due)($after, '2026-09-15', '2026-03-15', 300.0))->toBeTrue()
        ->and(($this->due)($after, '2027-03-01', '2026-09-15', 0.0))->toBeFalse()
        // Missed in autumn it is still due in spring.
        ->and(($this->due)($after, '2027-03-01', '2025-09-15', 300.0))->toBeTrue();
});

it('goes by the calendar year where nobody has said when planting starts', function (): void {
    $this->seasons = Season::startingOn(null);
    $both = ($this->point)();
    expect(($this->due)($both, '2026-03-01', '2026-01-01'))->toBeFalse()->and(($this->due)($both, '2026-03-01', '2025-12-31'))->toBeTrue()
        ->and(($this->due)($both, '2026-08-31', '2026-03-01', 300.0))->toBeFalse()->and(($this->due)($both, '2026-09-01', '2026-03-01', 300.0))->toBeTrue();
});

it('is due again within the season after so many acres or hours', function (): void {
    expect(($this->due)(($this->point)(), '2026-05-01', '2026-03-01', 900.0, 900.0))->toBeFalse();
    $often = ($this->point)(['acres' => 60, 'hours' => 50]);
    $due = fn (float $acres, ?float $hours): bool => ($this->due)($often, '2026-05-01', '2026-03-01', $acres, $hours);
    expect($due(59.9, 49.9))->toBeFalse()->and($due(60.0, 0.0))->toBeTrue()->and($due(0.0, 50.0))->toBeTrue()
        // Nobody can tell the hours: by the acres alone.
        ->and($due(59.0, null))->toBeFalse();
});

it('was missed where the round before went by without it, and the planter planted', function (): void {
    $missed = fn (string $today, ?string $last, array $acres): bool => ($this->point)()->isMissed(Day::of($today), $this->seasons, $last === null ? null : Day::of($last), $acres);
    $spring = ['2026-04-25' => 200.0];
    // In autumn: nobody greased it before planting.
    expect($missed('2026-09-01', '2025-09-01', $spring))->toBeTrue()
        ->and($missed('2026-09-01', '2026-03-01', $spring))->toBeFalse()
        // It did not plant: there was nothing to grease it for.
        ->and($missed('2026-09-01', '2025-09-01', []))->toBeFalse()
        // In spring: nobody greased it in autumn, after it had planted.
        ->and($missed('2026-03-01', '2025-03-01', ['2025-04-25' => 200.0]))->toBeTrue()
        ->and($missed('2026-03-01', '2025-09-01', ['2025-04-25' => 200.0]))->toBeFalse()
        ->and($missed('2026-03-01', null, ['2024-04-25' => 200.0]))->toBeFalse();
    // Of one round a year the year before counts.
    $before = ($this->point)(['rounds' => 'before_planting']);
    expect($before->isMissed(Day::of('2027-03-01'), $this->seasons, Day::of('2025-03-01'), $spring))->toBeTrue()
        ->and($before->isMissed(Day::of('2027-03-01'), $this->seasons, Day::of('2026-03-01'), $spring))->toBeFalse();
});

it('refuses a list that cannot be, by its number', function (array $point): void {
    $good = ['point' => 'hitch', 'per' => 'planter', 'minutes' => 3, 'product' => 'grease', 'rounds' => 'both'];
    Lubrication::read([$good, $point + $good], new RowUnits(8, Equipment::of(['meter' => 'vacuum'], RowUnitType::Vacuum)));
})->with([[['per' => 'side']], [['minutes' => 0]], [['minutes' => '3']], [['product' => 'butter']], [['rounds' => 'monthly']], [['point' => '']], [['with' => 'wings']], [['with' => 3]], [['hours' => 0]], [['acres' => '60']], [['hours' => 1e6]]])->throws(InvalidPlan::class, 'Point 2 of what is lubricated');
