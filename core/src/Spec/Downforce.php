<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** What holds the row unit in the ground besides its weight. */
enum Downforce: string
{
    case None = 'none';
    case Spring = 'spring';
    case Air = 'air';
    case Hydraulic = 'hydraulic';

    public function hasPressure(): bool
    {
        return $this === self::Air || $this === self::Hydraulic;
    }
}
