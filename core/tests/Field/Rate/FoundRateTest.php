<?php

declare(strict_types=1);

use Ustrel\Core\Field\Calc\SprocketSet;
use Ustrel\Core\Field\Rate\DriveKnown;
use Ustrel\Core\Field\Rate\FoundRate;
use Ustrel\Core\Field\Rate\InvalidRate;
use Ustrel\Core\Field\Rate\Rate;
use Ustrel\Core\Field\Rate\RateBand;
use Ustrel\Core\Field\Rate\RateCause;
use Ustrel\Core\Field\Rate\RateScope;
use Ustrel\Core\Field\Rate\RateVerdict;
use Ustrel\Core\Field\Watch\GroupKind;
use Ustrel\Core\Field\Watch\RowGroup;

/** @return list<float> an even number of spacings about a mean, whose coefficient of variation is exactly so much */
function spaced(float $mean, float $cv = 0.2, int $count = 10): array
{
    // Half of them above, half below: their sample SD is mean x c x sqrt(n / (n - 1)).
    $c = $cv * sqrt(($count - 1) / $count);

    return array_map(static fn (int $at): float => $mean * ($at % 2 === 0 ? 1 + $c : 1 - $c), range(0, $count - 1));
}

/** @return array<int, list<float>> */
function rowsAt(array $means, float $cv = 0.2, int $count = 10): array
{
    return array_map(static fn (float $mean): array => spaced($mean, $cv, $count), $means);
}

/** @return list<string> */
function saidOf(FoundRate $found): array
{
    return array_map(static fn ($of): string => trim("{$of->scope->value} {$of->group}").' '.implode(',', $of->rows).': '.implode(' ', array_map(static fn (RateCause $cause): string => $cause->code.($cause->in === null ? '' : " {$cause->in->said()}>{$cause->wanted->said()}").($cause->cells === null ? '' : " {$cause->cells}>{$cause->wantedCells}"), $of->causes)), $found->findings);
}

it('gives a ratio with its interval, worked by hand', function (): void {
    // e = 1.645 x 0.3 / sqrt(40) = 0.07803; 1.5 / 1.07803 and 1.5 / 0.92197.
    $rate = Rate::of(spaced(228.6, 0.3, 40), 152.4);
    expect($rate->ratio)->toEqualWithDelta(1.5, 1e-9)->and($rate->cv)->toEqualWithDelta(0.3, 1e-9)
        ->and($rate->low)->toEqualWithDelta(1.39143, 1e-5)->and($rate->high)->toEqualWithDelta(1.62695, 1e-5)->and($rate->verdict)->toBe(RateVerdict::Off)->and($rate->more)->toBe(0);
});

it('says how many more spacings would settle it', function (float $ratio, float $cv, int $count, RateVerdict $verdict, ?int $more): void {
    $rate = Rate::of(spaced($ratio, $cv, $count), 1.0);
    expect($rate->verdict)->toBe($verdict)->and($rate->more)->toBe($more);
})->with([
    // (1.645 x 0.3 / |1.02 / 1.05 - 1|)^2 - 40 = 298.3 - 40.
    'inside, near the edge' => [1.02, 0.3, 40, RateVerdict::Unsure, 259],
    'outside, as near to it' => [1.08, 0.3, 40, RateVerdict::Unsure, 259],
    // |1.03 / 1.05 - 1| = 0.01905: 671 - 40, which nobody digs.
    'too near to the edge' => [1.03, 0.3, 40, RateVerdict::Unsure, null],
    'on the edge' => [1.05, 0.3, 40, RateVerdict::Unsure, null],
    // (1.645 x 0.3 / 0.05 at 1.0 / 1.05 = 0.04762)^2 = 107.4.
    'in the middle, 108 of them' => [1.0, 0.3, 108, RateVerdict::Sound, 0],
    'in the middle, 106 of them' => [1.0, 0.3, 106, RateVerdict::Unsure, 2],
    'closer together' => [0.8, 0.2, 40, RateVerdict::Off, 0],
]);

it('takes a band that the shop sets, and refuses one that is none', function (): void {
    expect(Rate::of(spaced(1.08, 0.1, 100), 1.0, new RateBand(-0.1, 0.1))->verdict)->toBe(RateVerdict::Sound)->and(Rate::of(spaced(1.08, 0.1, 100), 1.0)->verdict)->toBe(RateVerdict::Off);
    expect(static fn () => new RateBand(0.0, 0.05))->toThrow(InvalidRate::class);
    expect(static fn () => new RateBand(-0.05, 0.5))->toThrow(InvalidRate::class);
    expect(static fn () => Rate::of([6.0], 6.0))->toThrow(InvalidRate::class);
    expect(static fn () => Rate::of([6.0, 0.0], 6.0))->toThrow(InvalidRate::class);
    expect(static fn () => Rate::of([6.0, 6.0], 0.0))->toThrow(InvalidRate::class);
});

it('names the sprocket where all rows plant 6 in as 9', function (): void {
    // 30/20 turns the meter by half more than 20/20 and 30/30 do. If 30/20 is in, half more again is 2.25: 45/20.
    $drive = new DriveKnown(sprockets: new SprocketSet([[30, 20]]), box: [20, 30, 45], cells: 30, otherCells: [24, 40]);
    $found = FoundRate::of(rowsAt([1 => 1.5, 5 => 1.5, 12 => 1.5, 16 => 1.5], 0.12), 16, [], $drive);
    expect($found->verdict)->toBe(RateVerdict::Off)->and(saidOf($found))->toBe(['all 1,5,12,16: sprockets 20/20>30/20 sprockets 30/30>30/20 chart 30/20>45/20']);
});

it('sees a pair that is in the wrong way round, of two pairs one, and another plate', function (DriveKnown $drive, float $ratio, string $first): void {
    $found = FoundRate::of(rowsAt([1 => $ratio, 2 => $ratio, 7 => $ratio, 8 => $ratio], 0.04), 8, [], $drive);
    expect(saidOf($found)[0])->toStartWith($first);
})->with([
    // 25/17 turned around: (25/17)^2 = 2.163.
    'turned around' => [new DriveKnown(sprockets: new SprocketSet([[25, 17]]), box: [17, 25]), 2.163, 'all 1,2,7,8: sprockets 17/25>25/17'],
    // Second driven 19 in place of 16: 19/16 = 1.1875, farther apart.
    'of two pairs the second' => [new DriveKnown(sprockets: new SprocketSet([[24, 18], [20, 16]]), box: [19]), 1.1875, 'all 1,2,7,8: sprockets 24/18, 20/19>24/18, 20/16'],
    // 40 cells should be in, 30 are: a third farther.
    'any could be in where the shop has not said which it has' => [new DriveKnown(sprockets: new SprocketSet([[30, 20]])), 1.5, 'all 1,2,7,8: sprockets 20/20>30/20 sprockets 30/30>30/20'],
    'another plate' => [new DriveKnown(cells: 40, otherCells: [24, 30]), 4 / 3, 'all 1,2,7,8: cells 30>40'],
    'a plain ratio of what nobody wrote down' => [new DriveKnown, 0.5, 'all 1,2,7,8: gearing'],
    'none of these' => [new DriveKnown, 1.22, 'all 1,2,7,8: unknown'],
    'a motor on each row has no sprockets' => [new DriveKnown(hasSprockets: false, sprockets: new SprocketSet([[30, 20]]), box: [20, 30]), 1.5, 'all 1,2,7,8: rate_entered'],
]);

it('names slip beside the sprocket that would do the same, and goes by the wheel and the monitor', function (DriveKnown $drive, array $monitor, float $ratio, string $told): void {
    $found = FoundRate::of(rowsAt([1 => $ratio, 2 => $ratio, 7 => $ratio, 8 => $ratio], 0.05), 8, [], $drive, $monitor);
    expect(saidOf($found))->toBe(["all 1,2,7,8: {$told}"]);
})->with([
    // 19 in place of 18: 19/18 = 1.056; the interval of 1.08 from 40 of CV 0.05 is 1.066 to 1.094: 13/12 = 1.083.
    'one tooth' => [new DriveKnown(sprockets: new SprocketSet([[13, 20]]), box: [12]), [], 1.08, 'sprockets 12/20>13/20 slip'],
    'slip alone' => [new DriveKnown, [], 1.1, 'slip'],
    'the wheel does not touch' => [new DriveKnown(wheelTouches: false), [], 1.1, 'drive_wheel slip'],
    'too close together it is not slip' => [new DriveKnown(wheelTouches: false), [], 0.9, 'unknown'],
    'the monitor sees what it should' => [new DriveKnown(sprockets: new SprocketSet([[30, 20]]), box: [20]), [1 => 1.0, 2 => 1.01, 7 => 0.99, 8 => 1.0], 1.5, 'sensor'],
    'the monitor sees it too' => [new DriveKnown(sprockets: new SprocketSet([[30, 20]]), box: [20]), [1 => 1.5, 2 => 1.48], 1.5, 'sprockets 20/20>30/20'],
]);

it('tells all rows, half the planter, a group and one row apart', function (array $means, array $groups, array $expected): void {
    $groups = array_map(static fn (array $rows): RowGroup => RowGroup::of(GroupKind::Motor, 'Motor', $rows, 16), $groups);
    expect(saidOf(FoundRate::of(rowsAt($means, 0.15), 16, $groups)))->toBe($expected);
})->with([
    'nothing' => [[1 => 1.0, 5 => 1.01, 12 => 0.99, 16 => 1.0], [], []],
    'one row' => [[1 => 1.0, 5 => 1.5, 12 => 1.0, 16 => 1.0], [], ['row 5: meter']],
    'the left half' => [[1 => 1.4, 5 => 1.4, 12 => 1.0, 16 => 1.0], [], ['left_half 1,5: shared_drive']],
    'the right half' => [[1 => 1.0, 5 => 1.0, 12 => 0.7, 16 => 0.7], [], ['right_half 12,16: shared_drive']],
    'a motor' => [[1 => 1.0, 5 => 1.4, 6 => 1.4, 7 => 1.0, 16 => 1.0], [[5, 6, 8]], ['group Motor 5,6: shared_drive']],
    'two rows that share nothing' => [[1 => 1.4, 5 => 1.0, 7 => 1.0, 11 => 1.4, 16 => 1.0], [], ['row 1: meter', 'row 11: meter']],
    'all rows, and one besides' => [[1 => 2.0, 5 => 2.0, 8 => 3.4, 12 => 2.0, 16 => 2.0], [], ['all 1,5,12,16: gearing', 'row 8: meter']],
]);

it('does not call all rows off by one half of the planter, and says of one row that it may stand for all', function (): void {
    $half = FoundRate::of(rowsAt([1 => 1.5, 2 => 1.5, 5 => 1.5], 0.1), 16)->findings[0];
    $one = FoundRate::of(rowsAt([3 => 1.5], 0.1), 16)->findings[0];
    $both = FoundRate::of(rowsAt([3 => 1.5, 9 => 1.5], 0.1), 16)->findings[0];
    expect($half->scope)->toBe(RateScope::All)->and($half->isProven)->toBeFalse()->and($one->scope)->toBe(RateScope::Row)->and($one->isProven)->toBeFalse()
        ->and(array_column($one->causes, 'code'))->toBe(['meter', 'gearing'])->and($both->isProven)->toBeTrue()
        ->and(FoundRate::of(rowsAt([1 => 1.5], 0.1), 1)->findings[0]->isProven)->toBeTrue();
});

it('does not take missing seeds for a wrong gear', function (): void {
    // Set 1.0; every third is missing: 1, 2, 1, 2 ... has a mean of 1.5.
    $skips = array_fill_keys([1, 5, 12, 16], [1.0, 2.0, 1.02, 0.98, 2.0, 1.0, 1.0, 2.0, 1.01, 2.99]);
    $doubles = array_fill_keys([1, 5, 12, 16], [1.0, 0.1, 1.0, 0.05, 0.95, 1.0, 1.0, 0.1, 1.0, 1.0]);
    expect(saidOf(FoundRate::of($skips, 16)))->toBe(['all 1,5,12,16: skips'])->and(saidOf(FoundRate::of($doubles, 16)))->toBe(['all 1,5,12,16: doubles']);
});

it('holds its false calls, and finds what is off', function (): void {
    mt_srand(22);
    $uniform = static fn (): float => (mt_rand() + 0.5) / (mt_getrandmax() + 1);
    // Spacings scatter unevenly: many near the mean, a long tail, now and then a seed that is missing or lies double.
    $spacing = static function (float $skew) use ($uniform): float {
        $gap = $uniform() < 0.03 ? 2.0 : 1.0;

        return $gap * (1 + $skew * (-log($uniform()) - 1) * 0.2 + 0.15 * ($uniform() + $uniform() - 1));
    };
    $rows = static function (array $factors, float $skew) use ($spacing): array {
        return array_map(static fn (float $factor): array => array_map(static fn (): float => $factor / 1.03 * $spacing($skew), range(1, 12)), $factors);
    };
    $sound = array_fill_keys([1, 4, 6, 11, 13, 16], 1.0);
    $count = ['false' => 0, 'all' => 0, 'row' => 0, 'half' => 0];
    for ($run = 0; $run < 300; $run++) {
        $skew = $uniform();
        $count['false'] += FoundRate::of($rows($sound, $skew), 16)->findings === [] ? 0 : 1;
        $count['all'] += (FoundRate::of($rows(array_fill_keys(array_keys($sound), 1.5), $skew), 16)->findings[0]->scope ?? null) === RateScope::All ? 1 : 0;
        $row = FoundRate::of($rows([6 => 2.0] + $sound, $skew), 16)->findings;
        $count['row'] += count($row) === 1 && $row[0]->rows === [6] ? 1 : 0;
        $count['half'] += (FoundRate::of($rows([1 => 1.6, 4 => 1.6, 6 => 1.6] + $sound, $skew), 16)->findings[0]->scope ?? null) === RateScope::LeftHalf ? 1 : 0;
    }
    expect($count['false'])->toBeLessThan(30)->and($count['all'])->toBeGreaterThan(285)->and($count['row'])->toBeGreaterThan(270)->and($count['half'])->toBeGreaterThan(270);
});
