<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

use Ustrel\Core\Measure\UnitSystem;

/** What a figure of a calculator is in. Worded under `calc_unit.<value>` and, in metric units, `calc_unit_metric.<value>`. */
enum CalcUnit: string
{
    case Inch = 'in';
    case Foot = 'ft';
    case Acre = 'acre';
    case SeedsAnAcre = 'seeds_acre';
    case PlantsAnAcre = 'plants_acre';
    case Mph = 'mph';
    case Pound = 'lb';
    case Gallon = 'gal';
    case GallonsAnAcre = 'gal_acre';
    case PoundsAnAcre = 'lb_acre';
    case GallonsAMinute = 'gal_min';
    case SeedsAPound = 'seeds_lb';
    case SeedsAFoot = 'seeds_ft';
    case InchOfWater = 'in_h2o';
    case Percent = 'percent';
    case Second = 'second';
    case TurnsAMinute = 'rpm';
    case SeedsASecond = 'seeds_second';
    /** Counted, or without a unit. */
    case Plain = 'plain';

    /** One of this unit in the metric unit that stands for it: exact by definition (NIST Special Publication 811), but for water at 4 degrees. */
    public function metric(): float
    {
        return match ($this) {
            self::Inch => 2.54,
            self::Foot => 0.3048,
            self::Acre => 0.40468564224,
            self::SeedsAnAcre, self::PlantsAnAcre => 1 / 0.40468564224,
            self::Mph => 1.609344,
            self::Pound => 0.45359237,
            self::Gallon, self::GallonsAMinute => 3.785411784,
            self::GallonsAnAcre => 3.785411784 / 0.40468564224,
            self::PoundsAnAcre => 0.45359237 / 0.40468564224,
            self::SeedsAPound => 1 / 0.45359237,
            self::SeedsAFoot => 1 / 0.3048,
            self::InchOfWater => 2.4908891,
            default => 1.0,
        };
    }

    public function read(float $value, UnitSystem $system): float
    {
        return $system === UnitSystem::Metric ? $value / $this->metric() : $value;
    }

    public function show(float $value, UnitSystem $system): float
    {
        return $system === UnitSystem::Metric ? $value * $this->metric() : $value;
    }
}
