<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** What can be made to go wrong on a made-up field, or on the way from it. */
enum PracticeFault: string
{
    case None = 'none';

    /** A row brings nothing any more. */
    case Plugged = 'plugged';

    /** The drive of a row slips: 4 % of its seed. */
    case Slips = 'slips';

    /** What rows share brings less: 5 % of their seed. */
    case Shared = 'shared';

    /** All rows bring 4 % less than is set: the fan, or what drives all of them. */
    case Whole = 'whole';

    /** A column of liquid sinks. */
    case Column = 'column';

    /** A seed sensor says nothing any more. */
    case Silent = 'silent';

    /** A seed sensor says what cannot be. */
    case Jumps = 'jumps';

    /** The monitor is cut off for a minute. */
    case Cut = 'cut';

    /** Lines come twice, or broken. */
    case Garbled = 'garbled';
}
