<?php

declare(strict_types=1);

namespace Database\Demo;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\LengthPrinter;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Side;

/** A made-up planter and the wear of its rows. Inches throughout. */
final readonly class DemoPlanter
{
    /** A tape on a muddy blade is off by about this much. */
    private const TAPE_SD = 0.02;

    /**
     * @param  list<int>  $sections
     * @param  float  $wear  inches of blade diameter a season
     * @param  list<int>  $tyreTracks  rows behind the tractor's tyres: the ground is firmer and wears a fifth faster
     * @param  array<int, float>  $extraWear  rows that wear this many times as fast as their neighbours
     * @param  int|null  $contactLost  a row whose blades have lost contact this season
     */
    private function __construct(
        public string $farm,
        public string $name,
        public RowUnitType $type,
        public array $sections,
        public int $spacingInches,
        public int $daysToPlanting,
        private float $wear,
        private array $tyreTracks,
        public int $rowsWalked = 0,
        private array $extraWear = [],
        private ?int $contactLost = null,
    ) {
    }

    /** @return list<self> */
    public static function ofTollgate(): array
    {
        return [
            new self('Ardle Bank Farm', 'Quill Bottom', RowUnitType::Vacuum, [4, 8, 4], 30, 23, 0.10, [4, 5, 12, 13], 9, [3 => 2.2, 8 => 1.25], 6),
            new self('Hask Hill Farm', 'Hask Hill', RowUnitType::Vacuum, [8], 36, 31, 0.13, [3, 6]),
            new self('Merrow Estate', 'Merrow Flats', RowUnitType::Vacuum, [8, 8, 8], 20, 38, 0.08, [9, 16]),
            new self('Pell Cottage', 'Pell Garden', RowUnitType::Plate, [2], 30, 52, 0.04, []),
        ];
    }

    /** @return list<self> */
    public static function ofLowmoor(): array
    {
        return [new self('Lowmoor Grange', 'Long Acre', RowUnitType::Finger, [6], 30, 18, 0.11, [])];
    }

    /**
     * What a walk reads after so many seasons on the same blades, row by row.
     *
     * @param  int  $rows  only the first so many
     * @return list<array{row: int, check: CheckKey, side: Side, length: Length, typed: string}>
     */
    public function readings(int $seasonsRun, int $rows): array
    {
        $readings = [];
        for ($row = 1; $row <= $rows; $row++) {
            foreach ([Side::Left, Side::Right] as $side) {
                $readings[] = $this->reading($row, CheckKey::OpenerBladeDiameter, $side, $this->diameter($row, $side, $seasonsRun));
            }
            $readings[] = $this->reading($row, CheckKey::BladeContactLength, Side::Centre, $this->contact($row, $seasonsRun));
        }

        return $readings;
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

        return $start - 1.6 * $this->rowWear($row) * $seasonsRun;
    }

    private function rowWear(int $row): float
    {
        return $this->wear * (in_array($row, $this->tyreTracks, true) ? 1.2 : 1.0) * ($this->extraWear[$row] ?? 1.0);
    }

    /** @return array{row: int, check: CheckKey, side: Side, length: Length, typed: string} */
    private function reading(int $row, CheckKey $check, Side $side, float $inches): array
    {
        $length = Length::ofSixteenths((int) round($inches * 16));

        return ['row' => $row, 'check' => $check, 'side' => $side, 'length' => $length, 'typed' => (new LengthPrinter(UnitSystem::Inch))->figure($length)];
    }

    private function random(string $of): Randomizer
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
