<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

/** Shims that were moved, with the contact length measured before and after. */
final readonly class ShimMove
{
    /**
     * @param  int  $pairs  added on each side; negative for taken out. Not 0
     * @param  float  $before  millimetres
     * @param  float  $after  millimetres
     */
    public function __construct(
        public int $pairs,
        public float $before,
        public float $after,
    ) {
    }

    /** Whether it says anything: without contact before or after, nobody knows how far the blades stood apart. */
    public function tells(): bool
    {
        return $this->pairs !== 0 && $this->before > 0 && $this->after > 0;
    }
}
