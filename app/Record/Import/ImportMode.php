<?php

declare(strict_types=1);

namespace App\Record\Import;

/** What is to become of a file. */
enum ImportMode: string
{
    /** Only say what it holds. */
    case Preview = 'preview';
    /** All of it, or nothing where a line is bad. */
    case Whole = 'whole';
    /** The good lines. */
    case Good = 'good';
}
