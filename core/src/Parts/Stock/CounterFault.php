<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

/** Why a parts counter's answer cannot be used. Worded under `counter.<value>`. */
enum CounterFault: string
{
    /** Nobody is there, or it says that it cannot answer. */
    case Down = 'down';
    case Late = 'late';
    /** Not the lines that were agreed on. */
    case NotUnderstood = 'not_understood';
    /** It ends before all lines that it promised have come. */
    case Half = 'half';
    /** A line of it says what cannot be, such as a price below nothing. */
    case WrongLine = 'wrong_line';
    case OtherCurrency = 'other_currency';
}
