<?php

declare(strict_types=1);

namespace App\Record;

/** What became of one item that was sent. */
enum Outcome: string
{
    case Stored = 'stored';
    /** Sent before with the same content: it stands, once. */
    case Known = 'known';
    /** Hard to believe: not stored until it is sent again, confirmed. */
    case Doubtful = 'doubtful';
    /** The id is taken by something with other content. */
    case Conflict = 'conflict';
    case Refused = 'refused';

    /** The HTTP status that the item would have had on its own. */
    public function status(): int
    {
        return match ($this) {
            self::Stored => 201,
            self::Known => 200,
            self::Conflict => 409,
            self::Doubtful, self::Refused => 422,
        };
    }

    public function isTaken(): bool
    {
        return $this === self::Stored || $this === self::Known;
    }
}
