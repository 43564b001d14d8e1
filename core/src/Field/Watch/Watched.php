<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** What a monitor tells of each row. */
enum Watched: string
{
    /** Seeds an acre. */
    case Population = 'population';

    /** Percent of the places. */
    case Skips = 'skips';

    /** Percent of the places. */
    case Doubles = 'doubles';

    /** Pounds on the row. */
    case Downforce = 'downforce';

    /** Liquid, by whatever the column or the meter counts in. */
    case Flow = 'flow';

    /** Over this no sensor is believed. */
    public function most(): float
    {
        return match ($this) {
            self::Population => 2_000_000.0,
            self::Skips, self::Doubles => 100.0,
            self::Downforce, self::Flow => 5_000.0,
        };
    }

    /**
     * What is watched so that its scatter does not hang on its size: the logarithm of what is judged as a share, the root of what is
     * counted seldom.
     */
    public function scaled(float $figure): float
    {
        return match ($this) {
            self::Population, self::Flow => log(max($figure, 0.001)),
            self::Skips, self::Doubles => sqrt($figure + 0.05),
            self::Downforce => $figure,
        };
    }

    public function back(float $scaled): float
    {
        return match ($this) {
            self::Population, self::Flow => exp($scaled),
            self::Skips, self::Doubles => max(0.0, max(0.0, $scaled) ** 2 - 0.05),
            self::Downforce => $scaled,
        };
    }

    /** The smallest lasting change that is worth a stop, scaled: 2 % of the seed, skips from 1.5 to 2.6 %, 15 lb, 5 % of the liquid. */
    public function worth(): float
    {
        return match ($this) {
            self::Population => 0.02,
            self::Skips, self::Doubles => 0.38,
            self::Downforce => 15.0,
            self::Flow => 0.05,
        };
    }

    /** Seconds of planting that are judged at once: what is counted seldom needs more of them. */
    public function block(): int
    {
        return match ($this) {
            self::Population, self::Downforce, self::Flow => 10,
            self::Skips, self::Doubles => 60,
        };
    }

    /** Scatter of one row over a block, scaled, until the planter's own is known. */
    public function scatter(): float
    {
        return match ($this) {
            self::Population => 0.02,
            self::Skips, self::Doubles => 0.17,
            self::Downforce => 10.0,
            self::Flow => 0.03,
        };
    }

    /** @return list<1|-1> the directions that mean trouble */
    public function troubles(): array
    {
        return $this === self::Skips || $this === self::Doubles ? [1] : [-1, 1];
    }

    /** A row that brings less than half of it has stopped or is plugged. */
    public function stops(): bool
    {
        return $this === self::Population || $this === self::Flow;
    }
}
