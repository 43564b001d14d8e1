<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** What a shop's own check can be. */
enum OwnKind: string
{
    case Condition = 'condition';
    case YesNo = 'yes_no';
    /** A plain number that is not to be over its limit. */
    case AtMost = 'at_most';
    /** A plain number that is not to be under its limit. */
    case AtLeast = 'at_least';
}
