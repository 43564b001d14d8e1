<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Http\Api\Schema;
use App\Models\Field\StandCount;
use Carbon\CarbonImmutable;
use DateTimeInterface;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Diagnosis\Symptom;
use Ustrel\Core\Field\Emergence\Evenness;
use Ustrel\Core\Field\Emergence\PlantCount;
use Ustrel\Core\Spec\Aims;

final readonly class RowStandView extends Schema
{
    /** A row that stands at less than this share of the others did not plant. */
    private const DEAD = 0.1;

    public function __construct(
        /** Slower from 10 to 90% than is good for the crop; null where counts do not tell */
        public ?bool $slow,
        public int $row,
        /** Of the newest count */
        public string $id,
        public string $stand,
        public int $plants,
        public string $length,
        /** Of what the others have, where it is short */
        public ?float $against,
        /** To diagnose it by, where it is short */
        public ?Symptom $symptom,
        /** From 10 to 90% up; null where counts do not tell */
        public ?float $hours,
        /** It took no less, whatever happened between two counts; null before two counts */
        public ?float $least,
        /** Nor more */
        public ?float $most,
        /** Hours after planting at which half of the last count were up; null where they were at the first count */
        public ?float $half,
        /** At the latest */
        public ?float $half_by,
        /** The count no longer rises */
        public bool $is_final,
        /** By when; null where that is not needed */
        public ?DateTimeInterface $count_again,
        /** On record */
        public int $counts,
    ) {
    }

    /**
     * @param  list<PlantCount>  $all  of the row
     */
    public static function of(StandCount $newest, PlantCount $counted, array $all, ?float $against, float $width, FigureWords $words, string $zone, Aims $aims): self
    {
        // Counts on one marked length belong together.
        $fit = Evenness::of(array_values(array_filter($all, static fn (PlantCount $of): bool => abs($of->feet - $counted->feet) < 0.01)));

        return new self(
            row: $newest->row_number, id: $newest->id, stand: $words->said($counted->stand($width), CalcUnit::PlantsAnAcre), plants: $counted->plants, length: $words->said($counted->feet, CalcUnit::Foot),
            against: $against === null ? null : round($against, 3), symptom: $against === null ? null : ($against < self::DEAD ? Symptom::Dead : Symptom::Thin), hours: $fit?->hours === null ? null : round($fit->hours), least: $fit === null ? null : round($fit->least), most: $fit === null ? null : round($fit->most), half: $fit?->half === null ? null : round($fit->half), half_by: $fit === null ? null : round($fit->halfBy),
            is_final: $fit->isComplete ?? false, count_again: $fit?->countAgain === null ? null : CarbonImmutable::parse($newest->planted_on->iso.' 12:00', $zone)->addMinutes((int) round(60 * $fit->countAgain)), counts: count($all), slow: $fit === null ? null : ($fit->least > $aims->emergenceHours ? true : ($fit->most <= $aims->emergenceHours ? false : null)),
        );
    }
}
