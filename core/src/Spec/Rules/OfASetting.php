<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Rules;

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Judging\Trend;

/** What the rules share that judge a setting: nothing wears, nothing has a largest size. */
trait OfASetting
{
    public function lifeLeft(Quantity $value): null
    {
        return null;
    }

    public function largest(): null
    {
        return null;
    }

    public function wear(FurrowDistance $life): null
    {
        return null;
    }

    public function trend(): Trend
    {
        return Trend::Free;
    }
}
