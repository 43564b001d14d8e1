<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Rules\Window;
use Ustrel\Core\Wear\ReadingError;

/**
 * How many shims to move on each side, always both sides alike: the move that ends nearest the aim among those that end inside
 * the window. The square of the contact moves evenly with each pair.
 */
final readonly class ShimAdvice
{
    /** More than these between blade and shank nobody fits. */
    private const MOST_ADDED = 6;

    private function __construct(
        public ShimAdviceCode $code,
        /** To add on each side; negative to take out; 0 to leave. */
        public int $pairs,
        /** Contact length to be expected after, millimetres; null where nothing is moved, or nobody can tell. */
        public ?float $expected,
        /** Standard deviation of it, millimetres. */
        public ?float $sd,
        /** The sides do not carry the same number: the V runs off centre. */
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
        $uneven = $left !== null && $right !== null && $left !== $right;
        $low = $window->low->unit()->valueOf($window->low);
        $high = $window->high->unit()->valueOf($window->high);
        $long = $contact > $high;
        if ($contact >= $low && $contact <= $high) {
            return new self(ShimAdviceCode::Leave, 0, null, null, $uneven, $long);
        }
        if (! $long && ($left === null || $right === null)) {
            return new self(ShimAdviceCode::CountFirst, 0, null, null, $uneven, $long);
        }
        $least = $long ? 0 : -min($left, $right);
        if (! $long && $least === 0) {
            return new self(ShimAdviceCode::BladesDone, 0, null, null, $uneven, $long);
        }
        if ($contact <= 0.0) {
            // How far apart they stand nobody knows.
            return new self(ShimAdviceCode::Gap, -1, null, null, $uneven, $long);
        }
        $aim = $window->aim->unit()->valueOf($window->aim);
        $best = null;
        for ($pairs = $least; $pairs <= ($long ? self::MOST_ADDED : 0); $pairs++) {
            // To the nanometre: what comes to the window's very end is in it.
            $after = round($sensitivity->after($contact, $pairs), 6);
            if ($after >= $low && $after <= $high && ($best === null || abs($after - $aim) < abs($sensitivity->after($contact, $best) - $aim))) {
                $best = $pairs;
            }
        }
        if ($best !== null) {
            return self::moved($long ? ShimAdviceCode::Add : ShimAdviceCode::TakeOut, $best, $contact, $sensitivity, $uneven, $long);
        }

        return match (true) {
            ! $long && $sensitivity->after($contact, $least) < $low => self::moved(ShimAdviceCode::NotEnough, $least, $contact, $sensitivity, $uneven, $long),
            $long && $sensitivity->after($contact, self::MOST_ADDED) > $high => self::moved(ShimAdviceCode::TooMany, self::MOST_ADDED, $contact, $sensitivity, $uneven, $long),
            default => new self(ShimAdviceCode::TooCoarse, 0, null, null, $uneven, $long),
        };
    }

    private static function moved(ShimAdviceCode $code, int $pairs, float $contact, ShimSensitivity $sensitivity, bool $uneven, bool $long): self
    {
        $expected = $sensitivity->after($contact, $pairs);
        $reading = ReadingError::of(CheckKey::BladeContactLength)->variance();
        $ofSquare = 4 * $contact ** 2 * $reading + ($pairs * $sensitivity->sd) ** 2;

        return new self($code, $pairs, $expected, sqrt($ofSquare) / (2 * max(1.0, $expected)), $uneven, $long);
    }
}
