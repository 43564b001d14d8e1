<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** What turns the meters. */
enum Drive: string
{
    case Ground = 'ground';
    case Hydraulic = 'hydraulic';
    case Electric = 'electric';

    /** Whether a chain runs to each row's meter. */
    public function hasChains(): bool
    {
        return $this !== self::Electric;
    }
}
