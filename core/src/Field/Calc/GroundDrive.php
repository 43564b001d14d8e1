<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/**
 * A meter that a wheel drives over sprockets: seeds a foot = cells x product(driver teeth / driven teeth) x wheel turns a foot,
 * wheel turns a foot = (1 - slip) / rolling circumference. Domain, 4 and 13.
 */
final readonly class GroundDrive
{
    /**
     * @param  int  $cells  of disc or plate
     * @param  float  $circumference  rolling, feet
     * @param  float  $slip  share of the turns that a free wheel would make and this one does not, 0 to under 1
     * @param  float  $fixed  ratio of what else turns between wheel and meter and stays as it is
     *
     * @throws InvalidFigure
     */
    public function __construct(
        public int $cells,
        public float $circumference,
        public float $slip = 0.0,
        public float $fixed = 1.0,
    ) {
        match (true) {
            $cells < 1 || $cells > 400 => throw InvalidFigure::range('cells', 1, 400),
            $circumference < 1 || $circumference > 40 => throw InvalidFigure::range('circumference', 1, 40),
            $slip < 0 || $slip > 0.5 => throw InvalidFigure::range('slip', 0, 0.5),
            $fixed < 0.01 || $fixed > 100 => throw InvalidFigure::range('fixed', 0.01, 100),
            default => null,
        };
    }

    /** @param  float  $ratio  product of driver teeth over product of driven teeth, over 0 */
    public function seedsAFoot(float $ratio): float
    {
        return $this->cells * $ratio * $this->fixed * (1 - $this->slip) / $this->circumference;
    }

    /** Seeds an acre at a row spacing in inches. */
    public function population(float $ratio, float $width): float
    {
        return $this->seedsAFoot($ratio) * SeedSpacing::FEET / ($width / 12);
    }

    /** The ratio that a population would need. */
    public function ratioFor(float $population, float $width): float
    {
        return $population / $this->population(1.0, $width);
    }
}
