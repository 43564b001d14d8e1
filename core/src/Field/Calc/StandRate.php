<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/** Seeds for a stand: P = wanted plants / (germination x field emergence). Domain, 13; plants to expect: domain, 4. */
final class StandRate
{
    /**
     * @param  float  $plants  wanted an acre
     * @param  float  $germination  share over 0, up to 1
     * @param  float  $emergence  share of what germinates that comes up in the field, over 0, up to 1
     * @return float seeds an acre
     */
    public static function seeds(float $plants, float $germination, float $emergence): float
    {
        return $plants / ($germination * $emergence);
    }

    /** Plants an acre to expect of a population, where so many places are skipped and so many get two. */
    public static function plants(float $population, float $skips, float $doubles, float $germination, float $emergence): float
    {
        return $population * (1 - $skips + $doubles) * $germination * $emergence;
    }
}
