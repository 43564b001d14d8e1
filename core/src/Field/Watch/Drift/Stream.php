<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

/**
 * What is watched of one row, or of rows that share something, ten seconds of planting at a time: how far it is off what was to be
 * expected, in units of its scatter, summed up in both directions (standardised CUSUM, self-starting: what was to be expected is the
 * mean of what came before, and its own uncertainty counts).
 */
final class Stream
{
    /** What is longer ago fades: half an hour of planting. */
    private const PAST = 180;

    /** The scatter of one stream is worth as much as that of all after so many blocks. */
    private const SHARED = 20.0;

    /** Beyond it a block counts no more: one outlier is no drift. */
    public const CUT = 3.0;

    /** Blocks before it is told from its past. */
    public const FEWEST = 3;

    /** The last blocks, by which it is seen since when something is off, and which do not belong to the past yet. */
    public const RING = 12;

    /** How much it scatters is remembered for longer. */
    private const SCATTERS = 1500;

    public float $mean = 0.0;

    public int $count = 0;

    private float $squares = 0.0;

    private float $seen = 0.0;

    /** @var array<int, float> by direction */
    private array $sums = [1 => 0.0, -1 => 0.0];

    /** @var array<int, int> by direction, blocks since the sum was last nothing */
    private array $since = [1 => 0, -1 => 0];

    /** @var array<int, float> by direction, how high the sum has been since */
    private array $peaks = [1 => 0.0, -1 => 0.0];

    private float $minute = 0.0;

    private int $inMinute = 0;

    /** @var list<float> the last figures */
    private array $ring = [];

    /** @param  float  $shared  variance of streams of its kind */
    public function variance(float $shared): float
    {
        return (self::SHARED * $shared + $this->squares) / (self::SHARED + $this->seen);
    }

    /**
     * By how much a threshold has to be higher because that variance is an estimate: where it is too small by chance false alarms come
     * so much sooner that, on the mean over all streams, they would come too often (first order, for a normal estimate).
     *
     * @param  float  $log  of the blocks to a false alarm
     */
    public function caution(float $log, float $ratio): float
    {
        $uncertain = (1 + $ratio) * $this->seen / (self::SHARED + $this->seen) ** 2;

        return sqrt(1 + $log * $uncertain / 2);
    }

    /**
     * By how much a threshold has to be higher because what is usual is not known well yet: the error of a mean of few blocks lasts, so
     * that the sum climbs by it block after block. With a normal error of variance r/n the mean of exp(-2kh/r) over it asks for
     * h - h²/(kn) = h0; when all of the past is there, it is in the threshold already.
     *
     * @param  float  $height  of the threshold
     */
    public function newness(float $height, float $allowance): float
    {
        $share = $height / $allowance * (1 / max(1, $this->count) - 1 / self::PAST);

        return match (true) {
            $share < 1e-6 => 1.0,
            $share < 0.25 => (1 - sqrt(1 - 4 * $share)) / (2 * $share),
            default => 2.0,
        };
    }

    /**
     * What was to be expected, and how much it scatters, goes by what is some time ago: a drift is not to become what is usual while it
     * is being found.
     *
     * @param  float  $figure  of this block, in its own scale
     * @param  RowScatter  $shared  of streams of its kind; it learns with this one
     * @param  bool  $learns  whether what is usual moves on
     * @return float|null how far it is off in units of its scatter, cut; null before it has a past
     */
    public function take(float $figure, RowScatter $shared, bool $learns): ?float
    {
        $z = $this->count < self::FEWEST ? null : max(-self::CUT, min(self::CUT, ($figure - $this->mean) / $this->spread($shared)));
        $this->ring[] = $figure;
        if (count($this->ring) > min(self::RING, 1 + intdiv($this->count, 5))) {
            $oldest = (float) array_shift($this->ring);
            if ($learns) {
                $this->learn($oldest, $shared);
            }
        }

        return $z;
    }

    private function learn(float $figure, RowScatter $shared): void
    {
        $off = $figure - $this->mean;
        if ($this->count >= self::FEWEST) {
            $spread = $this->spread($shared);
            $z = max(-self::CUT, min(self::CUT, $off / $spread));
            $square = ($z * $spread) ** 2 / (1 + $shared->ratio() / $this->count);
            $this->squares = $this->squares * (1 - 1 / self::SCATTERS) + $square;
            $this->seen = $this->seen * (1 - 1 / self::SCATTERS) + 1;
            $this->minute += $z;
            $isFull = ++$this->inMinute === RowScatter::MINUTE;
            $shared->learn($square, $isFull ? $this->minute : null);
            if ($isFull) {
                [$this->minute, $this->inMinute] = [0.0, 0];
            }
        }
        $this->count = min($this->count + 1, self::PAST);
        $this->mean += $off / $this->count;
    }

    /** Of the next block: what was to be expected is not known exactly either. */
    private function spread(RowScatter $shared): float
    {
        return sqrt($this->variance($shared->variance()) * (1 + $shared->ratio() / $this->count));
    }

    /**
     * @param  float  $wide  what heights are to be higher by
     * @param  1|-1  $direction
     * @return float how high the sum stands now, as the logarithm of the blocks that it takes by chance to climb so high
     */
    public function sum(float $z, float $allowance, DriftThreshold $threshold, float $wide, Peaks $peaks, int $direction): float
    {
        $this->sums[$direction] = max(0.0, $this->sums[$direction] + $direction * $z - $allowance);
        $log = $threshold->log($this->sums[$direction] / $wide);
        $peaks->block();
        if ($this->sums[$direction] > 0) {
            $this->since[$direction]++;
            $this->peaks[$direction] = max($this->peaks[$direction], $log);
        } else {
            $peaks->peak($this->peaks[$direction]);
            [$this->since[$direction], $this->peaks[$direction]] = [0, 0.0];
        }

        return $log;
    }

    /**
     * @param  1|-1  $direction
     * @return int blocks for which it has been going on
     */
    public function since(int $direction): int
    {
        return $this->since[$direction];
    }

    /** How far it was off over the last blocks, on the mean; null where it has none. */
    public function lately(int $blocks): ?float
    {
        $last = array_slice($this->ring, -max(1, $blocks));

        return $last === [] ? null : array_sum($last) / count($last) - $this->mean;
    }

    public function calm(): void
    {
        [$this->sums, $this->since, $this->peaks] = [[1 => 0.0, -1 => 0.0], [1 => 0, -1 => 0], [1 => 0.0, -1 => 0.0]];
    }

    /** The last blocks tell nothing of what comes after them. */
    public function forgetLately(): void
    {
        $this->ring = [];
    }

    /** What it is like now is what is to be expected from here on. */
    public function startAnew(): void
    {
        $this->calm();
        [$this->mean, $this->count, $this->minute, $this->inMinute, $this->ring] = [0.0, 0, 0.0, 0, []];
    }
}
