<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

/** How a reading came about, recorded as what it is. */
enum Entry: string
{
    case Typed = 'typed';
    /** The technician looked and said "same as last time". */
    case SameAsLast = 'same_as_last';
}
