<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Quantity;

/** What a reading is judged against besides the spec sheet. */
final readonly class Background
{
    private function __construct(
        /** What the same place read in an earlier season, if it was read. */
        public ?Quantity $last,
        /** The median of the planter's rows in this walk; null with too few rows to compare. */
        public ?Quantity $median,
    ) {
    }

    public static function of(?Quantity $last = null, ?Quantity $median = null): self
    {
        return new self($last, $median);
    }

    /** @param  list<Quantity>  $readings  of one check, all rows read so far */
    public static function ofRows(?Quantity $last, array $readings): self
    {
        return new self($last, Rows::of($readings)?->median);
    }
}
