<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** Why a typed length could not be read. The wording of each is under `length.<value>` in lang/en. */
enum LengthFault: string
{
    case Empty = 'empty';
    case Negative = 'negative';
    case Exponent = 'exponent';
    case UnfinishedFraction = 'unfinished_fraction';
    case ZeroDenominator = 'zero_denominator';
    case TopHeavyFraction = 'top_heavy_fraction';
    case UnknownFraction = 'unknown_fraction';
    case FractionOfMillimetres = 'fraction_of_millimetres';
    case UnknownUnit = 'unknown_unit';
    case NotANumber = 'not_a_number';
    case TooLong = 'too_long';
}
