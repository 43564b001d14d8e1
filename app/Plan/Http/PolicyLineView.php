<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Policy\PolicyLine;
use Ustrel\Core\Plan\Policy\Strategy;

final readonly class PolicyLineView extends Schema
{
    public function __construct(
        public Strategy $school,
        public float $p10,
        public float $p50,
        public float $p90,
        /** The middle, an acre */
        public float $acre,
        /** Share of runs in which it is, 0 to 1 */
        public float $cheapest,
        /** @var list<array{slot: Slot, count: float}> A season, by slot */
        public array $parts,
        /** Parts a season whose price nobody knows: they are not in the money */
        public float $unpriced,
        public float $hours,
        public float $stops,
        /** Millimetres of depth lost at planting, on the worst row */
        public float $lost_worst,
        public float $lost_mean,
        /** Worth of what was left of parts taken out */
        public float $waste,
    ) {
    }

    public static function of(PolicyLine $line, float $acres): self
    {
        $played = $line->played;
        $parts = [];
        foreach ($played->used as $slot => $count) {
            $parts[] = ['slot' => Slot::from($slot), 'count' => round($count, 1)];
        }

        return new self(
            school: $played->policy->school,
            p10: round($line->p10, 2),
            p50: round($line->p50, 2),
            p90: round($line->p90, 2),
            acre: round($line->p50 / $acres, 3),
            cheapest: round($line->cheapest, 3),
            parts: $parts,
            unpriced: round($played->unpriced, 1),
            hours: round($line->hours, 1),
            stops: round($line->stops, 2),
            lost_worst: round($played->lostWorst, 2),
            lost_mean: round($played->lostMean, 2),
            waste: round($played->waste, 2),
        );
    }
}
