<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

/** How the ground was worked before planting. */
enum Tillage: string
{
    case Worked = 'worked';
    case MinTill = 'min_till';
    case NoTill = 'no_till';

    /** Typical value: how fast parts wear in it, to ground worked lightly. */
    public function factor(): float
    {
        return match ($this) {
            self::Worked => 0.9,
            self::MinTill => 1.0,
            self::NoTill => 1.15,
        };
    }
}
