<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** The system a person works in. It decides how a bare number is read and how a length is printed. */
enum UnitSystem: string
{
    case Inch = 'in';
    case Metric = 'mm';
}
