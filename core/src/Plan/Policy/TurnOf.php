<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

/** Worded under `turn.<value>`. */
enum TurnOf: string
{
    case PartPrices = 'part_prices';
    case StopCost = 'stop_cost';
    case Share = 'share';
}
