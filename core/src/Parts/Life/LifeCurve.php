<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Life;

use Ustrel\Core\Wear\Normal;

/**
 * The lives that parts of one type have reached: Kaplan and Meier's product limit (J. Am. Stat. Assoc. 53, 1958), in
 * which a part that was changed before its end still counts for as long as it ran, and one that came used from where it
 * was first seen (left truncation; Klein and Moeschberger, Survival Analysis, 2003, ch. 4.6). Intervals by Greenwood's
 * variance on the log-minus-log scale, 95 %.
 */
final readonly class LifeCurve
{
    /** With fewer ends than this Greenwood's variance means nothing, and no interval is told. */
    private const FEWEST_ENDS = 6;

    /** @param  list<LifeStep>  $steps  one for each distance at which parts ended, ascending */
    private function __construct(
        public array $steps,
        /** Parts altogether. */
        public int $parts,
        /** Of which worn out or failed. */
        public int $ended,
    ) {
    }

    /** @param  list<Life>  $lives */
    public static function of(array $lives): self
    {
        $seen = count(array_filter($lives, static fn (Life $life): bool => $life->endWasSeen()));
        $share = 1.0;
        $greenwood = 0.0;
        $high = 1.0;
        $steps = [];
        foreach (self::endsOf($lives) as [$ran, $ended, $atRisk]) {
            $share *= 1 - $ended / $atRisk;
            $greenwood += $atRisk === $ended ? 0.0 : $ended / ($atRisk * ($atRisk - $ended));
            // Where none is left running, how many might have been stays open: no fewer than just before.
            [$low, $high] = $share > 0.0 ? self::interval($share, $greenwood) : [0.0, $high];
            $steps[] = $seen < self::FEWEST_ENDS ? new LifeStep($ran, $share, null, null, $atRisk) : new LifeStep($ran, $share, $low, $high, $atRisk);
        }

        return new self($steps, count($lives), $seen);
    }

    /** What half of them reach; null where more than half still ran when last heard of. */
    public function median(): ?float
    {
        return $this->reached(static fn (LifeStep $step): float => $step->share);
    }

    /** The lower end of the median's 95 % interval; null where too few have ended to tell. */
    public function medianLow(): ?float
    {
        return $this->reached(static fn (LifeStep $step): ?float => $step->low);
    }

    /** The upper end; null where it is open, or too few have ended. */
    public function medianHigh(): ?float
    {
        return $this->reached(static fn (LifeStep $step): ?float => $step->high);
    }

    /**
     * The distances at which parts ended, each with how many ended there and how many were at risk: running, and seen to.
     *
     * @param  list<Life>  $lives
     * @return list<array{float, int, int}>
     */
    public static function endsOf(array $lives): array
    {
        $ends = [];
        foreach ($lives as $life) {
            if ($life->endWasSeen()) {
                $ends[] = $life->ran;
            }
        }
        sort($ends);
        $seen = new SeenRunning($lives);
        $steps = [];
        for ($index = 0; $index < count($ends); $index += $ended) {
            $ran = $ends[$index];
            for ($ended = 1; ($ends[$index + $ended] ?? null) === $ran; $ended++);
            $steps[] = [$ran, $ended, $seen->at($ran)];
        }

        return $steps;
    }

    /** @param  callable(LifeStep): ?float  $share */
    private function reached(callable $share): ?float
    {
        foreach ($this->steps as $step) {
            $at = $share($step);
            if ($at !== null && $at <= 0.5) {
                return $step->ran;
            }
        }

        return null;
    }

    /** @return array{float, float} */
    private static function interval(float $share, float $greenwood): array
    {
        if ($share >= 1.0) {
            return [$share, $share];
        }
        $reach = Normal::P975 * sqrt($greenwood) / abs(log($share));

        return [$share ** exp($reach), $share ** exp(-$reach)];
    }
}
