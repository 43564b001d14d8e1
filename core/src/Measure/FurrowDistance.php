<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** How far one row unit has travelled in the soil: the honest measure of use. Kept in metres. */
final readonly class FurrowDistance
{
    /** The international acre of 43,560 square feet. */
    public const SQUARE_METRES_PER_ACRE = 4046.8564224;

    public const METRES_PER_MILE = 1609.344;

    public const ACRES_PER_HECTARE = 10000 / self::SQUARE_METRES_PER_ACRE;

    private function __construct(public float $metres)
    {
    }

    /** @param  float|string  $metres a number or a decimal string, as PostgreSQL hands a numeric out */
    public static function ofMetres(float|string $metres): self
    {
        return new self((float) $metres);
    }

    public static function ofMiles(float $miles): self
    {
        return new self($miles * self::METRES_PER_MILE);
    }

    /**
     * What one row travels on so many acres of its own: distance = area / row spacing.
     *
     * @param  float  $rowAcres  of this row alone; planter acres / rows unless it was shut off
     * @param  Length  $spacing  between two rows, over 0
     */
    public static function ofRowAcres(float $rowAcres, Length $spacing): self
    {
        return new self($rowAcres * self::SQUARE_METRES_PER_ACRE / ($spacing->toMillimetres() / 1000));
    }

    /** The acres that a planter covers while each of its rows travels this far. */
    public function toPlanterAcres(Length $spacing, int $rows): float
    {
        return $this->metres * $spacing->toMillimetres() / 1000 * $rows / self::SQUARE_METRES_PER_ACRE;
    }

    public function toMiles(): float
    {
        return $this->metres / self::METRES_PER_MILE;
    }
}
