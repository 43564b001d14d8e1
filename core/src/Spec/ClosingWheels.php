<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** The kinds of closing wheels; the gap between them and their centring go by it. */
enum ClosingWheels: string
{
    case Rubber = 'rubber';
    case Cast = 'cast';
    case SpikedPoly = 'spiked_poly';
    case SpikedSteel = 'spiked_steel';
    /** One spiked, one smooth. */
    case Mixed = 'mixed';
    case Disc = 'disc';

    public function isSpiked(): bool
    {
        return match ($this) {
            self::SpikedPoly, self::SpikedSteel, self::Mixed => true,
            self::Rubber, self::Cast, self::Disc => false,
        };
    }
}
