<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\PlantedThere;
use App\Models\Field\StandCount;
use App\Models\Planter;
use App\Models\Workshop;
use App\Spec\ShopAims;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Diagnosis\Symptom;
use Ustrel\Core\Field\Emergence\Evenness;
use Ustrel\Core\Field\Emergence\PlantCount;
use Ustrel\Core\Field\Emergence\ShortRows;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\Aims;

#[OA\Schema(schema: 'StandCountEntry', required: ['id', 'row', 'field', 'planted_on', 'plants', 'length', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer', minimum: 1),
    new OA\Property(property: 'field', type: 'string', maxLength: 80),
    new OA\Property(property: 'planted_on', type: 'string', format: 'date'),
    new OA\Property(property: 'plants', type: 'integer', maximum: 5000, minimum: 0),
    new OA\Property(property: 'length', description: 'Of row that was marked, feet or metres', type: 'number'),
    new OA\Property(property: 'units', type: 'string', enum: UnitSystem::class),
    new OA\Property(property: 'population', description: 'That was planted, seeds an acre', type: 'integer', nullable: true),
    new OA\Property(property: 'germination', description: 'Share, on the tag', type: 'number', maximum: 1, minimum: 0.01, nullable: true),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The count whose place it takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the one that is superseded', type: 'boolean'),
])]
#[OA\Schema(schema: 'Emergence', required: ['fields', 'curves'], properties: [
    new OA\Property(property: 'curves', description: 'What the shop says that its crops yield at each stand', type: 'array', items: new OA\Items(ref: '#/components/schemas/YieldCurve')),
    new OA\Property(property: 'fields', type: 'array', items: new OA\Items(required: ['field', 'crop', 'planted_on', 'stand', 'expected', 'share', 'cost', 'aim_hours', 'short', 'rows'], properties: [
        new OA\Property(property: 'aim_hours', description: 'From 10 to 90 % up: no more is good for the crop', type: 'number'),
        new OA\Property(property: 'crop', description: 'By the log, or the plan; empty where neither says', type: 'string'),
        new OA\Property(property: 'cost', description: 'Of the short stand, by the shop\'s own curve, in words', type: 'string', nullable: true),
        new OA\Property(property: 'field', type: 'string'),
        new OA\Property(property: 'planted_on', type: 'string', format: 'date'),
        new OA\Property(property: 'stand', description: 'Plants an acre at the newest count of each row, in words', type: 'string'),
        new OA\Property(property: 'expected', description: 'Population times germination, in words', type: 'string', nullable: true),
        new OA\Property(property: 'share', description: 'Of what was to be expected', type: 'number', nullable: true),
        new OA\Property(property: 'short', description: 'Rows that stand thinner than the others by more than luck', type: 'array', items: new OA\Items(type: 'integer')),
        new OA\Property(property: 'rows', type: 'array', items: new OA\Items(required: ['row', 'stand', 'plants', 'length', 'against', 'symptom', 'hours', 'least', 'most', 'half', 'half_by', 'is_final', 'count_again', 'counts', 'slow', 'id'], properties: [
            new OA\Property(property: 'slow', description: 'Slower from 10 to 90 % than is good for the crop; null where counts do not tell', type: 'boolean', nullable: true),
            new OA\Property(property: 'row', type: 'integer'),
            new OA\Property(property: 'id', description: 'Of the newest count', type: 'string', format: 'uuid'),
            new OA\Property(property: 'stand', type: 'string'),
            new OA\Property(property: 'plants', type: 'integer'),
            new OA\Property(property: 'length', type: 'string'),
            new OA\Property(property: 'against', description: 'Of what the others have, where it is short', type: 'number', nullable: true),
            new OA\Property(property: 'symptom', description: 'To diagnose it by, where it is short', type: 'string', enum: Symptom::class, nullable: true),
            new OA\Property(property: 'hours', description: 'From 10 to 90 % up; null where counts do not tell', type: 'number', nullable: true),
            new OA\Property(property: 'least', description: 'It took no less, whatever happened between two counts; null before two counts', type: 'number', nullable: true),
            new OA\Property(property: 'most', description: 'Nor more', type: 'number', nullable: true),
            new OA\Property(property: 'half', description: 'Hours after planting at which half of the last count were up; null where they were at the first count', type: 'number', nullable: true),
            new OA\Property(property: 'half_by', description: 'At the latest', type: 'number', nullable: true),
            new OA\Property(property: 'is_final', description: 'The count no longer rises', type: 'boolean'),
            new OA\Property(property: 'count_again', description: 'By when; null where that is not needed', type: 'string', format: 'date-time', nullable: true),
            new OA\Property(property: 'counts', description: 'On record', type: 'integer'),
        ], type: 'object')),
    ], type: 'object')),
])]
final class EmergenceShape
{
    /** A row that stands at less than this share of the others did not plant. */
    private const DEAD = 0.1;

    /**
     * @param  Collection<int, StandCount>  $counts  the newest first
     * @return array<string, mixed>
     */
    public static function of(Planter $planter, Collection $counts, PlantedThere $planted, UnitSystem $system): array
    {
        $words = new FigureWords($system);
        $shop = ShopAims::of($planter->workshop_id);
        $fields = [];
        foreach ($counts->groupBy(static fn (StandCount $of): string => mb_strtolower($of->field)." {$of->planted_on->iso}") as $ofField) {
            $fields[] = self::field($planter, $ofField, $planted, $words, $shop);
        }

        return ['fields' => $fields, 'curves' => YieldCurveShape::of($planter->workshop, $system)];
    }

    /**
     * @param  Collection<int, StandCount>  $counts  of one planting, the newest first
     * @return array<string, mixed>
     */
    private static function field(Planter $planter, Collection $counts, PlantedThere $planted, FigureWords $words, ShopAims $shop): array
    {
        $zone = $planter->workshop->time_zone;
        $width = $planter->spacing()->toInches();
        $newest = $counts->unique('row_number')->keyBy('row_number')->sortKeys();
        $counted = $newest->map(static fn (StandCount $of): PlantCount => $of->counted($zone))->all();
        // Rows are held against each other by what was counted on one day.
        $day = $counts->firstOrFail()->happened_at->setTimezone($zone)->toDateString();
        $short = ShortRows::among(array_intersect_key($counted, $newest->filter(static fn (StandCount $of): bool => $of->happened_at->setTimezone($zone)->toDateString() === $day)->all()));
        $stand = PlantCount::together(array_values($counted), $width);
        $expected = StandCount::expectedBy($counts);

        $there = $planted->on($counts->firstOrFail()->field, $counts->firstOrFail()->planted_on);
        $aims = $shop->for($there['crop'] ?? '');

        return [
            'crop' => $there['crop'] ?? '', 'aim_hours' => $aims->emergenceHours, 'cost' => $there === null || $expected === null ? null : self::cost($planter->workshop, $there, $stand->value, $expected, $words),
            'field' => $counts->firstOrFail()->field, 'planted_on' => $counts->firstOrFail()->planted_on->iso, 'stand' => $words->said($stand, CalcUnit::PlantsAnAcre),
            'expected' => $expected === null ? null : $words->said($expected, CalcUnit::PlantsAnAcre), 'share' => $expected === null ? null : round($stand->value / $expected, 3), 'short' => array_keys($short),
            'rows' => array_values($newest->map(static fn (StandCount $of, int $row): array => self::row($of, $counted[$row], array_values($counts->where('row_number', $row)->map(static fn (StandCount $one): PlantCount => $one->counted($zone))->all()), $short[$row] ?? null, $width, $words, $zone, $aims))->all()),
        ];
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
        $money = static fn (float $amount): string => number_format($amount, $amount < 100 ? 2 : 0)." {$workshop->currency}";

        if ($lost <= 0) {
            return __('yield.nothing');
        }

        return __('yield.lost', [
            'lost' => $words->an($lost, $of['unit']), 'acre' => $money($words->anArea($lost * (float) $of['price'])), 'acres' => $words->said($there['acres'], CalcUnit::Acre), 'all' => $money($lost * (float) $of['price'] * $there['acres']),
        ]);
    }

    /**
     * @param  list<PlantCount>  $all  of the row
     * @return array<string, mixed>
     */
    private static function row(StandCount $newest, PlantCount $counted, array $all, ?float $against, float $width, FigureWords $words, string $zone, Aims $aims): array
    {
        // Counts on one marked length belong together.
        $fit = Evenness::of(array_values(array_filter($all, static fn (PlantCount $of): bool => abs($of->feet - $counted->feet) < 0.01)));

        return [
            'row' => $newest->row_number, 'id' => $newest->id, 'stand' => $words->said($counted->stand($width), CalcUnit::PlantsAnAcre), 'plants' => $counted->plants, 'length' => $words->said($counted->feet, CalcUnit::Foot),
            'against' => $against === null ? null : round($against, 3), 'symptom' => $against === null ? null : ($against < self::DEAD ? Symptom::Dead : Symptom::Thin)->value, 'hours' => $fit?->hours === null ? null : round($fit->hours), 'least' => $fit === null ? null : round($fit->least), 'most' => $fit === null ? null : round($fit->most), 'half' => $fit?->half === null ? null : round($fit->half), 'half_by' => $fit === null ? null : round($fit->halfBy),
            'is_final' => $fit->isComplete ?? false, 'count_again' => $fit?->countAgain === null ? null : CarbonImmutable::parse($newest->planted_on->iso.' 12:00', $zone)->addMinutes((int) round(60 * $fit->countAgain))->utc()->toIso8601ZuluString('millisecond'), 'counts' => count($all), 'slow' => $fit === null ? null : ($fit->least > $aims->emergenceHours ? true : ($fit->most <= $aims->emergenceHours ? false : null)),
        ];
    }
}
