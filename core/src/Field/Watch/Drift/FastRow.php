<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

/** What one row usually brings against the others, and how much of late speaks for a loss. */
final class FastRow
{
    /** What is longer ago fades: ten minutes of planting. */
    private const PAST = 300;

    /** The last looks, which do not belong to the past yet. */
    private const RING = 15;

    public float $mean = 0.0;

    public int $count = 0;

    public float $sum = 0.0;

    public int $since = 0;

    private float $minute = 0.0;

    private int $inMinute = 0;

    /** @var list<float> the last figures */
    private array $ring = [];

    /** @param  float  $evidence  of a loss, as a logarithm of likelihoods */
    public function sum(float $evidence): void
    {
        $this->sum = max(0.0, $this->sum + $evidence);
        $this->since = $this->sum > 0 ? $this->since + 1 : 0;
    }

    public function take(float $figure, RowScatter $shared, bool $learns): void
    {
        $this->ring[] = $figure;
        if (count($this->ring) <= min(self::RING, 1 + intdiv($this->count, 4))) {
            return;
        }
        $oldest = (float) array_shift($this->ring);
        if (! $learns) {
            return;
        }
        if ($this->count > 0) {
            $spread = sqrt($shared->variance() * (1 + $shared->ratio() / $this->count));
            $z = max(-Stream::CUT, min(Stream::CUT, ($oldest - $this->mean) / $spread));
            $this->minute += $z;
            $isFull = ++$this->inMinute === RowScatter::MINUTE;
            $shared->learn(($z * $spread) ** 2 / (1 + $shared->ratio() / $this->count), $isFull ? $this->minute : null);
            if ($isFull) {
                [$this->minute, $this->inMinute] = [0.0, 0];
            }
        }
        $this->count = min($this->count + 1, self::PAST);
        $this->mean += ($oldest - $this->mean) / $this->count;
    }

    public function lately(int $looks): float
    {
        $last = array_slice($this->ring, -max(1, $looks));

        return $last === [] ? 0.0 : array_sum($last) / count($last) - $this->mean;
    }

    public function calm(): void
    {
        [$this->sum, $this->since] = [0.0, 0];
    }
}
