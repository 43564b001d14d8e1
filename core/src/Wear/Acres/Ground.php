<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

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
        public ?DownforceLevel $downforce = null,
    ) {
    }

    /** How fast parts wear here, MILDEST to HARSHEST: the own figure, or else the product of the four factors. */
    public function severity(GroundFactors $factors = new GroundFactors): float
    {
        $product = $factors->of($this->soil) * $factors->of($this->residue) * $factors->of($this->tillage) * $factors->of($this->downforce);

        return $this->own ?? round(max(self::MILDEST, min(self::HARSHEST, $product)), 2);
    }
}
