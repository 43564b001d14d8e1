<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Rate;

/** The rows that are off alike. Worded under `rate_scope.<value>`. */
enum RateScope: string
{
    case All = 'all';
    case Group = 'group';
    case LeftHalf = 'left_half';
    case RightHalf = 'right_half';
    case Row = 'row';

    public function isHalf(): bool
    {
        return $this === self::LeftHalf || $this === self::RightHalf;
    }
}
