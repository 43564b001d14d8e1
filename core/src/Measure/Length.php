<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/**
 * A length on a row unit, from 0 to 120 in (3,048 mm).
 *
 * Kept as a whole number of nanometres, so that every 1/64 in and every hundredth of a millimetre is exact and a
 * limit is met exactly or not at all. What was typed stays with it for the record; it takes no part in comparison.
 */
final readonly class Length implements Quantity
{
    /** 1 in = 25.4 mm exactly (international inch, 1959). */
    public const NANOMETRES_PER_INCH = 25_400_000;

    public const NANOMETRES_PER_MILLIMETRE = 1_000_000;

    /** Nothing on a row unit is longer than this. Nanometres. */
    public const LONGEST = 120 * self::NANOMETRES_PER_INCH;

    /** Nanometres. */
    private const SPELLINGS = [
        'in' => 25.4e6, 'inch' => 25.4e6, 'inches' => 25.4e6, '"' => 25.4e6, 'ft' => 304.8e6, 'foot' => 304.8e6, 'feet' => 304.8e6, "'" => 304.8e6,
        'mm' => 1e6, 'cm' => 1e7, 'm' => 1e9,
    ];

    private const METRIC = ['mm', 'cm', 'm'];

    private function __construct(
        public int $nanometres,
        public ?string $typed = null,
    ) {
    }

    /** @param  int  $nanometres may be negative: a difference of two lengths */
    public static function ofNanometres(int $nanometres): self
    {
        return new self($nanometres);
    }

    /** @param  float|string  $millimetres a number or a decimal string, as PostgreSQL hands a numeric out */
    public static function ofMillimetres(float|string $millimetres): self
    {
        return new self((int) round((float) $millimetres * self::NANOMETRES_PER_MILLIMETRE));
    }

    public static function ofSixteenths(int $sixteenths): self
    {
        return new self(intdiv($sixteenths * self::NANOMETRES_PER_INCH, 16));
    }

    /**
     * Reads what a technician types: `14 3/8`, `14-3/8"`, `14⅜`, `14.375 in`, `365 mm`, `36,5 cm`, `365`, `1 ft 2 1/2 in`, `fourteen and five eighths`.
     *
     * @param  UnitSystem  $system  the unit of a bare decimal number; a fraction is always inches
     * @param  int  $longest  nanometres; what is longer is refused
     *
     * @throws UnreadableNumber
     */
    public static function read(string $typed, UnitSystem $system, int $longest = self::LONGEST): self
    {
        $own = $system === UnitSystem::Inch ? self::NANOMETRES_PER_INCH : self::NANOMETRES_PER_MILLIMETRE;
        $units = array_map(static fn (float $nanometres): float => $nanometres / $own, self::SPELLINGS);
        $reader = new NumberReader($units, 0.0, $longest / $own, name: $system->value, decimalOnly: self::METRIC, bareFraction: $units['in']);

        return new self((int) round($reader->read($typed) * $own), $typed);
    }

    public function unit(): Unit
    {
        return Unit::Millimetre;
    }

    public function steps(): int
    {
        return $this->nanometres;
    }

    public function asTyped(): ?string
    {
        return $this->typed;
    }

    public function plus(self $other): self
    {
        return new self($this->nanometres + $other->nanometres);
    }

    public function minus(self $other): self
    {
        return new self($this->nanometres - $other->nanometres);
    }

    public function absolute(): self
    {
        return new self(abs($this->nanometres));
    }

    public function isLessThan(self $other): bool
    {
        return $this->nanometres < $other->nanometres;
    }

    public function isGreaterThan(self $other): bool
    {
        return $this->nanometres > $other->nanometres;
    }

    public function equals(self $other): bool
    {
        return $this->nanometres === $other->nanometres;
    }

    public function toMillimetres(): float
    {
        return $this->nanometres / self::NANOMETRES_PER_MILLIMETRE;
    }

    public function toInches(): float
    {
        return $this->nanometres / self::NANOMETRES_PER_INCH;
    }
}
