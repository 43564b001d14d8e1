<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Rules\Window;
use Ustrel\Core\Wear\ReadingError;

/**
 * How many shims to move on each side so that both sides carry the same number: of all such packs the one that ends nearest the
 * aim among those that end inside the window. The square of the contact moves evenly with each pair, one shim on one side is
 * half of one.
 */
final readonly class ShimAdvice
{
    /** More than these between blade and shank nobody fits. */
    private const MOST_ADDED = 6;

    private function __construct(
        public ShimAdviceCode $code,
        /** To add on the left; negative to take out; 0 to leave. */
        public int $left,
        public int $right,
        /** In each pack afterwards; null where nobody counted. */
        public ?int $pack,
        /** Contact length to be expected after, millimetres; null where nothing is moved, or nobody can tell. */
        public ?float $expected,
        /** Standard deviation of it, millimetres. */
        public ?float $sd,
        /** The sides do not carry the same number now: the V runs off center. */
        public bool $uneven,
        /** Longer than the window, not shorter. */
        public bool $long,
    ) {
    }

    /**
     * @param  float  $contact  millimetres; 0 where the blades do not touch
     * @param  int|null  $left  inner shims on the left blade; null where nobody counted
     * @param  int|null  $right  inner shims on the right blade
     */
    public static function of(float $contact, Window $window, ?int $left, ?int $right, ShimSensitivity $sensitivity): self
    {
        $low = $window->low->unit()->valueOf($window->low);
        $high = $window->high->unit()->valueOf($window->high);
        $aim = $window->aim->unit()->valueOf($window->aim);
        $long = $contact > $high;
        $isInside = $contact >= $low && ! $long;
        $uneven = $left !== null && $right !== null && $left !== $right;
        $still = static fn (ShimAdviceCode $code): self => new self($code, 0, 0, null, null, null, $uneven, $long);
        if ($isInside && ! $uneven) {
            return $still(ShimAdviceCode::Leave);
        }
        if ($left === null || $right === null) {
            // As many in each as there are: only what is added is known.
            return $long ? self::best($contact, [0, 0], range(1, self::MOST_ADDED), [$low, $aim, $high], $sensitivity, false) : $still(ShimAdviceCode::CountFirst);
        }
        if (! $long && ! $isInside && $left + $right === 0) {
            return $still(ShimAdviceCode::BladesDone);
        }
        if ($contact <= 0.0) {
            // How far apart they stand nobody knows: about one pair out, and measure.
            $pack = max(0, intdiv($left + $right, 2) - 1);

            return new self(ShimAdviceCode::Gap, $pack - $left, $pack - $right, $pack, null, null, $uneven, $long);
        }
        $half = intdiv($left + $right, 2);
        $packs = match (true) {
            $isInside => range(min($left, $right), max($left, $right)),
            // An odd shim too many or too few makes up for half a pair.
            $long => range($half + 1, $half + self::MOST_ADDED),
            default => range(0, max(0, intdiv($left + $right - 1, 2))),
        };

        return self::best($contact, [$left, $right], $packs, [$low, $aim, $high], $sensitivity, true);
    }

    /**
     * @param  array{int, int}  $now  shims left and right
     * @param  non-empty-list<int>  $packs  that both sides may be given, ascending
     * @param  array{float, float, float}  $window  low, aim, high
     */
    private static function best(float $contact, array $now, array $packs, array $window, ShimSensitivity $sensitivity, bool $isCounted): self
    {
        [$low, $aim, $high] = $window;
        $long = $contact > $high;
        $isInside = $contact >= $low && ! $long;
        // To the nanometre: what comes to the window's very end is in it.
        $after = static fn (int $pack): float => round($sensitivity->after($contact, $pack - array_sum($now) / 2), 6);
        $inside = array_values(array_filter($packs, static fn (int $pack): bool => $after($pack) >= $low && $after($pack) <= $high));
        $far = $long ? $packs[count($packs) - 1] : $packs[0];
        [$code, $pack] = match (true) {
            $isInside => [ShimAdviceCode::Level, self::nearest($inside === [] ? $packs : $inside, $aim, $after)],
            $inside !== [] => [$long ? ShimAdviceCode::Add : ShimAdviceCode::TakeOut, self::nearest($inside, $aim, $after)],
            ! $long && $after($far) < $low => [ShimAdviceCode::NotEnough, $far],
            $long && $after($far) > $high => [ShimAdviceCode::TooMany, $far],
            default => [ShimAdviceCode::TooCoarse, null],
        };
        $uneven = $now[0] !== $now[1];
        if ($pack === null) {
            return new self($code, 0, 0, null, null, null, $uneven, $long);
        }
        $pairs = $pack - array_sum($now) / 2;
        $expected = $sensitivity->after($contact, $pairs);
        $ofSquare = 4 * $contact ** 2 * ReadingError::of(CheckKey::from('blade_contact_length'))->variance() + ($pairs * $sensitivity->sd) ** 2;

        return new self($code, $pack - $now[0], $pack - $now[1], $isCounted ? $pack : null, $expected, sqrt($ofSquare) / (2 * max(1.0, $expected)), $uneven, $long);
    }

    /**
     * @param  non-empty-list<int>  $packs
     * @param  callable(int): float  $after
     */
    private static function nearest(array $packs, float $aim, callable $after): int
    {
        $best = $packs[0];
        foreach ($packs as $pack) {
            $best = abs($after($pack) - $aim) < abs($after($best) - $aim) ? $pack : $best;
        }

        return $best;
    }
}
