<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

/** How much is changed together. */
enum Scope: string
{
    /** On one row, what wears together: both blades, chain and sprockets. Due with the first of them. */
    case Row = 'row';
    /** All rows together. Due once the middle one is. */
    case Set = 'set';
}
