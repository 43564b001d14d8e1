<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** What a quantity is counted in. The values are the names used in files and by the API. */
enum Unit: string
{
    case Millimetre = 'mm';
    case InchOfWater = 'inH2O';
    case Psi = 'psi';
    case Degree = 'deg';
    case Percent = 'percent';
    case Notch = 'notch';
    case Shim = 'shim';
    case Season = 'season';
    /** Of furrow, travelled by one row. */
    case FurrowMile = 'mi';
    /** A mark on the row unit's own scale: a spring step, a row cleaner's setting. */
    case Mark = 'mark';
    /** Of a screw. */
    case Turn = 'turn';
    /** One of several that a pin goes through, by its number. */
    case Hole = 'hole';
    /** On a depth scale of the row unit's own: kept as it is read there, also where lengths are metric. */
    case ScaleInch = 'scale_in';

    public function quantity(int $steps): Quantity
    {
        return $this === self::Millimetre ? Length::ofNanometres($steps) : Amount::ofThousandths($steps, $this);
    }

    /** @param  float|int|string  $value in this unit; a string as PostgreSQL hands a numeric out */
    public function quantityOf(float|int|string $value): Quantity
    {
        return $this->quantity((int) round((float) $value * $this->stepsPerUnit()));
    }

    /**
     * Reads what a technician types.
     *
     * @param  UnitSystem  $system  whose unit a bare number is in
     *
     * @throws UnreadableNumber
     */
    public function read(string $typed, UnitSystem $system): Quantity
    {
        return $this === self::Millimetre ? Length::read($typed, $system) : Amount::read($typed, $this, $system);
    }

    /** The value of a quantity of this unit, as a number in it. */
    public function valueOf(Quantity $quantity): float
    {
        return $quantity->steps() / $this->stepsPerUnit();
    }

    public function stepsPerUnit(): int
    {
        return $this === self::Millimetre ? Length::NANOMETRES_PER_MILLIMETRE : Amount::STEPS_PER_UNIT;
    }

    /** The smallest value that can be typed, in steps. */
    public function lowest(): int
    {
        return $this === self::Degree ? -$this->highest() : 0;
    }

    /** The largest value that can be typed, in steps. */
    public function highest(): int
    {
        return match ($this) {
            self::Millimetre => Length::LONGEST,
            self::InchOfWater, self::Psi, self::Percent, self::Mark, self::FurrowMile => 10_000_000,
            self::Turn, self::Hole, self::ScaleInch => 100_000,
            self::Degree => 45_000,
            self::Notch, self::Season => 100_000,
            self::Shim => 20_000,
        };
    }

    /** Shims, seasons and holes come whole. */
    public function isWhole(): bool
    {
        return in_array($this, [self::Shim, self::Season, self::Hole], true);
    }

    /** How finely it is read: two readings that differ by less say the same. In steps. */
    public function readingStep(): int
    {
        return match ($this) {
            self::Millimetre => intdiv(Length::NANOMETRES_PER_INCH, 16),
            self::InchOfWater, self::Notch, self::Degree => 500,
            self::Turn => 250,
            self::ScaleInch => 125,
            default => 1000,
        };
    }

    /**
     * The ways of writing it, with how much of this unit each is. 1 in H2O = 2.4908891 mbar (at 4 degrees C),
     * 1 psi = 0.068947573 bar.
     *
     * @return array<string, float>
     */
    public function spellings(): array
    {
        return match ($this) {
            self::Millimetre => [],
            self::InchOfWater => ['in h2o' => 1.0, 'inh2o' => 1.0, '"h2o' => 1.0, 'in' => 1.0, '"' => 1.0, 'mbar' => 1 / 2.4908891, 'hpa' => 1 / 2.4908891, 'kpa' => 10 / 2.4908891],
            self::Psi => ['psi' => 1.0, 'bar' => 1 / 0.068947573, 'kpa' => 0.01 / 0.068947573],
            self::Degree => ['°' => 1.0, 'deg' => 1.0, 'degree' => 1.0, 'degrees' => 1.0],
            self::Percent => ['%' => 1.0, 'percent' => 1.0],
            self::Notch => ['notch' => 1.0, 'notches' => 1.0],
            self::Shim => ['shim' => 1.0, 'shims' => 1.0],
            self::Season => ['season' => 1.0, 'seasons' => 1.0],
            self::FurrowMile => ['mi' => 1.0, 'mile' => 1.0, 'miles' => 1.0, 'km' => 1 / 1.609344],
            self::Mark => [],
            self::Turn => ['turns' => 1.0, 'turn' => 1.0],
            self::Hole => ['hole' => 1.0, 'holes' => 1.0],
            self::ScaleInch => ['in' => 1.0, '"' => 1.0, 'inch' => 1.0, 'inches' => 1.0],
        };
    }

    /** The spelling that a bare number is read in, and a value printed in; empty for a plain number. */
    public function spelling(UnitSystem $system): string
    {
        $metric = $system === UnitSystem::Metric;

        return match ($this) {
            self::Millimetre => $system->value,
            self::InchOfWater => $metric ? 'mbar' : 'in H2O',
            self::Psi => $metric ? 'bar' : 'psi',
            self::Degree => '°',
            self::Percent => '%',
            self::FurrowMile => $metric ? 'km' : 'mi',
            self::Turn => 'turns',
            self::Hole => 'hole',
            self::ScaleInch => 'in',
            self::Notch, self::Shim, self::Season, self::Mark => '',
        };
    }
}
