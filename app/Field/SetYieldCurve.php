<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Workshop;
use App\Record\Change;
use App\Record\Fields;
use App\Record\Refused;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Emergence\InvalidYield;
use Ustrel\Core\Field\Emergence\YieldCurve;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnitSystem;

/** Sets what a shop says that one of its crops yields at each stand, or takes it away. */
final readonly class SetYieldCurve
{
    private const LONGEST = 80;

    private const LONGEST_UNIT = 20;

    private const LONGEST_POINTS = 400;

    private const MOST_CROPS = 30;

    public function __construct(private Change $change)
    {
    }

    /** @throws Refused */
    public function __invoke(int $workshopId, Fields $fields): Workshop
    {
        $crop = mb_strtolower(trim($fields->text('crop', self::LONGEST, 'yield.crop')));
        $points = trim($fields->text('points', self::LONGEST_POINTS, 'yield.point', ['said' => '']));
        $curve = $crop === '' ? throw Refused::because('crop', 'yield.crop') : ($points === '' ? null : self::curve($fields, $points, Workshop::query()->findOrFail($workshopId)->number_style));

        return $this->change->ofYard($workshopId, static function (Workshop $workshop) use ($crop, $curve): null {
            $curves = array_diff_key($workshop->yield_curves, [$crop => 1]) + ($curve === null ? [] : [$crop => $curve]);
            ksort($curves);
            count($curves) <= self::MOST_CROPS || throw Refused::because('crop', 'yield.most');
            $workshop->update(['yield_curves' => $curves]);

            return null;
        });
    }

    /** @return array{unit: string, price: float, points: list<array{float, float}>} */
    private static function curve(Fields $fields, string $points, ?NumberStyle $style): array
    {
        $system = $fields->oneOf('units', UnitSystem::class, 'refused.unknown_units') ?? UnitSystem::Inch;
        $unit = trim($fields->text('unit', self::LONGEST_UNIT, 'yield.unit'));
        $price = $fields->number('price', 'error.money') ?? 0.0;
        if ($unit === '') {
            throw Refused::because('unit', 'yield.unit');
        }
        if ($price < 0 || $price > 100_000) {
            throw Refused::because('price', 'error.money');
        }
        try {
            return ['unit' => $unit, 'price' => round($price, 4), 'points' => YieldCurve::read($points, CalcUnit::PlantsAnAcre->show(1.0, $system), $style)->points];
        } catch (InvalidYield $invalid) {
            throw Refused::line('points', 'yield', $invalid, ['said' => mb_substr($invalid->typed, 0, 60)]);
        }
    }
}
