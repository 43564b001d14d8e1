<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

/** What somebody vouches for: that each row was turned by hand and dropped seed, or that the planter is ready. */
enum SignOffKind: string
{
    case HandTurned = 'hand_turned';
    case Ready = 'ready';
}
