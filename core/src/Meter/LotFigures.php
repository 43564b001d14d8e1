<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** What a lot of seed means in units, plants and money: domain, 4 and 13. */
final readonly class LotFigures
{
    private const MOST_SPARE = 1.0;

    /**
     * @param  int  $seedsPerUnit  such as 80,000 or 140,000, 1 or more
     * @param  float|null  $germination  by the newest test, or on the tag, where it is a floor; over 0 to 1
     * @param  float|null  $price  of a unit, 0 or more
     * @param  float|null  $perBox  units in a bulk box, over 0; null where it comes in bags
     *
     * @throws InvalidRun
     */
    public function __construct(
        public int $seedsPerUnit,
        public ?float $germination = null,
        public ?float $price = null,
        public ?float $perBox = null,
    ) {
        $seedsPerUnit >= 1 || throw InvalidRun::seeds();
        $germination === null || ($germination > 0 && $germination <= 1) || throw InvalidRun::germination();
        $perBox === null || $perBox > 0 || throw InvalidRun::boxes();
        $price === null || ($price >= 0 && is_finite($price)) || throw InvalidRun::price();
    }

    /**
     * Whole units that fields take.
     *
     * @param  list<array{float, int}>  $fields  acres, and seeds an acre
     * @param  float  $spare  share more, 0 to 1
     *
     * @throws InvalidRun
     */
    public function units(array $fields, float $spare): int
    {
        self::assertSpare($spare);

        // 125.0000000001 is 125.
        return (int) ceil(round(array_sum(array_map(fn (array $field): float => $this->unitsFor($field[0], $field[1], $spare), $fields)), 6));
    }

    /**
     * Units that one field takes, not rounded.
     *
     * @param  float  $population  seeds an acre
     * @param  float  $spare  share more, 0 to 1
     *
     * @throws InvalidRun
     */
    public function unitsFor(float $acres, float $population, float $spare): float
    {
        self::assertSpare($spare);

        return $this->unitsAnAcre($population) * $acres * (1 + $spare);
    }

    /** Units that an acre takes, without spare. */
    public function unitsAnAcre(float $population): float
    {
        return $population / $this->seedsPerUnit;
    }

    /** Bulk boxes that so many units are; null where it comes in bags. */
    public function boxes(float $units): ?float
    {
        return $this->perBox === null ? null : $units / $this->perBox;
    }

    /** Money an acre at so many seeds; null where nobody knows the price. */
    public function costAnAcre(float $population): ?float
    {
        return $this->price === null ? null : $this->price * $population / $this->seedsPerUnit;
    }

    /** Money for a thousand seeds, by which units of other sizes compare; null where nobody knows the price. */
    public function priceAThousand(): ?float
    {
        return $this->price === null ? null : 1000 * $this->price / $this->seedsPerUnit;
    }

    /**
     * Seeds an acre for a stand that is wanted; null where nobody knows the germination.
     *
     * @param  float  $emergence  share of live seed that comes up in the field, over 0 to 1
     */
    public function rateFor(float $plants, float $emergence): ?float
    {
        return $this->germination === null || $emergence <= 0 ? null : $plants / ($this->germination * $emergence);
    }

    /** @throws InvalidRun */
    private static function assertSpare(float $spare): void
    {
        $spare >= 0 && $spare <= self::MOST_SPARE || throw InvalidRun::spare();
    }
}
