<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Field\Emergence\Evenness;
use Ustrel\Core\Field\Emergence\InvalidStand;
use Ustrel\Core\Field\Emergence\PlantCount;
use Ustrel\Core\Field\Emergence\ShortRows;

it('has the stand of a thousandth of an acre', function (): void {
    // 17 ft 5 in at 30 in are a thousandth; 20 ft at 36 in are 60 square feet.
    expect((new PlantCount(1, 200, 28, 17.424))->stand(30))->toEqualWithDelta(28_000, 1e-6)->and((new PlantCount(1, 200, 30, 20))->stand(36))->toEqualWithDelta(21_780, 1e-6)
        ->and(fn () => new PlantCount(1, 200, -1, 17))->toThrow(InvalidStand::class)->and(fn () => new PlantCount(1, 200, 1, 0))->toThrow(InvalidStand::class);
});

it('finds the hours from 10 to 90 % of a curve that is known', function (float $final, float $half, float $hours): void {
    $at = static fn (float $time): int => (int) round($final / (1 + exp(-($time - $half) / ($hours / log(81)))));
    $fit = Evenness::of(array_map(static fn (int $time): PlantCount => new PlantCount(1, $time, $at($time), 17.4), range((int) $half - 48, (int) $half + 72, 12)));
    expect($fit?->hours)->toEqualWithDelta($hours, 0.12 * $hours)->and($fit?->half)->toEqualWithDelta($half, 1.5)->and($fit?->final)->toEqualWithDelta($final, 0.05 * $final);
})->with([[100, 180, 36], [250, 220, 24], [60, 300, 60]]);

/** @param  array<int, int>  $plants  by hours after planting */
function evenness(array $plants): ?Evenness
{
    return Evenness::of(array_map(static fn (int $hours, int $count): PlantCount => new PlantCount(1, $hours, $count, 17.4), array_keys($plants), $plants));
}

it('goes by straight lines between counts, by hand', function (): void {
    // Of 29 the tenth, 2.9, is up at 120 + 24 x 2.9 / 14; nine tenths, 26.1, at 144 + 24 x 12.1 / 15; half, 14.5, at 144 + 24 x 0.5 / 15.
    $rising = evenness([120 => 0, 144 => 14, 168 => 29]);
    expect($rising?->hours)->toEqualWithDelta((144 + 24 * 12.1 / 15) - (120 + 24 * 2.9 / 14), 1e-9)->toEqualWithDelta(38.389, 1e-3)
        ->and($rising?->half)->toEqualWithDelta(144.8, 1e-9)
        // From 15 to 29 in a day is no final stand: count again a day later.
        ->and([$rising?->isComplete, $rising?->countAgain, $rising?->least, $rising?->most])->toBe([false, 192.0, 0.0, 48.0]);
    $done = evenness([120 => 0, 144 => 14, 168 => 29, 192 => 30]);
    expect([$done?->isComplete, $done?->countAgain])->toBe([true, null]);
});

it('gives bounds where counts do not bracket, and never says half up later than they were counted', function (): void {
    $first = evenness([150 => 26, 174 => 27, 198 => 28]);
    expect([$first?->hours, $first?->half, $first?->halfBy, $first?->least, $first?->most, $first?->isComplete])->toBe([null, null, 150.0, 0.0, 150.0, true]);
    // A tenth was up before the first count: it took at least from there to nine tenths, and at most since planting.
    $some = evenness([150 => 8, 174 => 20, 198 => 30, 222 => 31]);
    expect([$some?->hours, $some?->least, $some?->most])->toBe([null, 24.0, 198.0])->and($some?->half)->toBeLessThanOrEqual(174);
    expect(evenness([150 => 0, 174 => 0]))->toBeNull()->and(evenness([150 => 3]))->toBeNull();
});

it('holds within a fifth of the truth in three of four stands that are counted as plants come', function (): void {
    $random = new Randomizer(new Mt19937(3));
    $draw = static fn (): float => ($random->getInt(0, 1 << 30) + 0.5) / ((1 << 30) + 1);
    $held = 0;
    for ($stand = 0; $stand < 40; $stand++) {
        [$half, $hours] = [$random->getInt(150, 260), $random->getInt(20, 70)];
        // Each of 90 plants comes at its own hour; the last are late ones, which no logistic has.
        $up = array_map(static function () use ($draw, $half, $hours): float {
            $at = $draw();

            return $half + $hours / log(81) * log($at / (1 - $at)) + ($draw() < 0.03 ? 60 : 0);
        }, range(1, 90));
        $counts = array_map(static fn (int $time): PlantCount => new PlantCount(1, $time, count(array_filter($up, static fn (float $of): bool => $of <= $time)), 50), range($half - 36, $half + 96, 12));
        $held += abs((Evenness::of($counts)->hours ?? 0) / $hours - 1) < 0.2 ? 1 : 0;
    }
    expect($held)->toBeGreaterThan(30);
});

it('calls rows short in under one field of twenty where none is, and finds the one that lost a third', function (): void {
    $random = new Randomizer(new Mt19937(4));
    $count = static function (int $places, float $up) use ($random): int {
        $plants = 0;
        for ($place = 0; $place < $places; $place++) {
            $plants += $random->getInt(1, 1000) <= 1000 * $up ? 1 : 0;
        }

        return $plants;
    };
    $false = $found = 0;
    for ($field = 0; $field < 400; $field++) {
        $of = static fn (float $first): array => array_map(static fn (int $row): PlantCount => new PlantCount($row, 300, $count(100, $row === 0 ? $first : 0.9), 60), range(0, 7));
        $false += ShortRows::among($of(0.9)) === [] ? 0 : 1;
        $found += isset(ShortRows::among($of(0.6))[0]) ? 1 : 0;
    }
    expect($false / 400)->toBeLessThan(0.05)->and($found / 400)->toBeGreaterThan(0.7);
    // Half of what the others have, on half of the length each by hand.
    expect(ShortRows::among([1 => new PlantCount(1, 300, 10, 20), 2 => new PlantCount(2, 300, 60, 40)]))->toEqualWithDelta([1 => (10 / 20) / (60 / 40)], 1e-9)
        ->and(ShortRows::among([1 => new PlantCount(1, 300, 10, 20)]))->toBe([]);
});

it('finds a short row beside a dead one, and holds both against those that stand', function (): void {
    $counts = [];
    foreach ([1 => 80, 2 => 75, 3 => 40, 4 => 2] as $row => $plants) {
        $counts[$row] = new PlantCount($row, 400, $plants, 50);
    }
    $short = ShortRows::among($counts);
    expect(array_keys($short))->toBe([3, 4])->and($short[3])->toEqualWithDelta(40 / 77.5, 1e-9)->and($short[4])->toEqualWithDelta(2 / 77.5, 1e-9);
});
