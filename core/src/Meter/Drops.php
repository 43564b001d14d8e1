<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

use Ustrel\Core\Measure\Median;

/**
 * When each seed of a run dropped, read as spacings: domain, 4. Spacings are in units of the time from one cell to the next, so
 * that 1 is as it should be. Classes and indices by ISO 7256-1 as Kachman and Smith give them (Transactions of the ASAE 38, 1995):
 * up to half a place a multiple, over one and a half a miss, in between a single.
 */
final readonly class Drops
{
    private const MULTIPLE = 0.5;

    private const MISS = 1.5;

    /** The beat is followed by so much of what a drop is off it: a seed that bounces moves it little, a motor that drifts is kept up with. */
    private const FOLLOWED = 0.1;

    /** @param  list<float>  $spacings  of each seed from the one before, in places */
    private function __construct(public array $spacings)
    {
    }

    /**
     * @param  list<float|int>  $times  milliseconds of each seed, none before the one before it; 3 or more
     * @param  float|null  $every  milliseconds from one cell to the next; null where only the seeds can tell
     *
     * @throws InvalidRun
     */
    public static function of(array $times, ?float $every = null): self
    {
        count($times) >= 3 || throw InvalidRun::fewDrops();
        $every ??= self::beat($times);
        $every > 0 && is_finite($every) || throw InvalidRun::pace();
        $spacings = [];
        for ($at = 1, $count = count($times); $at < $count; $at++) {
            $times[$at] >= $times[$at - 1] || throw InvalidRun::backwards($at + 1);
            $spacings[] = ($times[$at] - $times[$at - 1]) / $every;
        }

        return new self($spacings);
    }

    /**
     * The time from one cell to the next as the seeds tell it: most spacings are single ones.
     *
     * @param  non-empty-list<float|int>  $times  two or more
     */
    public static function beat(array $times): float
    {
        $gaps = [];
        for ($at = 1, $count = count($times); $at < $count; $at++) {
            $gaps[] = (float) ($times[$at] - $times[$at - 1]);
        }
        $median = $gaps === [] ? 0.0 : Median::of($gaps);
        $singles = array_values(array_filter($gaps, static fn (float $gap): bool => $gap > self::MULTIPLE * $median && $gap <= self::MISS * $median));

        return $singles === [] ? $median : array_sum($singles) / count($singles);
    }

    /** Share of all spacings that are half a place or less. */
    public function multipleIndex(): float
    {
        return $this->share(static fn (float $spacing): bool => $spacing <= self::MULTIPLE);
    }

    /** Share of all spacings that are over one and a half places. */
    public function missIndex(): float
    {
        return $this->share(static fn (float $spacing): bool => $spacing > self::MISS);
    }

    /** Share of all spacings in between. */
    public function feedIndex(): float
    {
        return $this->share(static fn (float $spacing): bool => self::isSingle($spacing));
    }

    /** How much the single spacings scatter, as a share of what they should be; null of fewer than two. */
    public function precision(): ?float
    {
        $singles = array_values(array_filter($this->spacings, self::isSingle(...)));
        if (count($singles) < 2) {
            return null;
        }
        $mean = array_sum($singles) / count($singles);
        $squares = array_sum(array_map(static fn (float $of): float => ($of - $mean) ** 2, $singles));

        return sqrt($squares / (count($singles) - 1));
    }

    /** Places passed with the first seed's own, those left empty, and seeds too many; a miss is of one place at least. */
    public function counts(): Counts
    {
        $places = 1;
        $skips = $doubles = 0;
        foreach ($this->spacings as $spacing) {
            $missed = self::missed($spacing);
            $skips += $missed;
            $doubles += $spacing <= self::MULTIPLE ? 1 : 0;
            $places += $spacing <= self::MULTIPLE ? 0 : 1 + $missed;
        }

        return new Counts($places, $skips, min($doubles, $places - $skips));
    }

    /**
     * What fell at each place: 0 is a skip, 2 and more a double. Places are told by the beat, not by one spacing after the other,
     * so that two seeds that bounce apart do not shift all that come behind them.
     *
     * @return non-empty-list<int>
     */
    public function seedsByPlace(): array
    {
        $fell = [1];
        $place = 0;
        $off = 0.0;
        foreach ($this->spacings as $spacing) {
            // Where the drop lies from the beat of the last place that had one.
            $lies = $off + $spacing;
            $on = max(0, (int) round($lies));
            for ($empty = 1; $empty < $on; $empty++) {
                $fell[++$place] = 0;
            }
            if ($on > 0) {
                $fell[++$place] = 0;
            }
            $fell[$place]++;
            // The second of a pair says nothing of the beat.
            $off = $on === 0 ? $lies : ($lies - $on) * (1 - self::FOLLOWED);
        }

        return array_values($fell);
    }

    private static function isSingle(float $spacing): bool
    {
        return $spacing > self::MULTIPLE && $spacing <= self::MISS;
    }

    private static function missed(float $spacing): int
    {
        return $spacing > self::MISS ? max(1, (int) round($spacing) - 1) : 0;
    }

    /** @param  callable(float): bool  $is */
    private function share(callable $is): float
    {
        return count(array_filter($this->spacings, $is)) / count($this->spacings);
    }
}
