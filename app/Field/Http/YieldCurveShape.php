<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Models\Workshop;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnitSystem;

#[OA\Schema(schema: 'YieldCurve', required: ['crop', 'unit', 'price', 'points'], properties: [
    new OA\Property(property: 'crop', type: 'string'),
    new OA\Property(property: 'unit', type: 'string'),
    new OA\Property(property: 'price', type: 'number'),
    new OA\Property(property: 'points', description: 'As they are typed, in the units of who asks', type: 'string'),
])]
final class YieldCurveShape
{
    /** @return list<array{crop: string, unit: string, price: float, points: string}> */
    public static function of(Workshop $workshop, UnitSystem $system): array
    {
        $area = CalcUnit::PlantsAnAcre->show(1.0, $system);
        $style = $workshop->number_style ?? NumberStyle::Point;
        $curves = [];
        foreach ($workshop->yield_curves as $crop => $curve) {
            $points = array_map(static fn (array $of): string => number_format(round($of[0] * $area), thousands_separator: $style === NumberStyle::Point ? ',' : '.').' '.$style->write(round($of[1] * $area, 2)), $curve['points']);
            $curves[] = ['crop' => (string) $crop, 'unit' => $curve['unit'], 'price' => (float) $curve['price'], 'points' => implode('; ', $points)];
        }

        return $curves;
    }
}
