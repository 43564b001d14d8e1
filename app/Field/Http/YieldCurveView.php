<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Api\Schema;
use App\Models\Workshop;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnitSystem;

final readonly class YieldCurveView extends Schema
{
    public function __construct(
        public string $crop,
        public string $unit,
        public float $price,
        /** As they are typed, in the units of who asks */
        public string $points,
    ) {
    }

    /** @return list<self> */
    public static function all(Workshop $workshop, UnitSystem $system): array
    {
        $area = CalcUnit::PlantsAnAcre->show(1.0, $system);
        $style = $workshop->number_style ?? NumberStyle::Point;
        $curves = [];
        foreach ($workshop->yield_curves as $crop => $curve) {
            $points = array_map(static fn (array $of): string => number_format(round($of[0] * $area), thousands_separator: $style === NumberStyle::Point ? ',' : '.').' '.$style->write(round($of[1] * $area, 2)), $curve['points']);
            $curves[] = new self(crop: (string) $crop, unit: $curve['unit'], price: (float) $curve['price'], points: implode('; ', $points));
        }

        return $curves;
    }
}
