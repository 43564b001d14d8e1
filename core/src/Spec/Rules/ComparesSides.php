<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Rules;

use Ustrel\Core\Measure\Quantity;

/** A rule that holds one side of a row, or of the planter, against the other: unlike is to be changed, whatever each would be by itself. */
interface ComparesSides
{
    /** By so much the two may differ. */
    public function alikeWithin(): Quantity;
}
