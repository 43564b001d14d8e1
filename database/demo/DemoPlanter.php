<?php

declare(strict_types=1);

namespace Database\Demo;

use LogicException;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Measure\Amount;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\LengthPrinter;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\ClosingWheels;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Wear\Acres\Ground;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

/** A made-up planter and the wear of its rows. Inches throughout. */
final readonly class DemoPlanter
{
    /** Its meters have been on the stand. */
    public const BENCHED = 'Quill Bottom';

    /** Is walked and decided about, and half of the work on it is done. */
    public const WORKED = 'Merrow Flats';

    /** A tape on a muddy blade is off by about this much. */
    private const TAPE_SD = 0.02;

    /** What a shim taken out on each side adds to the contact length. */
    public const TAKEN_OUT = 0.4375;

    /** Seasons run on the same parts when this season's walk is made. */
    private const THIS_SEASON = 3;

    /** What a check without a figure finds where nothing is wrong. */
    private const FINE = ['condition' => State::Sound, 'touch' => State::Light, 'yes_no' => State::Yes];

    /**
     * @param  list<int>  $sections
     * @param  float  $acres  planted in a season
     * @param  float  $wear  inches of blade diameter a season
     * @param  list<int>  $tyreTracks  rows behind the tractor's tires: the ground is firmer and wears a fifth faster
     * @param  array<int, float>  $extraWear  rows that wear this many times as fast as their neighbours
     * @param  int|null  $contactLost  a row whose blades have lost contact this season
     * @param  array<string, array{State, list<Chip>}>  $found  what this season's walk finds, by place key
     * @param  list<int>  $shimmed  rows whose contact was set anew before the third season
     * @param  array<string, float>  $read  figures that stand out this season, in the check's unit or in inches, by place key
     */
    private function __construct(
        public string $farm,
        public string $name,
        public RowUnitType $type,
        public Equipment $equipment,
        public array $sections,
        public int $spacingInches,
        public int $daysToPlanting,
        public float $acres,
        public Ground $ground,
        private float $wear,
        private array $tyreTracks,
        public int $rowsWalked = 0,
        private array $extraWear = [],
        private ?int $contactLost = null,
        private array $found = [],
        private array $read = [],
        public array $shimmed = [],
    ) {
    }

    /** @return list<self> */
    public static function ofTollgate(): array
    {
        return [
            new self(
                'Ardle Bank Farm', self::BENCHED, RowUnitType::Vacuum,
                Equipment::of(['meter' => 'vacuum', 'drive' => 'electric', 'downforce' => 'hydraulic', 'closing_wheels' => 'spiked_poly', 'fertilizer' => true, 'liquid' => true, 'central_fill' => true], RowUnitType::Vacuum),
                [4, 8, 4], 30, 23, 820, new Ground(Soil::Loam, Residue::Heavy, Tillage::NoTill), 0.10, [4, 5, 12, 13], 9, [3 => 2.2, 8 => 1.25], 6,
                [
                    '2:gauge_touch:left' => [State::Gap, []],
                    '3:row_cleaner_teeth:right' => [State::Change, [Chip::TeethWorn]],
                    '4:fertilizer_tube:centre' => [State::Watch, [Chip::Thin]],
                    '5:seed_tube:centre' => [State::Change, [Chip::CurledLip]],
                    '6:gauge_tyre:left' => [State::Watch, []],
                    '7:closing_bearing:right' => [State::Change, [Chip::Rough, Chip::Loose]],
                    '8:opener_bearing:left' => [State::Failed, [Chip::Seized]],
                    '9:gauge_touch:right' => [State::Tight, []],
                ],
                ['2:depth_stop_notch:centre' => 7, '7:air_at_meter:centre' => 17.2, '9:inner_shims:left' => 0, '9:inner_shims:right' => 0, '4:closing_gap:centre' => 1.5, '5:arm_play_side:centre' => 0.1875],
                [2, 11, 14],
            ),
            new self(
                'Hask Hill Farm', 'Hask Hill', RowUnitType::Vacuum,
                Equipment::of(['meter' => 'vacuum', 'drive' => 'hydraulic', 'downforce' => 'air', 'closing_wheels' => 'rubber', 'markers' => true], RowUnitType::Vacuum),
                [8], 36, 31, 430, new Ground(Soil::Sand, tillage: Tillage::Worked), 0.13, [3, 6],
            ),
            new self(
                'Merrow Estate', self::WORKED, RowUnitType::Vacuum,
                Equipment::of(['meter' => 'positive_air', 'drive' => 'hydraulic', 'downforce' => 'spring', 'closing_wheels' => 'cast', 'coulter' => true, 'lift_assist' => true], RowUnitType::Vacuum),
                [8, 8, 8], 20, 38, 1240, new Ground(Soil::Silt, tillage: Tillage::MinTill), 0.08, [9, 16], 24,
                found: [
                    '3:seed_tube:centre' => [State::Change, [Chip::CurledLip]],
                    '5:gauge_touch:left' => [State::Gap, []],
                    '8:closing_bearing:left' => [State::Change, [Chip::Rough]],
                    '11:scraper:right' => [State::Change, [Chip::Worn]],
                    '14:seed_tube:centre' => [State::Change, [Chip::CurledLip]],
                    '17:gauge_touch:right' => [State::Tight, []],
                    '20:closing_bearing:right' => [State::Failed, [Chip::Seized]],
                    '22:seed_sensor:centre' => [State::Watch, [Chip::Dirty]],
                ],
            ),
            new self('Pell Cottage', 'Pell Garden', RowUnitType::Plate, Equipment::typicalOf(RowUnitType::Plate), [2], 30, 52, 24, new Ground(tillage: Tillage::Worked), 0.04, []),
        ];
    }

    public static function sample(): self
    {
        return new self(
            'Made up', 'Sample planter', RowUnitType::Vacuum, Equipment::typicalOf(RowUnitType::Vacuum), [6], 30, 24, 300, new Ground(Soil::Loam), 0.11, [], 4, [3 => 2.0], 2,
            ['1:seed_tube:centre' => [State::Change, [Chip::CurledLip]], '2:gauge_touch:left' => [State::Gap, []], '4:closing_bearing:right' => [State::Change, [Chip::Rough]]],
        );
    }

    public function isHalfWalked(): bool
    {
        return $this->rowsWalked > 0 && $this->rowsWalked < array_sum($this->sections);
    }

    /** @return list<self> */
    public static function ofLowmoor(): array
    {
        return [new self('Lowmoor Grange', 'Long Acre', RowUnitType::Finger, Equipment::typicalOf(RowUnitType::Finger), [6], 30, 18, 300, new Ground, 0.11, [])];
    }

    /**
     * What a walk reads after so many seasons on the same parts, row by row.
     *
     * @param  int  $rows  only the first so many
     * @return list<array{place: Place, answer: Answer, typed: string|null}>
     */
    public function readings(Sheet $sheet, int $seasonsRun, int $rows): array
    {
        $readings = [];
        for ($row = 1; $row <= $rows; $row++) {
            foreach ($sheet->ofRows() as $check) {
                foreach ($check->sides as $side) {
                    $readings[] = $this->reading($check, new Place($row, $check->key, $side), $seasonsRun);
                }
            }
        }
        if ($rows === array_sum($this->sections)) {
            foreach ($sheet->ofPlanter() as $check) {
                $readings[] = $this->reading($check, new Place(Place::WHOLE_PLANTER, $check->key, Side::Centre), $seasonsRun);
            }
        }

        return $readings;
    }

    /** @return array{place: Place, answer: Answer, typed: string|null} */
    private function reading(Check $check, Place $place, int $seasonsRun): array
    {
        if (! $check->kind->takesFigure()) {
            [$state, $chips] = ($seasonsRun === self::THIS_SEASON ? $this->found[$place->key()] ?? null : null) ?? [self::FINE[$check->kind->value] ?? throw new LogicException("{$check->kind->value} is told by no state"), []];

            return ['place' => $place, 'answer' => Answer::state($state, $chips), 'typed' => null];
        }
        $figure = ($seasonsRun === self::THIS_SEASON ? $this->read[$place->key()] ?? null : null) ?? $this->figure($place, $seasonsRun);
        $quantity = $check->unit === Unit::Millimetre
            ? Length::ofSixteenths((int) round($figure * 16))
            : $check->unit->quantity((int) round($figure * Amount::STEPS_PER_UNIT / 100) * 100);
        $typed = $quantity instanceof Length
            ? (new LengthPrinter(UnitSystem::Inch))->figure($quantity)
            : (string) $check->unit->valueOf($quantity);

        return ['place' => $place, 'answer' => Answer::figure($quantity), 'typed' => $typed];
    }

    /** Inches, or the check's own unit. */
    private function figure(Place $place, int $seasonsRun): float
    {
        $own = $this->random($place->key());
        $noise = $this->bell($own);
        $ran = $seasonsRun * $this->rowWear($place->row) / 0.1;

        return match ($place->check->value) {
            'opener_blade_diameter' => $this->diameter($place->row, $place->side, $seasonsRun),
            'blade_contact_length' => $this->contact($place->row, $seasonsRun),
            'coulter_diameter' => 17 - (0.24 + 0.03 * $noise) * $ran,
            'fertilizer_blade_diameter' => 16 - (0.22 + 0.03 * $noise) * $ran,
            'guard_width' => 0.875 - 0.012 * $ran,
            'arm_play_vertical', 'arm_play_side', 'gauge_arm_play', 'closing_tail_play' => 0.0625 + max(0.0, 0.012 + 0.006 * $noise) * $ran,
            'chain_length' => 12 + 0.048 * $ran,
            'closing_gap' => $this->equipment->closingWheels === ClosingWheels::SpikedPoly ? 1.25 : 1.5,
            'closing_centring' => abs(0.05 * $noise),
            'air_at_meter' => 18.5 + 0.12 * $noise,
            'depth_stop_notch' => $own->getInt(0, 5) === 0 ? 6 : 5,
            'depth_set_notch' => $this->figure(new Place($place->row, CheckKey::from('depth_stop_notch'), $place->side), $seasonsRun) - 1,
            'inner_shims' => 3,
            'meter_bench_seasons' => $seasonsRun % 2,
            'row_cleaner_setting', 'downforce_spring_step' => 3,
            'fertilizer_band_offset', 'fertilizer_band_depth', 'closing_pressure' => 2,
            'downforce_pressure' => 120,
            'toolbar_height' => 20,
            'toolbar_pitch' => 0.6,
            'tyre_pressure', 'tyre_pressure_2', 'tyre_pressure_3', 'tyre_pressure_4' => 60,
            default => 0.0,
        };
    }

    private function diameter(int $row, Side $side, int $seasonsRun): float
    {
        $own = $this->random("{$row} {$side->value}");
        $rate = $this->rowWear($row) * (1 + 0.12 * $this->bell($own));
        $tape = self::TAPE_SD * $this->bell($this->random("{$row} {$side->value} {$seasonsRun}"));

        return min(15.0, 15.0 - $rate * $seasonsRun + ($seasonsRun === 0 ? 0.0 : $tape));
    }

    private function contact(int $row, int $seasonsRun): float
    {
        if ($row === $this->contactLost && $seasonsRun === 3) {
            return 0.0;
        }
        $start = 2.25 + 0.06 * $this->bell($this->random("contact {$row}"));

        // Before the third season a shim was taken out on each side of these.
        $shims = $seasonsRun >= 2 && in_array($row, $this->shimmed, true) ? self::TAKEN_OUT : 0.0;

        return $start - 1.6 * $this->rowWear($row) * $seasonsRun + $shims;
    }

    private function rowWear(int $row): float
    {
        return $this->wear * (in_array($row, $this->tyreTracks, true) ? 1.2 : 1.0) * ($this->extraWear[$row] ?? 1.0);
    }

    public function random(string $of): Randomizer
    {
        return new Randomizer(new Mt19937(crc32("{$this->name} {$of}")));
    }

    /** About normal, mean 0, SD 1: the sum of twelve uniforms less six. */
    private function bell(Randomizer $random): float
    {
        $sum = 0.0;
        for ($draw = 0; $draw < 12; $draw++) {
            $sum += $random->getInt(0, 1_000_000) / 1_000_000;
        }

        return $sum - 6.0;
    }
}
