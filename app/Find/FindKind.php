<?php

declare(strict_types=1);

namespace App\Find;

/** What something that can be found is; it says which screen shows it, and what its key means there. */
enum FindKind: string
{
    /** A planter; its rows come with it. */
    case Planter = 'planter';

    /** A field of the season of its planter. */
    case Field = 'field';

    /** A piece of a kept plan; the key is the piece's. */
    case Card = 'card';

    /** The key is the part type's id. */
    case PartType = 'part_type';

    /** The key is the seed lot's id. */
    case SeedLot = 'seed_lot';

    /** The key is the meter's id. */
    case Meter = 'meter';

    /** An operator's manual; the key is the manual's id. */
    case Manual = 'manual';

    /** What somebody wrote down at a place of its planter; the key is the row. */
    case Note = 'note';

    /** The key is the calculation's. */
    case Calculator = 'calculator';
}
