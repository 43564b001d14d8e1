<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/**
 * Why a verdict was given. Worded under `reason.<value>` in lang/en.json, where `:ref` is the reason's reference and
 * `:by` the distance of the reading from it.
 */
enum ReasonCode: string
{
    case AboveLimit = 'above_limit';
    case NearLimit = 'near_limit';
    case AtLimit = 'at_limit';
    case UnderLimit = 'under_limit';
    /** One more season that takes as much as the last one takes it past the limit. */
    case WillNotLast = 'will_not_last';

    case InWindow = 'in_window';
    case NearWindowLow = 'near_window_low';
    case NearWindowHigh = 'near_window_high';
    case UnderWindow = 'under_window';
    case OverWindow = 'over_window';
    case NoContact = 'no_contact';

    case NotFitted = 'not_fitted';
}
