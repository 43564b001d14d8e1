<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Rate;

/** Whether rows plant the rate that they are set to: domain, 22. Worded under `rate_verdict.<value>`. */
enum RateVerdict: string
{
    case Sound = 'sound';
    case Off = 'off';
    /** What was dug fits both. */
    case Unsure = 'unsure';
}
