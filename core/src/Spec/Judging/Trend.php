<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

/** Which way a figure goes by itself until something is changed or adjusted. */
enum Trend
{
    case Shrinks;
    case Grows;
    /** Either way, or it is set by hand. */
    case Free;
}
