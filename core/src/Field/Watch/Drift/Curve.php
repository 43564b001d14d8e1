<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

/**
 * In a curve the outer rows go farther than the inner ones, so that what they bring leans from one wing to the other. How much it leans
 * from block to block is learned, and of each lean as much is taken off as is more likely the ground's than chance (ridge regression on
 * the row's place, its weight by the variances).
 */
final class Curve
{
    /** With fewer rows a lean is not told from a row. */
    private const ROWS = 6;

    /** That none leans counts for so many blocks. */
    private const BELIEVED = 30.0;

    private const PAST = 1000.0;

    /** Leans of so many times the variance that chance brings come from curves. */
    public const CURVES = 2.0;

    /** Beyond it all that leans is taken off. */
    private const SURELY = 3.0;

    /** Blocks that a curve lasts for at least. */
    private const LASTS = 3;

    /** One row that is far off is no lean: what is left of each is cut, and the lean drawn anew (Huber). */
    private const ROUNDS = 3;

    private const MOST = 9.0;

    /** @var list<float> squares that are not learned from yet: a fault is not to become a curve while it is being found */
    private array $waits = [];

    /** @var list<float> what was taken off over the last blocks, a row */
    private array $leans = [];

    private function __construct(
        private float $blocks,
        /** Of leans, in units of what chance brings. */
        private float $squares,
    ) {
    }

    public static function believed(): self
    {
        return new self(self::BELIEVED, self::BELIEVED);
    }

    /** Variance of leans in units of what chance brings: 1 where there are no curves. */
    public function many(): float
    {
        return $this->squares / $this->blocks;
    }

    /** The same here: where it goes through curves at all, one lasts for some blocks. */
    private function manyNow(float $square): float
    {
        $many = $this->many();

        return $many <= self::CURVES ? $many : (self::LASTS * $many + array_sum(array_slice($this->waits, 1 - self::LASTS)) + $square) / (2 * self::LASTS);
    }

    /**
     * @param  array<int, float>  $off  by row, how far it is off
     * @param  float  $sd  scatter of one row
     * @return float what leans, from one row to the next
     */
    public function lean(array $off, float $sd): float
    {
        [$lean, $square] = count($off) < self::ROWS ? [0.0, null] : self::fitted($off, $sd);
        $now = $this->manyNow($square ?? 0.0);
        $lean *= $now > self::SURELY ? 1.0 : max(0.0, 1 - 1 / $now);
        $this->leans = array_slice([...$this->leans, $lean], -Stream::RING);
        if ($square !== null) {
            $this->waits[] = $square;
            count($this->waits) > 2 * Stream::RING && $this->learn((float) array_shift($this->waits));
        }

        return $lean;
    }

    /** What was taken off on the mean over the last blocks, from one row to the next. */
    public function lately(int $blocks): float
    {
        $last = array_slice($this->leans, -$blocks);

        return $last === [] ? 0.0 : array_sum($last) / count($last);
    }

    /** @return list<float> */
    public function toList(): array
    {
        return [round($this->blocks, 6), round($this->squares, 6)];
    }

    /** @param  list<float|int>  $list  as toList() gives it */
    public static function of(array $list): self
    {
        return new self(...array_map(floatval(...), $list));
    }

    /** What is known of it at the beginning of another day: where there were curves there will be, but not so surely. */
    public function carriedOver(): self
    {
        $share = min(1.0, 200.0 / $this->blocks);

        return new self($this->blocks * $share, $this->squares * $share);
    }

    private function learn(float $square): void
    {
        $keep = $this->blocks > self::PAST ? 1 - 1 / self::PAST : 1.0;
        [$this->squares, $this->blocks] = [$this->squares * $keep + min($square, self::MOST * max(1.0, $this->many())), $this->blocks * $keep + 1];
    }

    /**
     * @param  non-empty-array<int, float>  $off
     * @return array{float, float} the lean, and its square in units of the variance that chance brings
     */
    private static function fitted(array $off, float $sd): array
    {
        $middle = array_sum(array_keys($off)) / count($off);
        $mean = array_sum($off) / count($off);
        $lean = $squares = 0.0;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            [$squares, $products] = [0.0, 0.0];
            foreach ($off as $row => $far) {
                $left = $far - $mean - $lean * ($row - $middle);
                $squares += ($row - $middle) ** 2;
                $products += ($row - $middle) * max(-Stream::CUT * $sd, min(Stream::CUT * $sd, $left));
            }
            $lean += $products / $squares;
        }

        return [$lean, $lean ** 2 / ($sd ** 2 / $squares)];
    }
}
