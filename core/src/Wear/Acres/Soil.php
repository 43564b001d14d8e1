<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

/** Texture of the ground. Sand grinds; stones chip besides. */
enum Soil: string
{
    case Clay = 'clay';
    case Silt = 'silt';
    case Loam = 'loam';
    case Sand = 'sand';
    case Stony = 'stony';

    /** Typical value: how fast parts wear in it, to a loam. */
    public function factor(): float
    {
        return match ($this) {
            self::Clay => 0.85,
            self::Silt => 0.95,
            self::Loam => 1.0,
            self::Sand => 1.3,
            self::Stony => 1.6,
        };
    }
}
