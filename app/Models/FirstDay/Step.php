<?php

declare(strict_types=1);

namespace App\Models\FirstDay;

/** What a new shop does first, in this order. */
enum Step: string
{
    case Planter = 'planter';

    /** Two rows or more are walked. */
    case Walk = 'walk';

    /** The board was looked at. */
    case Board = 'board';

    case Decide = 'decide';

    case Print = 'print';

    case Invite = 'invite';

    /** The record does not show it: it is said to be done. */
    public function isSaid(): bool
    {
        return $this === self::Board || $this === self::Print;
    }
}
