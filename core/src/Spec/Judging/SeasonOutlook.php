<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

use Ustrel\Core\Measure\Quantity;

/** Where a reading taken now would make the chance of reaching the limit this season greater than the shop's figure. */
final readonly class SeasonOutlook
{
    public function __construct(
        /** Sizes beyond this on the way to the limit will not last: under it where a part shrinks, over it where play grows. */
        public Quantity $turnsAt,
        /** The shop's figure, percent. */
        public Quantity $chance,
    ) {
    }
}
