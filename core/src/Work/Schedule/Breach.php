<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** What does not go as a plan that is kept has it. Worded under `breach.<value>`. */
enum Breach: string
{
    /** It was decided since. */
    case Added = 'added';
    /** It was to be done by now. */
    case Overdue = 'overdue';
    /** What it needs comes later. */
    case Arrival = 'arrival';
    /** Whoever was to do it does not work then any more. */
    case Hours = 'hours';
    /** Whoever does it is still at something else then: that takes longer. */
    case Person = 'person';
    /** It takes more people than were to do it, or fewer. */
    case Together = 'together';
    /** Somebody else is still at that row then. */
    case Row = 'row';
    /** What comes before it is not done by then. */
    case After = 'after';
    /** Planting waits for it, and begins earlier than it did. */
    case Planting = 'planting';
}
