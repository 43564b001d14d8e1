<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

/** Why a part came out. Worded under `removal.<value>`. */
enum RemovalReason: string
{
    case Worn = 'worn';
    case Failed = 'failed';
    /** Changed together with others, before its time. */
    case WithTheSet = 'with_the_set';
    case Moved = 'moved';
    case Other = 'other';

    /** Whether the part had reached the end of its life; else it is only known to have run so far. */
    public function endsLife(): bool
    {
        return $this === self::Worn || $this === self::Failed;
    }
}
