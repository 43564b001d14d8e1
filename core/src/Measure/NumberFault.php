<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** Why a typed number cannot be read. Worded under `number.<value>` in lang/en, for server and client alike. */
enum NumberFault: string
{
    case Empty = 'empty';
    case NotANumber = 'not_a_number';
    case Negative = 'negative';
    case Exponent = 'exponent';
    case UnfinishedFraction = 'unfinished_fraction';
    case ZeroDenominator = 'zero_denominator';
    case TopHeavyFraction = 'top_heavy_fraction';
    case UnknownFraction = 'unknown_fraction';
    case FractionOfMetric = 'fraction_of_metric';
    case UnknownUnit = 'unknown_unit';
    /** A unit where the field has none. */
    case NoUnit = 'no_unit';
    /** A unit that stands twice, or two sizes of which the second is not the smaller unit. */
    case UnitTwice = 'unit_twice';
    /** It can be read with a decimal point and with a decimal comma, and nothing tells which. */
    case TwoWays = 'two_ways';
    /** Only the style that the workshop does not use makes a number of it. */
    case OtherStyle = 'other_style';
    case NotWhole = 'not_whole';
    case TooLow = 'too_low';
    case TooHigh = 'too_high';
}
