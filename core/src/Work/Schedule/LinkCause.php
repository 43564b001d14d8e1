<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** Why a task does not begin earlier. Worded under `cause.<value>`. */
enum LinkCause: string
{
    /** It comes after another. */
    case After = 'after';
    /** Whoever does it has something else before. */
    case Person = 'person';
    /** Somebody else is at that row. */
    case Row = 'row';
    /** What it needs is not there before. */
    case Arrival = 'arrival';
    /** Somebody has fixed it by hand. */
    case Held = 'held';
    /** It is the first. */
    case Begin = 'begin';
}
