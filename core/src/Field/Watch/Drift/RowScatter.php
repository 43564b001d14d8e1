<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

/** How much streams of one kind scatter, and how much their blocks hang together: learned from all of them, and kept from run to run. */
final class RowScatter
{
    /** What was believed before counts as so many blocks, and as so many minutes. */
    private const BLOCKS = 20.0;

    private const MINUTES = 20.0;

    private const RATIO = 2.0;

    /** So many are remembered; what is older fades. */
    private const PAST = 5000.0;

    /** Blocks of one. */
    public const MINUTE = 12;

    private function __construct(
        private float $squares,
        private float $seen,
        private float $minuteSquares,
        private float $minutes,
    ) {
    }

    public static function believed(float $sd): self
    {
        return new self(self::BLOCKS * $sd ** 2, self::BLOCKS, self::MINUTES * self::RATIO, self::MINUTES);
    }

    public function variance(): float
    {
        return $this->squares / $this->seen;
    }

    /** Variance of the sum of a minute's blocks to that of as many that do not hang together. */
    public function ratio(): float
    {
        return max(0.4, $this->minuteSquares / $this->minutes);
    }

    /**
     * @param  float  $square  how far one block was off, squared, in the streams' own scale
     * @param  float|null  $minute  sum of a minute's blocks in units of their scatter, where one is full
     */
    public function learn(float $square, ?float $minute): void
    {
        $keep = $this->seen > self::PAST ? 1 - 1 / self::PAST : 1.0;
        [$this->squares, $this->seen] = [$this->squares * $keep + $square, $this->seen * $keep + 1];
        if ($minute !== null) {
            // A drift is no scatter.
            $most = 9 * self::MINUTE * $this->ratio();
            [$this->minuteSquares, $this->minutes] = [$this->minuteSquares * $keep + min($most, $minute ** 2) / self::MINUTE, $this->minutes * $keep + 1];
        }
    }

    /** @return list<float> */
    public function toList(): array
    {
        return array_map(static fn (float $of): float => round($of, 6), [$this->squares, $this->seen, $this->minuteSquares, $this->minutes]);
    }

    /** @param  list<float|int>  $list  as toList() gives it */
    public static function of(array $list): self
    {
        return new self(...array_map(floatval(...), $list));
    }

    /** What is known of it at the beginning of another day: its shape, but not so sure. */
    public function carriedOver(): self
    {
        $share = min(1.0, 200.0 / $this->seen);

        return new self($this->squares * $share, $this->seen * $share, $this->minuteSquares * $share, $this->minutes * $share);
    }
}
