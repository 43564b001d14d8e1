<?php

declare(strict_types=1);

namespace App\Models\Record;

/** How far a file has come. */
enum ImportState: string
{
    case Waiting = 'waiting';
    /** Is read through, and nothing of it kept. */
    case Looking = 'looking';
    /** Goes into the record, slice by slice. */
    case Taking = 'taking';
    case Done = 'done';
    case Refused = 'refused';
    /** Stopped by a person: what was taken in before stays. */
    case Cancelled = 'cancelled';

    /** @return list<self> from which it can still go on */
    public static function onTheWay(): array
    {
        return [self::Waiting, self::Looking, self::Taking];
    }
}
