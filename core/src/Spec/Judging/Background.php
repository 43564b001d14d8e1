<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

use Ustrel\Core\Measure\Quantity;

/** What a reading is judged against besides the spec sheet. */
final readonly class Background
{
    private function __construct(
        /** What the wear of this part and of its like says of the coming season; null where the record is too thin. */
        public ?SeasonOutlook $outlook,
        /** The median of the planter's rows in this walk; null with too few rows to compare. */
        public ?Quantity $median,
        /** What the same check reads on the other side of the row; null where it has none, or nobody has looked. */
        public ?Quantity $otherSide,
        /** What this row is to be set at, by what all rows read; null where nobody knows, or where it is not to make up for anything. */
        public ?Quantity $aim,
    ) {
    }

    public static function of(?SeasonOutlook $outlook = null, ?Quantity $median = null, ?Quantity $otherSide = null, ?Quantity $aim = null): self
    {
        return new self($outlook, $median, $otherSide, $aim);
    }

    /** @param  list<Quantity>  $readings  of one check, all rows read so far */
    public static function ofRows(?SeasonOutlook $outlook, array $readings, ?Quantity $otherSide = null, ?Quantity $aim = null): self
    {
        return new self($outlook, Rows::of($readings)?->median, $otherSide, $aim);
    }
}
