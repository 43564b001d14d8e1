<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

use Ustrel\Core\Field\Calc\Measured;
use Ustrel\Core\Field\Calc\SeedSpacing;
use Ustrel\Core\Meter\Drops;

/** What was dug on one row: depth of each seed and spacings between successive ones, in the order in which they lie, millimetres. Domain, 15. */
final readonly class DugRow
{
    /** A spacing that is so many times what its row has is as likely a slip of the pen. */
    private const ODD_SPACING = 7.0;

    private const ODD_DEPTH = 2.5;

    private const FEWEST = 2;

    /**
     * @param  list<float>  $depths
     * @param  list<float>  $spacings
     *
     * @throws InvalidDig
     */
    public function __construct(
        public array $depths,
        public array $spacings = [],
    ) {
        if ($depths === [] && count($spacings) < self::FEWEST) {
            throw InvalidDig::empty();
        }
        foreach ([...$depths, ...$spacings] as $figure) {
            $figure > 0 || throw InvalidDig::figures();
        }
    }

    /** Null where no depth was measured. */
    public function depth(): ?float
    {
        return $this->depths === [] ? null : self::mean($this->depths);
    }

    /** Null of fewer than two depths. */
    public function depthSd(): ?float
    {
        return self::sd($this->depths);
    }

    /** Null of fewer than two spacings. */
    public function spacing(): ?float
    {
        return count($this->spacings) < self::FEWEST ? null : self::mean($this->spacings);
    }

    /** Coefficient of variation: by how much of their mean spacings scatter. */
    public function spacingCv(): ?float
    {
        $sd = self::sd($this->spacings);

        return $sd === null ? null : $sd / self::mean($this->spacings);
    }

    /**
     * The same as the stand tells of a meter's run, by the same classes; null of fewer than two spacings.
     *
     * @param  float  $every  spacing that it is set to, millimetres
     */
    public function drops(float $every): ?Drops
    {
        if (count($this->spacings) < self::FEWEST) {
            return null;
        }
        // In whole micrometers, so that no sum of them turns a tie around.
        $at = [0.0];
        foreach ($this->spacings as $spacing) {
            $at[] = $at[array_key_last($at)] + round(1000 * $spacing);
        }

        return Drops::of($at, round(1000 * $every));
    }

    /**
     * Seeds an acre by the spacings, with how sure that is.
     *
     * @param  float  $width  between rows, millimetres
     */
    public function population(float $width): ?Measured
    {
        $mean = $this->spacing();
        if ($mean === null) {
            return null;
        }
        $inches = Measured::of($mean / 25.4, (self::sd($this->spacings) ?? 0.0) / 25.4 / sqrt(count($this->spacings)));

        return Measured::of(SeedSpacing::ACRE / ($width / 25.4))->over($inches);
    }

    /**
     * Figures that do not fit their row: as where a point was forgotten.
     *
     * @return list<array{'depths'|'spacings', int, float}> the list, the place in it from 0 on, and the figure
     */
    public function doubts(): array
    {
        $doubts = [];
        foreach (['depths' => self::ODD_DEPTH, 'spacings' => self::ODD_SPACING] as $list => $times) {
            $figures = $this->{$list};
            sort($figures);
            $middle = $figures === [] ? 0.0 : $figures[intdiv(count($figures) - 1, 2)];
            foreach ($this->{$list} as $at => $figure) {
                if (count($figures) > self::FEWEST && ($figure > $times * $middle || ($list === 'depths' && $times * $figure < $middle))) {
                    $doubts[] = [$list, $at, $figure];
                }
            }
        }

        return $doubts;
    }

    /** @param  list<float>  $of */
    private static function mean(array $of): float
    {
        return array_sum($of) / count($of);
    }

    /** @param  list<float>  $of */
    private static function sd(array $of): ?float
    {
        if (count($of) < self::FEWEST) {
            return null;
        }
        $mean = self::mean($of);

        return sqrt(array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $of)) / (count($of) - 1));
    }
}
