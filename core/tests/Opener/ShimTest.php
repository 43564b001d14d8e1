<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Opener\ShimAdvice;
use Ustrel\Core\Opener\ShimAdviceCode;
use Ustrel\Core\Opener\ShimCount;
use Ustrel\Core\Opener\ShimMove;
use Ustrel\Core\Opener\ShimSensitivity;
use Ustrel\Core\Opener\ShimsMoved;
use Ustrel\Core\Parts\Installed;
use Ustrel\Core\Parts\PartFitting;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Rules\Window;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\TakenReading;
use Ustrel\Core\Wear\Acres\FieldRun;
use Ustrel\Core\Wear\Acres\UseLog;
use Ustrel\Core\Wear\History;

function advice(string $contact, ?int $left, ?int $right, ShimMove ...$moves): ShimAdvice
{
    $read = static fn (string $typed): Length => Length::read($typed, UnitSystem::Inch);
    $window = new Window($read('1 1/2'), $read('2 1/2'), $read('2'), $read('1/8'));

    return ShimAdvice::of($read($contact)->toMillimetres(), $window, $left, $right, ShimSensitivity::learn(array_values($moves)));
}

it('moves shims on both sides alike, towards the aim', function (string $contact, int $left, int $right, ShimAdviceCode $code, int $pairs, ?float $expected): void {
    $advice = advice($contact, $left, $right);
    expect([$advice->code, $advice->left, $advice->right])->toBe([$code, $pairs, $pairs]);
    $expected === null ? expect($advice->expected)->toBeNull() : expect($advice->expected)->toEqualWithDelta(25.4 * $expected, 1e-6);
})->with([
    'at the short end' => ['1 1/2', 2, 2, ShimAdviceCode::Leave, 0, null],
    'at the long end' => ['2 1/2', 2, 2, ShimAdviceCode::Leave, 0, null],
    // In square inches a pair is 1.75.
    'a bit short' => ['1 7/16', 3, 3, ShimAdviceCode::TakeOut, -1, sqrt(1.4375 ** 2 + 1.75)],
    'a bit long' => ['2 9/16', 3, 3, ShimAdviceCode::Add, 1, sqrt(2.5625 ** 2 - 1.75)],
    'long by three' => ['3', 0, 0, ShimAdviceCode::Add, 3, sqrt(9 - 5.25)],
    'short by two' => ['1', 3, 3, ShimAdviceCode::TakeOut, -2, sqrt(1 + 3.5)],
    'hardly in touch' => ['1/64', 3, 3, ShimAdviceCode::TakeOut, -2, sqrt(1 / 4096 + 3.5)],
    'a gap' => ['0', 4, 4, ShimAdviceCode::Gap, -1, null],
    'a gap, and nothing to take out' => ['0', 0, 0, ShimAdviceCode::BladesDone, 0, null],
    'out of shims' => ['1 1/4', 0, 0, ShimAdviceCode::BladesDone, 0, null],
    'not enough of them' => ['1/4', 1, 1, ShimAdviceCode::NotEnough, -1, sqrt(0.0625 + 1.75)],
    'more than fit' => ['5', 1, 1, ShimAdviceCode::TooMany, 6, sqrt(25 - 10.5)],
]);

it('says how far off the expected contact may be, by hand', function (): void {
    // s^2 of a reading is 3.09005 mm^2. Long by three: 4 x 76.2^2 x s^2 + (3 x 580.644)^2 = 3,106,097 of the square, over twice 49.187.
    expect(advice('3', 0, 0)->sd)->toEqualWithDelta(sqrt(4 * 76.2 ** 2 * 3.09005 + (3 * 580.644) ** 2) / (2 * 25.4 * sqrt(3.75)), 0.01)
        ->toEqualWithDelta(17.916, 0.01)
        // Fifty moves of the shop's own: 50 / 128,924 and the prior leave 50.6 of a pair, so 308 of the square over twice 47.54.
        ->and(advice('3', 0, 0, ...array_fill(0, 50, new ShimMove(1, 76.2, 68.0)))->sd)->toEqualWithDelta(3.24, 0.02)
        ->and(advice('2', 3, 3)->sd)->toBeNull();
});

it('asks for a count before shims come out, and takes what was hardly in touch for touch', function (): void {
    expect(advice('1', null, 3)->code)->toBe(ShimAdviceCode::CountFirst)
        ->and(advice('1', 3, null)->code)->toBe(ShimAdviceCode::CountFirst)
        ->and((new ShimMove(1, 0.5, 0.4))->tells())->toBeTrue()
        ->and((new ShimMove(1, 50.0, 0.0))->tells())->toBeFalse()
        ->and((new ShimMove(-1, 0.0, 50.0))->tells())->toBeFalse();
});

it('says where one pair is too coarse', function (): void {
    // Each pair is worth 5 in^2: from 2.6 in one more is 1.33 in, from 1.4 in one fewer 2.64 in.
    $coarse = array_fill(0, 200, new ShimMove(1, 25.4 * 3, 25.4 * 2));
    expect(advice('2 39/64', 3, 3, ...$coarse))->code->toBe(ShimAdviceCode::TooCoarse)->left->toBe(0)->long->toBeTrue()
        ->and(advice('1 13/32', 3, 3, ...$coarse))->code->toBe(ShimAdviceCode::TooCoarse)->long->toBeFalse();
});

it('asks for the shims where nobody counted them, and sees an uneven pack', function (): void {
    expect(advice('1', null, null)->code)->toBe(ShimAdviceCode::CountFirst)
        ->and(advice('3', null, null)->code)->toBe(ShimAdviceCode::Add)
        ->and([advice('2 1/2', 2, 2)->long, advice('2 9/16', 2, 2)->long])->toBe([false, true])
        ->and(advice('2', 2, 3)->uneven)->toBeTrue()
        ->and(advice('2', 3, 3)->uneven)->toBeFalse();
});

it('advises the best of all packs there can be, by trying every one', function (float $squareInches): void {
    $moves = array_fill(0, 5000, new ShimMove(1, 50.8, sqrt(50.8 ** 2 - $squareInches * 645.16)));
    $pair = ShimSensitivity::learn($moves)->mean;
    for ($sixteenths = 1; $sixteenths <= 96; $sixteenths++) {
        for ($shims = 1; $shims <= 5; $shims++) {
            $advice = advice(sprintf('%d %d/16', intdiv($sixteenths, 16), $sixteenths % 16), $shims, $shims, ...$moves);
            $contact = Length::ofSixteenths($sixteenths)->toMillimetres();
            if ($contact >= 38.1 && $contact <= 63.5) {
                expect($advice->code)->toBe(ShimAdviceCode::Leave);

                continue;
            }
            $ends = [];
            foreach ($contact < 38.1 ? range(-$shims, -1) : range(1, 6) as $pairs) {
                $square = $contact ** 2 - $pairs * $pair;
                $ends[$pairs] = $square > 0 ? sqrt($square) : 0.0;
            }
            $inside = array_filter($ends, static fn (float $end): bool => $end >= 38.1 - 1e-6 && $end <= 63.5 + 1e-6);
            if ($inside === []) {
                expect($advice->code)->toBeIn([ShimAdviceCode::TooCoarse, ShimAdviceCode::NotEnough, ShimAdviceCode::TooMany]);
            } else {
                expect($advice->code)->toBe($contact < 38.1 ? ShimAdviceCode::TakeOut : ShimAdviceCode::Add)
                    ->and($advice->left)->toBe($advice->right)
                    ->and(abs($inside[$advice->left] - 50.8))->toEqualWithDelta(min(array_map(static fn (float $end): float => abs($end - 50.8), $inside)), 1e-6);
            }
        }
    }
})->with([0.9, 1.75, 2.6]);

it('learns from the shop\'s own moves, by hand', function (): void {
    $prior = ShimSensitivity::learn([]);
    expect([$prior->mean / 645.16, $prior->sd / 645.16, $prior->moves])->toEqualWithDelta([1.75, 0.9, 0], 1e-9)
        // Half an inch at 2 in.
        ->and($prior->after(50.8, 1))->toEqualWithDelta(38.1, 1e-9)
        ->and($prior->after(30.0, 1))->toBe(0.0);

    // One pair took 60 mm to 52: 896 mm^2. s^2 = 1.5^2 + 3.175^2 / 12 = 3.09005; of the difference 4 (60^2 + 52^2) s^2 = 77,916.8.
    $one = ShimSensitivity::learn([new ShimMove(1, 60, 52)]);
    $precision = 1 / 580.644 ** 2 + 1 / 77_916.8;
    expect($one->mean)->toEqualWithDelta((1129.03 / 580.644 ** 2 + 896 / 77_916.8) / $precision, 0.01)
        ->and($one->sd)->toEqualWithDelta(sqrt(1 / $precision), 0.01);
    // Two pairs out say half as much a pair, four times as strongly.
    $two = ShimSensitivity::learn([new ShimMove(-2, 52, 60)]);
    $precision = 1 / 580.644 ** 2 + 4 / 77_916.8;
    expect($two->mean)->toEqualWithDelta((1129.03 / 580.644 ** 2 + 2 * 896 / 77_916.8) / $precision, 0.01);
});

it('finds the true sensitivity of simulated discs, and leaves out moves that tell nothing', function (float $squareInches): void {
    mt_srand(7);
    $moves = [new ShimMove(-2, 0, 50), new ShimMove(0, 50, 50), new ShimMove(1, 40, 55)];
    for ($index = 0; $index < 40; $index++) {
        $pairs = [-1, 1][$index % 2];
        // Two discs of 15 in whose mounting leaves them meeting along some chord; both readings are off by up to 2 mm.
        $before = sqrt(mt_rand(1800, 3600));
        $after = sqrt($before ** 2 - $pairs * $squareInches * 645.16);
        $off = static fn (): float => 4 * (mt_rand() / mt_getrandmax() - 0.5);
        $moves[] = new ShimMove($pairs, $before + $off(), $after + $off());
    }
    $learned = ShimSensitivity::learn($moves);
    expect($learned->mean / 645.16)->toEqualWithDelta($squareInches, 0.15)->and($learned->moves)->toBe(40)->and($learned->sd / 645.16)->toBeLessThan(0.15);
})->with([1.2, 1.75, 2.4]);

it('gives one instruction for a contact and packs that are not alike, by hand', function (string $contact, int $left, int $right, ShimAdviceCode $code, array $moves, ?float $expected): void {
    $advice = advice($contact, $left, $right);
    expect([$advice->code, [$advice->left, $advice->right], $advice->uneven])->toBe([$code, $moves, $left !== $right]);
    $expected === null ? expect($advice->expected)->toBeNull() : expect($advice->expected)->toEqualWithDelta(25.4 * $expected, 1e-6);
})->with([
    // One shim on one side is half of 1.75 in^2.
    'leveling alone takes the pair out' => ['1 1/4', 3, 1, ShimAdviceCode::TakeOut, [-2, 0], sqrt(1.5625 + 1.75)],
    'out of shims on one side only' => ['1 1/4', 0, 2, ShimAdviceCode::TakeOut, [0, -2], sqrt(1.5625 + 1.75)],
    'three from seven: two and a half pairs less, or one and a half' => ['1', 3, 4, ShimAdviceCode::TakeOut, [-1, -2], sqrt(1 + 1.5 * 1.75)],
    'all of five' => ['1/2', 1, 4, ShimAdviceCode::TakeOut, [-1, -4], sqrt(0.25 + 2.5 * 1.75)],
    'in the window, one more on the right' => ['2', 2, 3, ShimAdviceCode::Level, [0, -1], sqrt(4 + 0.875)],
    'near the long end it goes up' => ['2 7/16', 2, 3, ShimAdviceCode::Level, [1, 0], sqrt(2.4375 ** 2 - 0.875)],
    'too long, and one short on the left' => ['2 3/4', 1, 2, ShimAdviceCode::Add, [3, 2], sqrt(7.5625 - 2.5 * 1.75)],
    'a gap' => ['0', 3, 1, ShimAdviceCode::Gap, [-2, 0], null],
    'a gap, and an odd one' => ['0', 4, 3, ShimAdviceCode::Gap, [-2, -1], null],
    'all out is still too short' => ['1/4', 1, 0, ShimAdviceCode::NotEnough, [-1, 0], sqrt(0.0625 + 0.875)],
]);

it('never does better with any other even packs, by trying all', function (): void {
    for ($sixteenths = 1; $sixteenths <= 64; $sixteenths += 3) {
        $contact = Length::ofSixteenths($sixteenths)->toMillimetres();
        for ($left = 0; $left <= 5; $left++) {
            for ($right = 0; $right <= 5; $right++) {
                $advice = advice(sprintf('%d %d/16', intdiv($sixteenths, 16), $sixteenths % 16), $left, $right);
                if (! in_array($advice->code, [ShimAdviceCode::TakeOut, ShimAdviceCode::Add, ShimAdviceCode::Level], true)) {
                    continue;
                }
                expect($left + $advice->left)->toBe($right + $advice->right)->toBeGreaterThanOrEqual(0);
                $best = INF;
                // Nobody fits more than six.
                for ($pack = 0; $pack <= intdiv($left + $right, 2) + 6; $pack++) {
                    $square = $contact ** 2 - ($pack - ($left + $right) / 2) * 1129.03;
                    // In the window nothing is moved but what levels; too short nothing goes in, too long nothing comes out.
                    $isMeant = match ($advice->code) {
                        ShimAdviceCode::Level => $pack >= min($left, $right) && $pack <= max($left, $right),
                        ShimAdviceCode::TakeOut => 2 * $pack < $left + $right,
                        default => 2 * $pack > $left + $right,
                    };
                    if ($isMeant && $square >= 38.1 ** 2 - 1e-6 && $square <= 63.5 ** 2 + 1e-6) {
                        $best = min($best, abs(sqrt($square) - 50.8));
                    }
                }
                if ($best < INF) {
                    expect(abs($advice->expected - 50.8))->toEqualWithDelta($best, 1e-6);
                }
            }
        }
    }
});

/** @param  list<array{string, float}>  $readings  day and millimetres of row 1 */
function contactHistory(array $readings, array $moves, array $installed = []): History
{
    $taken = [];
    foreach ($readings as $at => [$day, $size]) {
        $taken[] = new TakenReading("r{$at}", "w{$at}", Moment::of("{$day}T08:00:00Z"), new Place(1, CheckKey::from('blade_contact_length'), Side::Centre), Moment::of("{$day}T08:00:00Z"), $size);
    }

    return History::of(4, $installed, $moves, $taken);
}

function planted(string ...$days): UseLog
{
    return UseLog::of(array_map(static fn (string $day): FieldRun => new FieldRun(Day::of($day), 400.0, 1.0, []), $days), Length::ofSixteenths(480), 4, new DateTimeZone('UTC'));
}

it('learns nothing from a move that was measured only after the row had planted on', function (): void {
    // 1 1/4 in, one pair out in March, planted in April, 1 1/8 in next January: wear, and not the shim.
    $moves = [new ShimsMoved('m', 1, -1, Moment::of('2025-03-10T09:00:00Z'), 31.75)];
    $history = contactHistory([['2026-01-12', 28.575]], $moves);
    $learned = ShimSensitivity::learn(ShimMove::measured($moves, $history, planted('2025-04-20')));
    expect([$learned->mean / 645.16, $learned->moves])->toEqualWithDelta([1.75, 0], 1e-9)
        // Three pairs in: two out is nearest the aim, sqrt(1.265625 + 3.5).
        ->and(advice('1 1/8', 3, 3))->code->toBe(ShimAdviceCode::TakeOut)->left->toBe(-2)->expected->toEqualWithDelta(25.4 * 2.18303, 1e-3)
        ->and(advice('2 3/4', 3, 3))->code->toBe(ShimAdviceCode::Add)->left->toBe(2)->expected->toEqualWithDelta(25.4 * 2.01556, 1e-3)
        // The same, measured before planting, tells.
        ->and(ShimMove::measured($moves, contactHistory([['2025-03-11', 43.0]], $moves), planted('2025-04-20')))->toHaveCount(1)
        ->and(ShimMove::measured($moves, contactHistory([['2025-03-11', 43.0]], $moves), planted('2025-03-10')))->toHaveCount(0);
});

it('learns nothing across another blade, another move, or a move on one side', function (): void {
    $move = new ShimsMoved('m', 1, -1, Moment::of('2025-03-10T09:00:00Z'));
    $readings = [['2025-03-01', 31.75], ['2025-03-12', 43.0]];
    $blade = new Installed(new PartFitting('f', new SlotPlace(1, Slot::from('opener_blade'), Side::Left), 'f', Moment::of('2025-03-11T08:00:00Z')), 381.0, 0.0, false);
    $other = new ShimsMoved('n', 1, 1, Moment::of('2025-03-05T09:00:00Z'));
    $count = static fn (array $moves, array $installed = []): int => count(ShimMove::measured($moves, contactHistory($readings, $moves, $installed), planted()));
    expect($count([$move]))->toBe(1)
        ->and($count([$move], [$blade]))->toBe(0)
        ->and($count([$other, $move]))->toBe(0)
        ->and($count([new ShimsMoved('m', 1, -1, $move->at, null, Side::Left)]))->toBe(0);
});

it('asks about a move that goes against the geometry, and never averages it in', function (): void {
    // One added, and yet from 1 1/2 to 2 in: the entry is swapped.
    $odd = new ShimMove(1, 38.1, 50.8);
    expect([$odd->contradicts(), $odd->tells()])->toBe([true, false])
        ->and((new ShimMove(-1, 38.1, 50.8))->contradicts())->toBeFalse()
        ->and(ShimSensitivity::learn([$odd, $odd, $odd])->mean / 645.16)->toEqualWithDelta(1.75, 1e-9);
});

it('holds a pair above zero in any history: gaps, swapped signs, planting between', function (): void {
    mt_srand(11);
    for ($run = 0; $run < 400; $run++) {
        $readings = $moves = $days = [];
        $contact = mt_rand(200, 700) / 10;
        $day = new DateTimeImmutable('2024-01-05');
        for ($step = 0; $step < 14; $step++) {
            $day = $day->modify('+'.mt_rand(1, 40).' days');
            $iso = $day->format('Y-m-d');
            match (mt_rand(0, 3)) {
                0 => $days[] = $iso,
                1 => $moves[] = new ShimsMoved("m{$step}", 1, mt_rand(0, 1) === 0 ? -1 : 2, Moment::of("{$iso}T09:00:00Z"), mt_rand(0, 2) === 0 ? $contact : null),
                default => $readings[] = [$iso, max(0.0, $contact += mt_rand(-150, 150) / 10)],
            };
        }
        $measured = ShimMove::measured($moves, contactHistory($readings, $moves), planted(...$days));
        expect(ShimSensitivity::learn($measured)->mean)->toBeGreaterThan(0.0);
    }
});

it('counts a shim that was moved on one side on that side alone', function (): void {
    $moves = [new ShimsMoved('m', 1, -2, Moment::of('2025-03-10T09:00:00Z'), null, Side::Left), new ShimsMoved('n', 1, 1, Moment::of('2025-03-11T09:00:00Z'))];
    $at = Moment::of('2025-03-01T09:00:00Z');
    expect([(new ShimCount(1, Side::Left, 3, $at))->now($moves), (new ShimCount(1, Side::Right, 1, $at))->now($moves)])->toBe([2, 2]);
});
