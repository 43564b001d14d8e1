<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Ustrel\Core\Spec\Side;
use Ustrel\Core\Wear\Belief;

/** What is believed of one part that is on the planter now. */
final readonly class WearItem
{
    /**
     * @param  int  $kind  its place in the list of kinds
     * @param  float  $rateSd  of its own, apart from what is shared with its kind
     * @param  float  $correlation  of the errors of room and rate, -1 to 1
     * @param  float  $sharedRate  how its rate moves with what is not known of its kind, for one standard deviation of that
     * @param  float  $sharedRoom  how its room does
     */
    public function __construct(
        public int $kind,
        public int $row,
        public Side $side,
        public float $room,
        public float $roomSd,
        public float $rate,
        public float $rateSd,
        public float $correlation = 0.0,
        public float $sharedRate = 0.0,
        public float $sharedRoom = 0.0,
    ) {
    }

    /** What a forecast holds of it: what it shares with its kind set apart from what is its own. */
    public static function of(int $kind, int $row, Side $side, Belief $belief): self
    {
        $roomSd = sqrt(max(0.0, $belief->roomVariance - $belief->sharedRoom ** 2));
        $rateSd = sqrt(max(0.0, $belief->rateVariance - $belief->sharedRate ** 2));
        $covariance = $belief->covariance - $belief->sharedRoom * $belief->sharedRate;
        $correlation = $roomSd > 0 && $rateSd > 0 ? max(-1.0, min(1.0, $covariance / ($roomSd * $rateSd))) : 0.0;

        return new self($kind, $row, $side, $belief->room, $roomSd, $belief->rate, $rateSd, $correlation, $belief->sharedRate, $belief->sharedRoom);
    }
}
