<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Field\Calc\CalcLine;
use Ustrel\Core\Field\Calc\Calculation;
use Ustrel\Core\Field\Calc\Calculator;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Calc\GroundDrive;
use Ustrel\Core\Field\Calc\InvalidFigure;
use Ustrel\Core\Field\Calc\Measured;
use Ustrel\Core\Field\Calc\SprocketBox;
use Ustrel\Core\Field\Calc\SprocketSet;
use Ustrel\Core\Measure\UnitSystem;

/** @return array<string, mixed> what each line says, by its key and number */
function worked(Calculation $calculation, array $in): array
{
    $said = [];
    foreach (Calculator::work($calculation, array_map(static fn (mixed $value): array|float => is_array($value) ? array_map(floatval(...), $value) : (float) $value, $in)) as $line) {
        $said[$line->key.($line->number === null ? '' : " {$line->number}")] = $line->figure === null ? $line->text : $line->figure->value;
    }

    return $said;
}

// The figures were worked in SI units by another program: metres of row, square metres of an acre, seeds of a metre.
it('reckons as worked in other units', function (Calculation $calculation, array $in, array $said): void {
    $worked = worked($calculation, $in);
    foreach ($said as $key => $value) {
        expect($worked[$key])->toEqualWithDelta($value, 2e-6 * max(1, abs($value)), $key);
    }
})->with([
    'maize spacing' => [Calculation::Spacing, ['population' => 32_000, 'width' => 30, 'mph' => 5, 'cells' => 30], ['spacing' => 6.534, 'thousandth' => 17.424, 'seeds_second' => 13.468013, 'meter_turns' => 26.936027]],
    'beans spacing' => [Calculation::Spacing, ['population' => 140_000, 'width' => 15, 'mph' => 4.5], ['spacing' => 2.98697143, 'seeds_second' => 26.5151515]],
    'spacing the other way' => [Calculation::Population, ['spacing' => 6.534, 'width' => 30], ['population' => 32_000]],
    'and for beans' => [Calculation::Population, ['spacing' => 2.98697143, 'width' => 15], ['population' => 140_000]],
    'in and out' => [Calculation::Weighing, ['in' => 412.5, 'out' => 371, 'acres' => 2.05, 'seeds_lb' => 1650], ['population' => 33_402.43902]],
    'in and out of another box' => [Calculation::Weighing, ['in' => 50, 'out' => 20.2, 'acres' => 1.5, 'seeds_lb' => 2400], ['population' => 47_680]],
    'ten turns' => [Calculation::Circumference, ['feet' => 78.4, 'turns' => 10], ['circumference' => 7.84]],
    'twelve turns' => [Calculation::Circumference, ['feet' => 73.2, 'turns' => 12], ['circumference' => 6.1]],
    'slip' => [Calculation::Slip, ['turns' => 36, 'circumference' => 7.84, 'feet' => 300], ['slip' => 5.92]],
    'it turned too often' => [Calculation::Slip, ['turns' => 50, 'circumference' => 6.1, 'feet' => 300], ['slip' => -1.6666667]],
    'acres' => [Calculation::AcreCounter, ['turns' => 12_000, 'circumference' => 7.84, 'width' => 30, 'rows' => 16, 'slip' => 5, 'map' => 92], ['acres' => 90.938089, 'against_map' => -1.1542510]],
    'acres of two rows' => [Calculation::AcreCounter, ['turns' => 4_356, 'circumference' => 10, 'width' => 60, 'rows' => 2, 'slip' => 0], ['acres' => 10]],
    'seeds for a stand' => [Calculation::StandRate, ['plants' => 30_000, 'germination' => 95, 'emergence' => 90], ['population' => 35_087.719298]],
    'seeds for a thin one' => [Calculation::StandRate, ['plants' => 9_000, 'germination' => 90, 'emergence' => 50], ['population' => 20_000]],
    // 160,000 beans an acre of 2,800 to the pound; at 7.5 in a foot of row is 1/69,696 acre.
    'beans by the pound' => [Calculation::DrillRate, ['population' => 160_000, 'seeds_lb' => 2_800, 'width' => 7.5, 'acres' => 80], ['seed_pounds' => 57.142857, 'seeds_foot' => 2.2956841, 'seed_needed' => 4_571.4286]],
    'wheat by the pound' => [Calculation::DrillRate, ['population' => 1_300_000, 'seeds_lb' => 13_000], ['seed_pounds' => 100]],
    'acres of a drill of 64 rows' => [Calculation::AcreCounter, ['turns' => 4_356, 'circumference' => 10, 'width' => 7.5, 'rows' => 64, 'slip' => 0], ['acres' => 40]],
    'dry product' => [Calculation::DryCatch, ['caught' => 1.85, 'feet' => 100, 'feet_wide' => 10], ['dry_rate' => 80.586]],
    'dry product of one row' => [Calculation::DryCatch, ['caught' => 1, 'feet' => 435.6, 'feet_wide' => 1], ['dry_rate' => 100]],
    'liquid' => [Calculation::Liquid, ['rate' => 5, 'mph' => 5.5, 'width' => 30, 'rows' => 16, 'capacity' => 10], ['per_row' => 0.13888889, 'pump' => 2.2222222, 'fastest' => 24.75]],
    'liquid at twice the rate' => [Calculation::Liquid, ['rate' => 10, 'mph' => 5.5, 'width' => 30, 'rows' => 16, 'capacity' => 10], ['pump' => 4.4444444, 'fastest' => 12.375]],
    'a plugged row among rows' => [Calculation::RowCatch, ['catches' => [20, 21, 20, 12, 19.5, 20.5]], ['median' => 20, 'row_off 4' => -40]],
    'rows alike' => [Calculation::RowCatch, ['catches' => [100, 105, 95]], ['median' => 100]],
    // 60 bushels at 0.4 last for 150 acres, 300 gallons at 5 for 60: 450 more would do.
    'two tanks' => [Calculation::Fills, ['volumes' => [60, 300], 'rates' => [0.4, 5]], ['first_stop' => 60, 'tank_acres 1' => 150, 'tank_acres 2' => 60, 'tank_short 2' => 450]],
    'three alike' => [Calculation::Fills, ['volumes' => [10, 20, 30], 'rates' => [1, 2, 3]], ['first_stop' => 10, 'tank_acres 3' => 10]],
    'marker' => [Calculation::Marker, ['rows' => 16, 'width' => 30], ['marker' => 255]],
    'marker of eight' => [Calculation::Marker, ['rows' => 8, 'width' => 36], ['marker' => 162]],
    'guess row' => [Calculation::GuessRow, ['gap' => 31.5, 'width' => 30], ['guess_row' => 1.5]],
    'guess row too narrow' => [Calculation::GuessRow, ['gap' => 34, 'width' => 36], ['guess_row' => -2]],
    'ballast' => [Calculation::Ballast, ['downforces' => [300, 300, 300, 300], 'usable' => 900], ['ballast' => 300]],
    // 200 x (5 + 10) - 100 x 6 = 2,400 ft lb, put on at 8 ft.
    'ballast about the hinge' => [Calculation::Ballast, ['downforces' => [200, 200], 'usable' => 100, 'arms' => [5, 10], 'usable_at' => 6, 'ballast_at' => 8], ['ballast' => 300]],
    'a heavy wing' => [Calculation::Ballast, ['downforces' => [100, 100], 'usable' => 900], ['ballast' => 0]],
    'reaction' => [Calculation::Reaction, ['mph' => 6, 'seconds' => 3, 'strip' => 13.2], ['reaction' => 26.4, 'share_of_strip' => 200]],
    'slow reaction' => [Calculation::Reaction, ['mph' => 5, 'seconds' => 30], ['reaction' => 220]],
    'depth mark' => [Calculation::DepthMark, ['marks' => [2, 4], 'depths' => [1, 2], 'aim' => 1.75], ['set_mark' => 3.5]],
    // By least squares over (1, 1), (2, 1.6), (3, 2): slope 0.5, 1.5333 in the middle.
    'depth mark from three digs' => [Calculation::DepthMark, ['marks' => [1, 2, 3], 'depths' => [1, 1.6, 2], 'aim' => 1.5333333333], ['set_mark' => 2]],
]);

it('plants by sprockets as worked in SI units', function (): void {
    expect((new GroundDrive(30, 7.5, 0.05))->population(24 / 20, 30))->toEqualWithDelta(79_453.44, 0.01)
        ->and((new GroundDrive(16, 6.2, fixed: 17 / 15))->population(19 / 23, 36))->toEqualWithDelta(35_081.514727, 0.001);
});

it('finds the closest sprockets as trying each of them by itself does', function (int $seed): void {
    $random = new Randomizer(new Mt19937($seed));
    $teeth = array_map(static fn (): int => $random->getInt(9, 40), range(1, 3 + $seed % 7));
    $stages = $seed % 3 === 0 && count($teeth) >= 4 ? 2 : 1;
    $ratio = $random->getInt(300, 2500) / 1000;
    // Every order of the sprockets, by their places in the box; which stage a pair is in makes no other ratio.
    $ratios = [];
    $count = count($teeth);
    for ($a = 0; $a < $count; $a++) {
        for ($b = 0; $b < $count; $b++) {
            if ($a === $b) {
                continue;
            }
            if ($stages === 1) {
                $ratios[] = $teeth[$a] / $teeth[$b];

                continue;
            }
            for ($c = 0; $c < $count; $c++) {
                for ($d = 0; $d < $count; $d++) {
                    if (count(array_unique([$a, $b, $c, $d])) === 4) {
                        $ratios[] = $teeth[$a] * $teeth[$c] / ($teeth[$b] * $teeth[$d]);
                    }
                }
            }
        }
    }
    $ratios = array_values(array_unique(array_map(static fn (float $one): string => sprintf('%.9f', $one), $ratios)));
    $offs = array_map(static fn (string $one): float => abs((float) $one / $ratio - 1), $ratios);
    sort($offs);
    $found = array_map(static fn (SprocketSet $set): float => abs($set->ratio() / $ratio - 1), (new SprocketBox($teeth))->nearest($ratio, $stages));
    expect(count($found))->toBe(count($offs));
    foreach (array_slice($offs, 0, 5) as $at => $off) {
        expect($found[$at])->toEqualWithDelta($off, 1e-8);
    }
})->with(range(1, 24));

it('goes from what is in now with the fewest changes, and counts what is in as to be had', function (): void {
    // 20/10, 30/15 and 24/12 are all 2: from 24/20 the last takes one change, the others two.
    [$first] = (new SprocketBox([10, 20, 15, 30, 12]))->nearest(2.0, 1, new SprocketSet([[24, 20]]));
    expect($first->stages)->toBe([[24, 12]])->and($first->changesFrom(new SprocketSet([[24, 20]])))->toBe([[1, 'driven', 20, 12]])
        ->and(worked(Calculation::Sprockets, ['population' => 24_000, 'width' => 30, 'cells' => 12, 'circumference' => 7, 'slip' => 0, 'box' => [10, 20, 15, 30], 'stages' => 1, 'now' => [20, 10]]))->toHaveKey('sprockets 1');
});

it('carries errors through as drawing them at random does', function (): void {
    $random = new Randomizer(new Mt19937(7));
    $bell = static function (float $mean, float $sd) use ($random): float {
        $sum = -6.0;
        for ($draw = 0; $draw < 12; $draw++) {
            $sum += $random->getInt(0, 1 << 30) / (1 << 30);
        }

        return $mean + $sd * $sum;
    };
    $spread = static function (callable $draw): float {
        $values = array_map($draw, range(1, 20_000));
        $mean = array_sum($values) / count($values);

        return sqrt(array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $values)) / count($values));
    };
    $figure = static fn (Calculation $calculation, array $in): float => Calculator::work($calculation, $in)[0]->figure?->sd ?? 0.0;
    foreach ([[412.5, 371.0, 2.05, 0.5, 2.0], [80.0, 10.0, 0.5, 1.0, 0.0], [1000.0, 990.0, 10.0, 0.2, 5.0]] as [$in, $out, $acres, $scale, $off]) {
        $drawn = $spread(static fn (): float => ($bell($in, $scale) - $bell($out, $scale)) / $acres * $bell(1650, 16.5 * $off));
        expect($figure(Calculation::Weighing, ['in' => $in, 'out' => $out, 'acres' => $acres, 'seeds_lb' => 1650.0, 'scale' => $scale, 'seeds_lb_off' => $off]))->toEqualWithDelta($drawn, 0.03 * $drawn);
    }
    // A wheel's turns are counted to a quarter.
    $drawn = $spread(static fn (): float => 100 * (1 - $bell(36, 0.25) * 7.84 / 300));
    expect($figure(Calculation::Slip, ['turns' => 36.0, 'circumference' => 7.84, 'feet' => 300.0]))->toEqualWithDelta($drawn, 0.03 * $drawn);
    // 91 seeds in 52 ft of row: what is counted varies by its root.
    expect(Measured::counted(91)->over(52.272 * 2.5 / 43_560)->sd)->toEqualWithDelta(3179.797, 0.01);
});

it('says a figure with its uncertainty to one figure or two', function (float $value, float $sd, array $said): void {
    expect(Measured::of($value, $sd)->said())->toBe($said);
})->with([
    [24_036.4, 456.0, [24_000.0, 900.0]],
    [24_036.4, 60.0, [24_040.0, 120.0]],
    [7.8412, 0.098, [7.84, 0.2]],
    [5.92, 0.65, [5.9, 1.3]],
    [5.92, 0.0, [5.92, null]],
]);

it('names who is to blame among four answers', function (array $answers, array $suspects): void {
    $said = array_map(static fn (CalcLine $line): string => $line->text, array_values(array_filter(Calculator::work(Calculation::FourAnswers, $answers + ['width' => 30.0]), static fn (CalcLine $line): bool => $line->key === 'suspect')));
    expect($said)->toBe($suspects);
})->with([
    'all agree' => [['gearing' => 32_000.0, 'weighing' => 31_500.0, 'monitor' => 32_300.0], ['agree']],
    'the scale, or seeds a pound' => [['gearing' => 32_000.0, 'weighing' => 36_000.0, 'monitor' => 32_300.0], ['seeds_per_pound', 'gearing']],
    'a sensor' => [['gearing' => 32_000.0, 'weighing' => 31_800.0, 'monitor' => 28_000.0], ['sensor']],
    'slip or skips' => [['gearing' => 32_000.0, 'weighing' => 28_000.0, 'monitor' => 28_100.0], ['slip_or_skips']],
    'weighing, though the digging tells little' => [['gearing' => 23_559.0, 'weighing' => 20_500.0, 'dug' => 91.0, 'dug_feet' => 70.0, 'monitor' => 23_800.0], ['seeds_per_pound', 'slip_or_skips']],
    // Weighing and digging confirm each other, so neither is to blame.
    'two against two' => [['gearing' => 34_000.0, 'monitor' => 34_000.0, 'weighing' => 31_000.0, 'dug' => 1780.0, 'dug_feet' => 1000.0], ['slip_or_skips', 'sensor']],
    'more than geared is no slip' => [['gearing' => 31_000.0, 'monitor' => 31_200.0, 'weighing' => 34_000.0, 'dug' => 1951.0, 'dug_feet' => 1000.0], ['gearing']],
    'two alone' => [['gearing' => 32_000.0, 'monitor' => 28_000.0], ['sensor']],
    // 2,000 seeds in 1,000 ft say 34,848 to 2 %; with 20 seeds it would be nothing but luck.
    'dug less than geared' => [['gearing' => 38_000.0, 'dug' => 2000.0, 'dug_feet' => 1000.0], ['slip_or_skips']],
    'few seeds tell nothing' => [['gearing' => 38_000.0, 'dug' => 20.0, 'dug_feet' => 10.0], ['agree']],
]);

it('refuses what cannot be, and names the figure', function (Calculation $calculation, array $in, string $input, string $fault): void {
    try {
        Calculator::work($calculation, $in);
        test()->fail('taken');
    } catch (InvalidFigure $invalid) {
        expect([$invalid->input, $invalid->fault])->toBe([$input, $fault]);
    }
})->with([
    'no population' => [Calculation::Spacing, ['width' => 30.0], 'population', 'missing'],
    'zero seeds' => [Calculation::Spacing, ['population' => 0.0, 'width' => 30.0], 'population', 'range'],
    'half a cell' => [Calculation::Spacing, ['population' => 32e3, 'width' => 30.0, 'mph' => 5.0, 'cells' => 30.5], 'cells', 'whole'],
    'not a number' => [Calculation::Spacing, ['population' => NAN, 'width' => 30.0], 'population', 'range'],
    'a sprocket of no teeth' => [Calculation::Sprockets, ['population' => 32e3, 'width' => 30.0, 'cells' => 30.0, 'circumference' => 7.0, 'slip' => 0.0, 'box' => [0.0, 20.0], 'stages' => 1.0], 'box', 'range'],
    'one sprocket' => [Calculation::Sprockets, ['population' => 32e3, 'width' => 30.0, 'cells' => 30.0, 'circumference' => 7.0, 'slip' => 0.0, 'box' => [20.0], 'stages' => 1.0], 'box', 'box'],
    'two stages of three' => [Calculation::Sprockets, ['population' => 32e3, 'width' => 30.0, 'cells' => 30.0, 'circumference' => 7.0, 'slip' => 0.0, 'box' => [20.0, 21.0, 22.0], 'stages' => 2.0], 'box', 'few'],
    'half a pair in' => [Calculation::Sprockets, ['population' => 32e3, 'width' => 30.0, 'cells' => 30.0, 'circumference' => 7.0, 'slip' => 0.0, 'box' => [20.0, 21.0], 'stages' => 1.0, 'now' => [20.0]], 'now', 'pairs'],
    'more left than went in' => [Calculation::Weighing, ['in' => 10.0, 'out' => 20.0, 'acres' => 1.0, 'seeds_lb' => 1650.0], 'out', 'more_left'],
    'a tank under nothing' => [Calculation::Fills, ['volumes' => [-5.0], 'rates' => [1.0]], 'volumes', 'range'],
    'a rate short' => [Calculation::Fills, ['volumes' => [5.0, 6.0], 'rates' => [1.0]], 'rates', 'as_many'],
    'one answer' => [Calculation::FourAnswers, ['gearing' => 32e3, 'width' => 30.0], 'gearing', 'two_answers'],
    'dug without a length' => [Calculation::FourAnswers, ['gearing' => 32e3, 'dug' => 50.0, 'width' => 30.0], 'dug', 'dug_together'],
    'nothing caught' => [Calculation::RowCatch, ['catches' => [0.0, 0.0]], 'catches', 'catch'],
    'digs at one mark' => [Calculation::DepthMark, ['marks' => [2.0, 2.0], 'depths' => [1.0, 2.0], 'aim' => 1.0], 'marks', 'two_marks'],
    'a list for a figure' => [Calculation::Marker, ['rows' => [1.0], 'width' => 30.0], 'rows', 'one'],
    'distances that lack one' => [Calculation::Ballast, ['downforces' => [100.0, 100.0], 'usable' => 50.0, 'arms' => [5.0]], 'arms', 'arms'],
]);

it('turns units over and back', function (CalcUnit $unit, float $us, float $metric): void {
    expect($unit->show($us, UnitSystem::Metric))->toEqualWithDelta($metric, 1e-4 * $metric)->and($unit->read($unit->show($us, UnitSystem::Metric), UnitSystem::Metric))->toEqualWithDelta($us, 1e-9)
        ->and($unit->show($us, UnitSystem::Inch))->toBe($us);
})->with([[CalcUnit::Inch, 30.0, 76.2], [CalcUnit::SeedsAnAcre, 32_000.0, 79_073.7], [CalcUnit::GallonsAnAcre, 10.0, 93.5396], [CalcUnit::PoundsAnAcre, 100.0, 112.085], [CalcUnit::Mph, 5.0, 8.04672], [CalcUnit::SeedsAPound, 1650.0, 3637.63], [CalcUnit::Acre, 10.0, 4.0468564]]);
