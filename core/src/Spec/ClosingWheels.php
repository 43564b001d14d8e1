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
    /** They find their own gap and pressure. */
    case SelfAdjusting = 'self_adjusting';
    /** No wheels: a chain drags soil over the seed. */
    case Chain = 'chain';
    case None = 'none';

    public function isSpiked(): bool
    {
        return match ($this) {
            self::SpikedPoly, self::SpikedSteel, self::Mixed => true,
            self::Rubber, self::Cast, self::Disc, self::SelfAdjusting, self::Chain, self::None => false,
        };
    }

    /** @return list<self> those with a gap that is set */
    public static function withGap(): array
    {
        return [self::Rubber, self::Cast, self::SpikedPoly, self::SpikedSteel, self::Mixed, self::Disc];
    }
}
