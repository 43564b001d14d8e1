<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Window;
use Ustrel\Core\Wear\ReadingError;

/** How many shims to move on each side, always both sides alike, to bring the contact back to where it is aimed. */
final readonly class ShimAdvice
{
    /** More than these between blade and shank nobody fits. */
    private const MOST_ADDED = 6;

    private function __construct(
        public ShimAdviceCode $code,
        /** To add on each side; negative to take out; 0 to leave. */
        public int $pairs,
        /** Contact length to be expected after, millimetres; null where nothing is moved. */
        public ?float $expected,
        /** Standard deviation of it, millimetres. */
        public ?float $sd,
        /** The sides do not carry the same number: the V runs off centre. */
        public bool $uneven,
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
        if ($contact >= $low && $contact <= $high) {
            return new self(ShimAdviceCode::Leave, 0, null, null, $uneven);
        }
        if ($contact > $high) {
            return self::moved(ShimAdviceCode::Add, 1, self::MOST_ADDED, $contact, $window, $sensitivity, $uneven);
        }
        if ($left === null || $right === null) {
            return new self(ShimAdviceCode::CountFirst, 0, null, null, $uneven);
        }
        $spare = min($left, $right);
        if ($spare === 0) {
            return new self(ShimAdviceCode::BladesDone, 0, null, null, $uneven);
        }
        $advice = self::moved(ShimAdviceCode::TakeOut, -1, $spare, $contact, $window, $sensitivity, $uneven);

        // To the nanometre: what comes to the window's very end is in it.
        return round((float) $advice->expected, 6) >= $low
            ? $advice
            : new self(ShimAdviceCode::NotEnough, $advice->pairs, $advice->expected, $advice->sd, $uneven);
    }

    /** The whole number of pairs whose expected contact is nearest to the aim. */
    private static function moved(
        ShimAdviceCode $code, int $way, int $most, float $contact, Window $window, ShimSensitivity $sensitivity, bool $uneven,
    ): self {
        $aim = $window->aim->unit()->valueOf($window->aim);
        $wanted = abs($contact - $aim) / max($sensitivity->mean, 1.0);
        $pairs = $way * (int) max(1, min($most, round($wanted)));
        $reading = ReadingError::of(CheckKey::BladeContactLength)->variance();

        return new self(
            $code, $pairs, max(0.0, $contact - $pairs * $sensitivity->mean), sqrt($reading + ($pairs * $sensitivity->sd) ** 2), $uneven,
        );
    }
}
