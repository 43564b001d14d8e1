<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** A stretch of a run at one vacuum: domain, 14. Where the vacuum is changed on the way, each stretch is a run of its own. */
final readonly class RunPart
{
    /** Seeds at a new vacuum that make a part of their own: fewer are a swing of the gauge. */
    private const SETTLED = 30;

    /** What a gauge swings about its middle: inches of water, and as a share. */
    private const SWING = 0.5;

    private const SWING_SHARE = 0.08;

    /** @param  list<float>  $times  milliseconds of each seed */
    private function __construct(
        public array $times,
        /** Inches of water, the median over the part; null where the stand does not tell it. */
        public ?float $air,
    ) {
    }

    /**
     * Parts between changes of the vacuum. Seeds that dropped while it moved belong to none.
     *
     * @param  list<array{float, float|null}>  $seeds  milliseconds of each and inches of water when it dropped, in order
     * @param  int  $runIn  seeds at the start that are not counted
     * @return list<self>
     */
    public static function of(array $seeds, int $runIn = 0): array
    {
        $seeds = array_slice($seeds, $runIn);
        $airs = self::filled(array_column($seeds, 1));
        if ($seeds === [] || $airs === []) {
            return $seeds === [] ? [] : [new self(array_column($seeds, 0), null)];
        }
        $parts = [];
        $start = 0;
        $level = self::median(array_slice($airs, 0, self::SETTLED));
        $leftAt = null;
        foreach ($airs as $at => $air) {
            if (self::isLike($air, $level)) {
                $leftAt = null;

                continue;
            }
            $leftAt ??= $at;
            $last = array_slice($airs, $at - self::SETTLED + 1, self::SETTLED);
            if ($at - $leftAt + 1 < self::SETTLED || ! self::isSteady($last)) {
                continue;
            }
            $parts[] = self::part($seeds, $airs, $start, $leftAt);
            [$start, $level, $leftAt] = [$at - self::SETTLED + 1, self::median($last), null];
        }
        // A vacuum that left its level for good and never settled is no part.
        $parts[] = self::part($seeds, $airs, $start, $leftAt !== null && count($airs) - $leftAt >= self::SETTLED ? $leftAt : count($airs));

        return $parts;
    }

    /**
     * @param  list<array{float, float|null}>  $seeds
     * @param  list<float>  $airs
     */
    private static function part(array $seeds, array $airs, int $start, int $end): self
    {
        return new self(array_column(array_slice($seeds, $start, $end - $start), 0), round(self::median(array_slice($airs, $start, $end - $start)), 1));
    }

    /**
     * A stand tells its vacuum now and then: until it tells again, what it told last stands; before the first, what it told first.
     *
     * @param  list<float|null>  $airs
     * @return list<float> none where it tells nothing
     */
    private static function filled(array $airs): array
    {
        $told = array_values(array_filter($airs, is_float(...)));
        if ($told === []) {
            return [];
        }
        $last = $told[0];
        $filled = [];
        foreach ($airs as $air) {
            $last = $air ?? $last;
            $filled[] = $last;
        }

        return $filled;
    }

    /** @param  list<float>  $airs */
    private static function isSteady(array $airs): bool
    {
        $middle = self::median($airs);

        return array_filter($airs, static fn (float $air): bool => ! self::isLike($air, $middle)) === [];
    }

    private static function isLike(float $air, float $level): bool
    {
        return abs($air - $level) <= max(self::SWING, self::SWING_SHARE * $level) + 1e-9;
    }

    /** @param  list<float>  $airs */
    private static function median(array $airs): float
    {
        sort($airs);
        $middle = intdiv(count($airs), 2);

        return count($airs) % 2 === 1 ? $airs[$middle] : ($airs[$middle - 1] + $airs[$middle]) / 2;
    }
}
