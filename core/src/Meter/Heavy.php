<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** What a meter does wrong that no air puts right. Suspects are worded under `suspects.<value>`. */
enum Heavy: string
{
    case Skips = 'skips';
    case Doubles = 'doubles';
    case Both = 'both';
    case Periodic = 'periodic';
}
