<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

/** What a reading says of its place. */
enum Result: string
{
    /** A figure was read, or a state seen. */
    case Recorded = 'recorded';
    /** Looked over and found sound, without a figure. */
    case LookedSound = 'looked_sound';
    /** The row has no such part. */
    case NotFitted = 'not_fitted';
    /** The earlier reading is taken back; the place is unchecked again. */
    case Withdrawn = 'withdrawn';
    /** Never sent: another part was fitted since the place was looked at. */
    case Fitted = 'fitted';
    /** Never sent: something was changed or moved that the reading hangs on. */
    case MeasureAgain = 'measure_again';
}
