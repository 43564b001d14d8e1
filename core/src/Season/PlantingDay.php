<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

/**
 * What a day fit for fieldwork brings: at first what pace and hours promise, and more and more what the acres log shows, part
 * days and all.
 */
final readonly class PlantingDay
{
    /** What pace and hours promise may be off by this share of it, as a standard deviation. */
    private const PROMISE_SD = 0.25;

    /** Days differ by at least this share of their mean. */
    private const LEAST_SPREAD = 0.1;

    private function __construct(
        public float $acres,
        /** How unsure that is, as a share of it. */
        public float $sd,
        /** Days of the log that it stands on. */
        public int $days,
    ) {
    }

    /**
     * @param  float  $promised  acres a day by pace and hours, over 0
     * @param  list<float>  $logged  acres of each day on which the planter planted, each over 0
     */
    public static function of(float $promised, array $logged): self
    {
        $days = count($logged);
        if ($days === 0) {
            return new self($promised, self::PROMISE_SD, 0);
        }
        $mean = array_sum($logged) / $days;
        $squares = array_sum(array_map(static fn (float $acres): float => ($acres - $mean) ** 2, $logged));
        // Few days tell little of how days differ: as if two more had differed as they usually do.
        $spread = max(self::LEAST_SPREAD * $mean, sqrt(($squares + 2 * (self::PROMISE_SD * $mean) ** 2) / ($days + 1)));
        [$ofPromise, $ofLog] = [1 / (self::PROMISE_SD * $promised) ** 2, $days / $spread ** 2];
        $acres = ($promised * $ofPromise + $mean * $ofLog) / ($ofPromise + $ofLog);

        return new self($acres, 1 / sqrt($ofPromise + $ofLog) / $acres, $days);
    }
}
