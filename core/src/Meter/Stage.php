<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** When a meter was run: as it came, or as it goes back. */
enum Stage: string
{
    case Pre = 'pre';
    case Final = 'final';
}
