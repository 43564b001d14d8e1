<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Field\Dig\DepthTurn;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Field\Dig\DugRows;
use Ustrel\Core\Field\Dig\InvalidDig;
use Ustrel\Core\Field\Dig\RowsToDig;
use Ustrel\Core\Spec\DepthScale;

/**
 * Depths of a row as they lie: each is like the one before it, one in twenty is far off where tails are heavy, and a rule reads
 * sixteenths.
 *
 * @return list<float> millimetres
 */
function dug(Randomizer $random, int $seeds, float $mean, float $sd, float $alike, bool $hasTails): array
{
    $bell = static function () use ($random): float {
        $sum = -6.0;
        for ($draw = 0; $draw < 12; $draw++) {
            $sum += $random->getInt(0, 1 << 30) / (1 << 30);
        }

        return $sum;
    };
    $off = $bell();
    $depths = [];
    for ($seed = 0; $seed < $seeds; $seed++) {
        $off = $alike * $off + sqrt(1 - $alike ** 2) * $bell() * ($hasTails && $random->getInt(1, 20) === 1 ? 3 : 1);
        $depths[] = max(1.0, round(($mean + $sd * $off) / 1.5875) * 1.5875);
    }

    return $depths;
}

it('has the figures of a row as worked by hand', function (): void {
    $row = new DugRow([44, 46, 48], [150, 160, 170, 20, 310]);
    expect([$row->depth(), $row->depthSd(), $row->spacing()])->toBe([46.0, 2.0, 162.0])
        // (12, 2, 8, 142, 148)^2 add up to 42,280; over 4, its root is 102.81.
        ->and($row->spacingCv())->toEqualWithDelta(102.81 / 162, 1e-4)
        ->and($row->drops(160)?->multipleIndex())->toBe(0.2)->and($row->drops(160)?->missIndex())->toBe(0.2)->and($row->drops(160)?->feedIndex())->toBe(0.6)
        // 0.162 m by 0.762 m: 8.1009 seeds a square metre, 4,046.856 of them an acre.
        ->and($row->population(762)?->value)->toEqualWithDelta(32_782.8, 0.5)->and($row->population(762)?->sd)->toEqualWithDelta(32_782.8 * 102.81 / 162 / sqrt(5), 2.0)
        ->and((new DugRow([45]))->depthSd())->toBeNull()->and((new DugRow([45]))->drops(160))->toBeNull();
});

it('asks about a figure that lost its point, and not about a skip', function (): void {
    expect((new DugRow([], [6, 6, 61, 6.2]))->doubts())->toBe([['spacings', 2, 61]])
        ->and((new DugRow([], [160, 165, 640, 158, 10]))->doubts())->toBe([])
        ->and((new DugRow([45, 47, 4.4, 50]))->doubts())->toBe([['depths', 2, 4.4]])
        ->and((new DugRow([45, 47]))->doubts())->toBe([]);
});

it('names the row that is off, and not those that it pulls the middle away from', function (): void {
    $rows = (new DugRows([1 => new DugRow([50, 51, 49, 50, 51, 50]), 7 => new DugRow([51, 50, 50, 51, 49, 50]), 11 => new DugRow([38, 39, 37, 38, 38, 39]), 16 => new DugRow([50, 49, 51, 50, 50, 51])]))->differing();
    expect(array_keys($rows))->toBe([11])->and($rows[11])->toEqualWithDelta(-12.0, 0.2);
});

it('turns by half notches, higher is deeper, and counts blades that were changed since', function (): void {
    $rows = new DugRows([1 => new DugRow([38, 38, 38.5, 38, 37.5]), 2 => new DugRow([50.8, 50.8, 51, 50.6, 50.8])]);
    // 12.8 mm under the aim of 50.8 are 2 notches of 6.35; blades that gained 3.2 mm leave 1.5.
    $turn = static fn (int $row, float $gained = 0.0): ?DepthTurn => DepthTurn::of($row, DepthScale::Notches, $rows, null, [], 50.8, 6.35, $gained);
    expect($turn(1)?->by)->toBe(2.0)->and($turn(1)->isDeeper)->toBeTrue()->and($turn(2)?->by)->toBe(0.0)->and($turn(1, 3.2)?->by)->toBe(1.5)
        ->and($turn(9))->toBeNull()->and(array_keys($rows->differing()))->toBe([1, 2])
        ->and(fn () => new DugRow([]))->toThrow(InvalidDig::class)->and(fn () => new DugRow([45, -1]))->toThrow(InvalidDig::class);
});

it('calls rows that plant alike different in under one dig of twenty, and finds one that is really shallow', function (int $rows, int $seeds, float $alike, bool $hasTails, bool $isUneven, float $found): void {
    $random = new Randomizer(new Mt19937(15));
    $false = $right = 0;
    for ($set = 0; $set < 200; $set++) {
        $sds = array_map(static fn (): float => $isUneven ? $random->getInt(350, 750) / 100 : 5.0, range(1, $rows));
        $of = static fn (float $first): array => array_map(static fn (int $row): DugRow => new DugRow(dug($random, $seeds, $row === 0 ? $first : 45, $sds[$row], $alike, $hasTails)), range(0, $rows - 1));
        $false += (new DugRows($of(45)))->differing() === [] ? 0 : 1;
        $right += isset((new DugRows($of(33)))->differing()[0]) ? 1 : 0;
    }
    expect($false / 200)->toBeLessThan(0.05)->and($right / 200)->toBeGreaterThan($found);
})->with([
    'four rows' => [4, 10, 0.0, false, false, 0.9],
    'four rows, neighbours alike' => [4, 10, 0.4, false, false, 0.38],
    'eight rows, neighbours alike, heavy tails' => [8, 10, 0.4, true, false, 0.4],
    'sixteen rows, neighbours alike, rows unlike' => [16, 10, 0.4, false, true, 0.38],
    'sixteen rows, neighbours very alike' => [16, 10, 0.6, false, false, 0.2],
    'sixteen rows of five seeds' => [16, 5, 0.4, false, false, 0.2],
    'two rows of twenty seeds' => [2, 20, 0.4, true, false, 0.7],
]);

it('turns the handle to within half a notch of what is right, from ten seeds a row', function (int $rows, float $sd, float $alike, bool $hasTails, float $share): void {
    $random = new Randomizer(new Mt19937(16));
    $right = $all = 0;
    for ($set = 0; $set < 150; $set++) {
        $truth = array_map(static fn (): float => 40 + $random->getInt(0, 1600) / 100, range(1, $rows));
        $dug = new DugRows(array_map(static fn (float $mean): DugRow => new DugRow(dug($random, 10, $mean, $sd, $alike, $hasTails)), $truth));
        foreach ($truth as $row => $mean) {
            $right += abs((DepthTurn::of($row, DepthScale::Notches, $dug, null, [], 50.8, 6.35)->by ?? INF) - (50.8 - $mean) / 6.35) <= 0.5 ? 1 : 0;
            $all++;
        }
    }
    expect($right / $all)->toBeGreaterThan($share);
})->with([
    'depths that scatter by 5 mm' => [4, 5.0, 0.0, false, 0.85],
    'heavy tails' => [8, 4.5, 0.0, true, 0.85],
    'one row alone' => [1, 4.5, 0.0, false, 0.85],
    'neighbours alike, by 3 mm' => [8, 3.0, 0.4, false, 0.85],
    // Ten seeds that are alike are worth four: nothing tells more.
    'neighbours alike, by 5 mm' => [8, 5.0, 0.4, false, 0.68],
]);

it('digs first where it tells most', function (): void {
    // 60 in either side of the middle of sixteen 30 in rows lie rows 6.5 and 10.5.
    expect(RowsToDig::of(16, 762, [11, 3]))->toBe([1 => 'wing', 3 => 'record', 7 => 'track', 11 => 'record', 16 => 'wing'])
        ->and(RowsToDig::of(16, 762, [1]))->toBe([1 => 'record', 7 => 'track', 11 => 'track', 16 => 'wing'])
        ->and(RowsToDig::of(2, 762, []))->toBe([1 => 'wing', 2 => 'wing'])->and(RowsToDig::of(1, 762, [1]))->toBe([1 => 'record'])
        // Of sixteen 15 in rows every second one is parked: the tracks lie at 4.5 and 12.5, the wings are the outer rows that plant.
        ->and(RowsToDig::of(16, 381, [2, 3], [2, 4, 6, 8, 10, 12, 14, 16]))->toBe([1 => 'wing', 3 => 'record', 5 => 'track', 13 => 'track', 15 => 'wing'])
        ->and(RowsToDig::of(16, 381, [], [5]))->toBe([1 => 'wing', 4 => 'track', 13 => 'track', 16 => 'wing'])
        ->and(RowsToDig::of(3, 381, [2], [1, 2]))->toBe([3 => 'wing']);
});
