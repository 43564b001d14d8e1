<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

/** When a part is due. Worded under `when.<value>`. */
enum ChangeWhen: string
{
    case PastLimit = 'past_limit';
    case ShareGone = 'share_gone';
    /** It is expected to pass its limit before the season is through. */
    case WouldNotLast = 'would_not_last';
    case Always = 'always';
}
