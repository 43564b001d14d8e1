<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

use Ustrel\Core\Measure\Median;

/**
 * How much of what a row's population goes up and down by is told by its own skips and doubles already. That share is taken off, so that
 * what is left, a drive that slips or a sensor that misses seeds, shows sooner; skips and doubles are watched by themselves. The share is
 * learned from one block to the next (least squares on differences): none where a monitor smooths one and not the other.
 */
final class SeedExplained
{
    /** That it is none counts for so many differences, of a skip in a hundred places. */
    private const BELIEVED = 30 * 0.01 ** 2;

    /** A larger step is no scatter. */
    private const STEP = 0.2;

    private const PAST = 180;

    private float $squares = self::BELIEVED;

    private float $products = 0.0;

    /** @var array<int, array{float, float}> logarithm of the population and lost share, against the other rows, a block ago, by row */
    private array $before = [];

    /** @var array<int, array{int, float}> blocks, and lost share on the mean, by row */
    private array $usual = [];

    /** 0 to 1. */
    public function share(): float
    {
        return max(0.0, min(1.0, $this->products / $this->squares));
    }

    /**
     * @param  array<int, float>  $population  seeds an acre by row
     * @param  array<int, float>  $skips  percent by row
     * @param  array<int, float>  $doubles  percent by row
     * @return array<int, float> the population by row, without what they explain
     */
    public function without(array $population, array $skips, array $doubles): array
    {
        $lost = $logs = [];
        foreach ($population as $row => $figure) {
            if ($figure > 0 && isset($skips[$row], $doubles[$row])) {
                [$lost[$row], $logs[$row]] = [($skips[$row] - $doubles[$row]) / 100, log($figure)];
            }
        }
        if ($lost === [] || $logs === []) {
            return $population;
        }
        [$lostMiddle, $logMiddle, $share] = [Median::of($lost), Median::of($logs), $this->share()];
        foreach ($lost as $row => $part) {
            [$blocks, $usual] = $this->usual[$row] ?? [0, $part];
            $population[$row] *= exp($share * ($part - $usual));
            $this->learn($row, $logs[$row] - $logMiddle, $part - $lostMiddle);
            $blocks = min($blocks + 1, self::PAST);
            $this->usual[$row] = [$blocks, $usual + ($part - $usual) / $blocks];
        }

        return $population;
    }

    private function learn(int $row, float $log, float $lost): void
    {
        [$logBefore, $lostBefore] = $this->before[$row] ?? [$log, $lost];
        $this->before[$row] = [$log, $lost];
        if (abs($log - $logBefore) < self::STEP && abs($lost - $lostBefore) < self::STEP) {
            $this->squares += ($lost - $lostBefore) ** 2;
            $this->products -= ($lost - $lostBefore) * ($log - $logBefore);
        }
    }
}
