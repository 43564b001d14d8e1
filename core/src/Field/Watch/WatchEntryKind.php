<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** What people say while rows are watched. */
enum WatchEntryKind: string
{
    /** An alarm was seen. */
    case Seen = 'seen';
    /** What an alarm tells is how its rows are meant to be from here on. */
    case Left = 'left';
    /** A row is shut off on purpose: it raises no alarm. */
    case Shut = 'shut';
    /** A row plants again. */
    case Opened = 'opened';

    public function isOfRow(): bool
    {
        return $this === self::Shut || $this === self::Opened;
    }
}
