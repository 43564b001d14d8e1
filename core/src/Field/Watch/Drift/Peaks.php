<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

/**
 * How high the sums of streams of one kind climb while nothing is wrong, seen on the planter itself. What was made up beforehand
 * (DriftThresholds) is right for rows that scatter as it was made up; curves, tails and monitors that smooth send sums higher. So every
 * peak above a height that is common is counted, and how far it goes beyond (peaks over a threshold, their excess exponential); heights are
 * told as the logarithm of the blocks to such a one, so that streams of any scatter count together.
 */
final class Peaks
{
    /** Peaks from here on count: one in some 400 blocks where all is as it was made up. */
    public const FROM = 6.0;

    /** What was made up counts for so many peaks. */
    private const BELIEVED = 20.0;

    private const ROUNDS = 6;

    /** So many are remembered; what is older fades. */
    private const PAST = 2000.0;

    private function __construct(
        private float $blocks,
        private float $peaks,
        private float $excess,
    ) {
    }

    public static function believed(): self
    {
        return new self(self::BELIEVED * exp(self::FROM), self::BELIEVED, self::BELIEVED);
    }

    /** One block of one stream in one direction. */
    public function block(): void
    {
        $this->blocks++;
    }

    /** @param  float  $log  how high a sum went before it was nothing again */
    public function peak(float $log): void
    {
        if ($log > self::FROM) {
            $keep = $this->peaks > self::PAST ? 1 - 1 / self::PAST : 1.0;
            [$this->blocks, $this->peaks, $this->excess] = [$this->blocks * $keep, $this->peaks * $keep + 1, $this->excess * $keep + $log - self::FROM];
        }
    }

    /**
     * What became an alarm is not counted, for most of it is no chance: the mean is that of an exponential that is cut there (its own
     * mean less what is lost beyond, by fixed point).
     *
     * @param  float  $log  of the blocks to a false alarm, as wanted
     * @return float as it has to be asked for here
     */
    public function ask(float $log): float
    {
        $most = max(1.0, $log - self::FROM);
        $seen = $mean = $this->excess / $this->peaks;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $beyond = exp(-$most / $mean);
            $mean = $seen + $most * $beyond / (1 - $beyond);
        }
        $beyond = exp(-$most / $mean);

        return self::FROM + $mean * max(0.0, $log + log($this->peaks / (1 - $beyond) / $this->blocks));
    }

    /** @return list<float> */
    public function toList(): array
    {
        return array_map(static fn (float $of): float => round($of, 6), [$this->blocks, $this->peaks, $this->excess]);
    }

    /** @param  list<float|int>  $list  as toList() gives it */
    public static function of(array $list): self
    {
        return new self(...array_map(floatval(...), $list));
    }

    /** What is known of it at the beginning of another day: its shape, but not so sure. */
    public function carriedOver(): self
    {
        $share = min(1.0, 200.0 / $this->peaks);

        return new self($this->blocks * $share, $this->peaks * $share, $this->excess * $share);
    }
}
