<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

/** Worded under `look.<value>`. */
enum LookWhen: string
{
    case NextWalk = 'next_walk';
    case FirstRain = 'first_rain';
    case Acres = 'acres';
}
