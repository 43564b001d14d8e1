<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter\Places;

/** Where a meter can be put. */
enum MeterTo: string
{
    case Row = 'row';
    case Shelf = 'shelf';
    case Out = 'out';
}
