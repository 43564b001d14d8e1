<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

/** What cannot be true of a ledger. Worded under `ledger.<value>`. */
enum LedgerFaultCode: string
{
    /** Taken out before it was fitted. */
    case RemovedBeforeFitted = 'removed_before_fitted';
    /** Taken out though it was never fitted. */
    case NothingFitted = 'nothing_fitted';
    /** Two parts in one slot at the same time. */
    case Overlap = 'overlap';
    /** One part in two slots at the same time. */
    case TwoPlaces = 'two_places';
}
