<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/**
 * What a field was like to plant, as far as it wears parts. Its severity is 1 on ground that is nothing out of the
 * way, and that is what is taken where nothing was said.
 */
final readonly class Ground
{
    public const MILDEST = 0.5;

    public const HARSHEST = 2.0;

    public function __construct(
        public ?Soil $soil = null,
        public ?Residue $residue = null,
        public ?Tillage $tillage = null,
        /** The shop's own figure, MILDEST to HARSHEST; it goes before the rest. */
        public ?float $own = null,
    ) {
    }

    /** How fast parts wear here, MILDEST to HARSHEST: the own figure, or else the product of the three factors. */
    public function severity(): float
    {
        $factors = ($this->soil?->factor() ?? 1.0) * ($this->residue?->factor() ?? 1.0) * ($this->tillage?->factor() ?? 1.0);

        return $this->own ?? round(max(self::MILDEST, min(self::HARSHEST, $factors)), 2);
    }
}
