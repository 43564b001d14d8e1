<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** Why a typed amount cannot be read. Worded under `amount.<value>` in lang/en. */
enum AmountFault: string
{
    case Empty = 'empty';
    case NotANumber = 'not_a_number';
    case UnknownUnit = 'unknown_unit';
    case NotWhole = 'not_whole';
    case OutOfRange = 'out_of_range';
}
