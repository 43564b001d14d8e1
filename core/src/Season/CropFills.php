<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

/** One crop's acres, and the boxes and tanks that run while it is planted. */
final readonly class CropFills
{
    /**
     * @param  string|null  $crop  null for fields that name none
     * @param  float  $acres  of its fields
     */
    public function __construct(
        public ?string $crop,
        public float $acres,
        public Fills $fills,
    ) {
    }

    /** Times that it has to stop for a fill on all of its acres; 0 without a tank. */
    public function stops(): float
    {
        $aFill = $this->fills->acresAFill();

        return $aFill === null ? 0.0 : $this->acres / $aFill;
    }
}
