<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\PlantedThere;
use App\Http\Api\Schema;
use App\Models\Field\StandCount;
use App\Models\Planter;
use App\Models\Workshop;
use App\Spec\ShopAims;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Emergence\PlantCount;
use Ustrel\Core\Field\Emergence\ShortRows;
use Ustrel\Core\Measure\Day;

final readonly class FieldStandView extends Schema
{
    public function __construct(
        /** From 10 to 90% up: no more is good for the crop */
        public float $aim_hours,
        /** By the log, or the plan; empty where neither says */
        public string $crop,
        /** Of the short stand, by the shop's own curve, in words */
        public ?string $cost,
        public string $field,
        public Day $planted_on,
        /** Plants an acre at the newest count of each row, in words */
        public string $stand,
        /** Population times germination, in words */
        public ?string $expected,
        /** Of what was to be expected */
        public ?float $share,
        /** @var list<int> Rows that stand thinner than the others by more than luck */
        public array $short,
        /** @var list<RowStandView> */
        public array $rows,
    ) {
    }

    /**
     * @param  Collection<int, StandCount>  $counts  of one planting, the newest first
     */
    public static function of(Planter $planter, Collection $counts, PlantedThere $planted, FigureWords $words, ShopAims $shop): self
    {
        $zone = $planter->workshop->time_zone;
        $width = $planter->plantedSpacingOn($counts->firstOrFail()->planted_on)->toInches();
        $newest = $counts->unique('row_number')->keyBy('row_number')->sortKeys();
        $counted = $newest->map(static fn (StandCount $of): PlantCount => $of->counted($zone))->all();
        // Rows are held against each other by what was counted on one day.
        $day = $counts->firstOrFail()->happened_at->setTimezone($zone)->toDateString();
        $short = ShortRows::among(array_intersect_key($counted, $newest->filter(static fn (StandCount $of): bool => $of->happened_at->setTimezone($zone)->toDateString() === $day)->all()));
        $stand = PlantCount::together(array_values($counted), $width);
        $expected = StandCount::expectedBy($counts);

        $there = $planted->on($counts->firstOrFail()->field, $counts->firstOrFail()->planted_on);
        $aims = $shop->for($there['crop'] ?? '');

        return new self(
            crop: $there['crop'] ?? '', aim_hours: $aims->emergenceHours, cost: $there === null || $expected === null ? null : self::cost($planter->workshop, $there, $stand->value, $expected, $words),
            field: $counts->firstOrFail()->field, planted_on: $counts->firstOrFail()->planted_on, stand: $words->said($stand, CalcUnit::PlantsAnAcre),
            expected: $expected === null ? null : $words->said($expected, CalcUnit::PlantsAnAcre), share: $expected === null ? null : round($stand->value / $expected, 3), short: array_keys($short),
            rows: array_values($newest->map(static fn (StandCount $of, int $row): RowStandView => RowStandView::of($of, $counted[$row], array_values($counts->where('row_number', $row)->map(static fn (StandCount $one): PlantCount => $one->counted($zone))->all()), $short[$row] ?? null, $width, $words, $zone, $aims))->all()),
        );
    }

    /**
     * What the stand costs against the one that was to be expected, by the shop's own curve.
     *
     * @param  array{crop: string, acres: float}  $there
     * @return string|null in words; null where the shop has no curve that reaches both
     */
    private static function cost(Workshop $workshop, array $there, float $stand, float $expected, FigureWords $words): ?string
    {
        $curve = $workshop->yieldCurve($there['crop']);
        [$full, $is] = [$curve?->at($expected), $curve?->at($stand)];
        if ($curve === null) {
            return null;
        }
        if ($full === null || $is === null) {
            return __('yield.beyond');
        }
        $of = $workshop->yield_curves[mb_strtolower(trim($there['crop']))];
        $lost = $full - $is;
        $money = static fn (float $amount): string => $workshop->money($amount, $amount < 100 ? 2 : 0);

        if ($lost <= 0) {
            return __('yield.nothing');
        }

        return __('yield.lost', [
            'lost' => $words->an($lost, $of['unit']), 'area' => $money($words->anArea($lost * (float) $of['price'])).'/'.$words->unit(CalcUnit::Acre), 'acres' => $words->said($there['acres'], CalcUnit::Acre), 'all' => $money($lost * (float) $of['price'] * $there['acres']),
        ]);
    }
}
