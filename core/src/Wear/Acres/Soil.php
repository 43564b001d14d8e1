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

    /** As it is said in a line; null where it is none. */
    public static function told(string $word): ?self
    {
        return match (strtr(mb_strtolower($word), '-', ' ')) {
            'clay' => self::Clay,
            'silt' => self::Silt,
            'loam' => self::Loam,
            'sand', 'sandy' => self::Sand,
            'stony', 'stones', 'rocks', 'rocky' => self::Stony,
            default => null,
        };
    }
}
