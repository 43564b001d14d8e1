<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

/** How hard the row units were pressed into the ground. */
enum DownforceLevel: string
{
    case Light = 'light';
    case Usual = 'usual';
    case Heavy = 'heavy';

    /** Typical value: how fast parts wear under it, to the usual. */
    public function factor(): float
    {
        return match ($this) {
            self::Light => 0.9,
            self::Usual => 1.0,
            self::Heavy => 1.15,
        };
    }
}
