<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

/** What was done to the parts of a row. */
enum LedgerEventKind: string
{
    case Fitted = 'fitted';
    case Removed = 'removed';
    case ShimsMoved = 'shims_moved';
    /** An earlier event is taken back. */
    case Withdrawn = 'withdrawn';
}
