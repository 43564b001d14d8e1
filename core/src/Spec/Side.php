<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** The side of a row unit as seen from behind; centre where a check has no sides. */
enum Side: string
{
    case Left = 'left';
    case Right = 'right';
    case Centre = 'centre';
}
