<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\ReadingError;

/**
 * How much the square of the contact length gets less for a shim added on each side. The blades are flat discs that meet along
 * a chord, so it is the square that moves evenly: by 1.75 in^2 a pair, give or take 0.9, which is half an inch at 2 in, until the
 * planter's own moves say better. Normal mean with a normal prior (conjugate; e.g. Gelman et al., Bayesian Data Analysis).
 */
final readonly class ShimSensitivity
{
    private const PRIOR = 1.75 * 25.4 ** 2;

    private const PRIOR_SD = 0.9 * 25.4 ** 2;

    private function __construct(
        /** Square millimetres a pair. */
        public float $mean,
        public float $sd,
        /** Moves that it was learned from. */
        public int $moves,
    ) {
    }

    /** @param  list<ShimMove>  $moves */
    public static function learn(array $moves): self
    {
        $reading = ReadingError::of(CheckKey::from('blade_contact_length'))->variance();
        $precision = 1 / self::PRIOR_SD ** 2;
        $sum = self::PRIOR * $precision;
        $count = 0;
        foreach ($moves as $move) {
            if ($move->tells()) {
                // before^2 - after^2 = pairs x sensitivity + noise; the square of a reading is off by twice the length times its error.
                $noise = 4 * ($move->before ** 2 + $move->after ** 2) * $reading;
                $precision += $move->pairs ** 2 / $noise;
                $sum += $move->pairs * ($move->before ** 2 - $move->after ** 2) / $noise;
                $count++;
            }
        }

        // All that is summed is above zero, for a move that contradicts it tells nothing.
        return new self($sum / $precision, sqrt(1 / $precision), $count);
    }

    /**
     * The contact length to be expected after this many shims were added on each side, halves for one on one side; 0 is a gap.
     *
     * @param  float  $contact  millimetres
     */
    public function after(float $contact, float $pairs): float
    {
        return sqrt(max(0.0, $contact ** 2 - $pairs * $this->mean));
    }
}
