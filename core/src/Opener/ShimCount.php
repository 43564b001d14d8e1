<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\Side;

/** The inner shims of one side of a row, as they were counted. */
final readonly class ShimCount
{
    public function __construct(
        public int $row,
        public Side $side,
        public int $shims,
        public Moment $at,
    ) {
    }

    /**
     * What is there now: as counted, and what was moved since. Null where more came out than had been counted: the count
     * was wrong, and they are to be counted again.
     *
     * @param  iterable<ShimsMoved>  $moves  of any row
     */
    public function now(iterable $moves): ?int
    {
        $shims = $this->shims;
        foreach ($moves as $move) {
            if ($move->row === $this->row && ($move->side ?? $this->side) === $this->side && $move->at->isAfter($this->at)) {
                $shims += $move->pairs;
            }
        }

        return $shims < 0 ? null : $shims;
    }
}
