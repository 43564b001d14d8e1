<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** How the seed is singled. */
enum MeterType: string
{
    case Vacuum = 'vacuum';
    case PositiveAir = 'positive_air';
    case Finger = 'finger';
    case Plate = 'plate';
    /** A fluted roll: seed by volume, not singled. */
    case Fluted = 'fluted';
    /** A brush holds the seed in the pockets of a wheel. */
    case Brush = 'brush';

    public function needsAir(): bool
    {
        return $this === self::Vacuum || $this === self::PositiveAir;
    }
}
