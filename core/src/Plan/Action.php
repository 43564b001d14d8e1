<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

/** What is done about a finding. Worded under `action.<value>`. */
enum Action: string
{
    case Change = 'change';
    /** Shims, gap, centring, touch, notch, tension: by the figure that goes with it. */
    case Adjust = 'adjust';
    case Clean = 'clean';
    /** It runs on, and is looked at again. */
    case CarryOver = 'carry_over';
    /** The meter goes to the stand. */
    case SendOut = 'send_out';
    /** Nobody can say before it was looked at again. */
    case LookAgain = 'look_again';

    /** Whether hands are put to it before planting. */
    public function isWork(): bool
    {
        return $this !== self::CarryOver;
    }
}
