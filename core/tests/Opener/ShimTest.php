<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Opener\ShimAdvice;
use Ustrel\Core\Opener\ShimAdviceCode;
use Ustrel\Core\Opener\ShimMove;
use Ustrel\Core\Opener\ShimSensitivity;
use Ustrel\Core\Spec\Window;

function advice(string $contact, ?int $left, ?int $right, ShimMove ...$moves): ShimAdvice
{
    $read = static fn (string $typed): Length => Length::read($typed, UnitSystem::Inch);
    $window = new Window($read('1 1/2'), $read('2 1/2'), $read('2'), $read('1/8'));

    return ShimAdvice::of($read($contact)->toMillimetres(), $window, $left, $right, ShimSensitivity::learn(array_values($moves)));
}

it('moves shims on both sides alike, towards the aim', function (string $contact, int $left, int $right, ShimAdviceCode $code, int $pairs, ?string $expected): void {
    $advice = advice($contact, $left, $right);
    expect([$advice->code, $advice->pairs])->toBe([$code, $pairs]);
    if ($expected !== null) {
        expect($advice->expected)->toEqualWithDelta(Length::read($expected, UnitSystem::Inch)->toMillimetres(), 1e-6);
    }
})->with([
    'at the short end' => ['1 1/2', 2, 2, ShimAdviceCode::Leave, 0, null],
    'at the long end' => ['2 1/2', 2, 2, ShimAdviceCode::Leave, 0, null],
    'a bit short' => ['1 7/16', 3, 3, ShimAdviceCode::TakeOut, -1, '1 15/16'],
    'a bit long' => ['2 9/16', 3, 3, ShimAdviceCode::Add, 1, '2 1/16'],
    'long by two' => ['3', 0, 0, ShimAdviceCode::Add, 2, '2'],
    'short by two' => ['1', 3, 4, ShimAdviceCode::TakeOut, -2, '2'],
    'a gap' => ['0', 4, 4, ShimAdviceCode::TakeOut, -4, '2'],
    'out of shims' => ['1 1/4', 0, 0, ShimAdviceCode::BladesDone, 0, null],
    'out of shims on one side' => ['1 1/4', 0, 2, ShimAdviceCode::BladesDone, 0, null],
    'not enough of them' => ['3/4', 1, 1, ShimAdviceCode::NotEnough, -1, '1 1/4'],
]);

it('asks for the shims where nobody counted them, and sees an uneven pack', function (): void {
    expect(advice('1', null, null)->code)->toBe(ShimAdviceCode::CountFirst)
        ->and(advice('3', null, null)->code)->toBe(ShimAdviceCode::Add)
        ->and(advice('2', 2, 3)->uneven)->toBeTrue()
        ->and(advice('2', 3, 3)->uneven)->toBeFalse();
});

it('never advises more than the pack holds, nor a number that another would beat', function (): void {
    $sensitivity = ShimSensitivity::learn([]);
    for ($sixteenths = 0; $sixteenths <= 96; $sixteenths++) {
        for ($shims = 0; $shims <= 5; $shims++) {
            $advice = advice(sprintf('%d %d/16', intdiv($sixteenths, 16), $sixteenths % 16), $shims, $shims);
            $contact = Length::ofSixteenths($sixteenths)->toMillimetres();
            $ways = match (true) {
                $contact < 38.1 => range(-$shims, 0),
                $contact > 63.5 => range(0, 6),
                default => [0],
            };
            $off = static fn (int $pairs): float => abs(max(0.0, $contact - $pairs * $sensitivity->mean) - 50.8);
            expect($ways)->toContain($advice->pairs)
                ->and($off($advice->pairs))->toEqualWithDelta(min(array_map($off, $ways)), 1e-6)
                ->and(in_array($advice->code, [ShimAdviceCode::BladesDone, ShimAdviceCode::NotEnough], true))
                ->toBe($contact < 38.1 && $contact + $shims * $sensitivity->mean < 38.1 - 1e-9);
        }
    }
});

it('learns from the shop\'s own moves, by hand', function (): void {
    $prior = ShimSensitivity::learn([]);
    expect([$prior->mean, $prior->sd, $prior->moves])->toBe([12.7, 6.35, 0]);

    // One pair took 8 mm. s^2 = 1.5^2 + 3.175^2 / 12 = 3.09005; twice that for a difference: 6.18010.
    // Precisions 1 / 40.3225 and 1 / 6.18010; mean (12.7 / 40.3225 + 8 / 6.18010) / their sum.
    $one = ShimSensitivity::learn([new ShimMove(1, 60, 52)]);
    expect($one->mean)->toEqualWithDelta((12.7 / 40.3225 + 8 / 6.180104) / (1 / 40.3225 + 1 / 6.180104), 1e-5)
        ->and($one->sd)->toEqualWithDelta(sqrt(1 / (1 / 40.3225 + 1 / 6.180104)), 1e-5);

    // Taking two pairs out for 16 mm says 8 mm a pair, and says it four times as strongly.
    $two = ShimSensitivity::learn([new ShimMove(-2, 36, 52)]);
    expect($two->mean)->toEqualWithDelta((12.7 / 40.3225 + 8 * 4 / 6.180104) / (1 / 40.3225 + 4 / 6.180104), 1e-5)
        ->and($two->sd)->toBeLessThan($one->sd);
});

it('finds the true sensitivity of a planter and leaves out moves that tell nothing', function (): void {
    mt_srand(7);
    $moves = [new ShimMove(-2, 0, 50), new ShimMove(0, 50, 50)];
    for ($index = 0; $index < 40; $index++) {
        $pairs = [-2, -1, 1, 2][$index % 4];
        $moves[] = new ShimMove($pairs, 50, 50 - 8.5 * $pairs + 2 * (mt_rand() / mt_getrandmax() - 0.5));
    }
    $learned = ShimSensitivity::learn($moves);
    expect($learned->mean)->toEqualWithDelta(8.5, 0.4)->and($learned->moves)->toBe(40)->and($learned->sd)->toBeLessThan(0.4);

    // Short by 12 mm: half an inch a pair wants one pair, a third of an inch wants more.
    expect(advice('1 1/4', 4, 4)->pairs)->toBe(-2)
        ->and(advice('1 1/4', 4, 4, ...array_fill(0, 30, new ShimMove(-1, 40, 46)))->pairs)->toBe(-3);
});
