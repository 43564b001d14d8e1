<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/** Population by weighing in and out: seeds an acre = pounds used / acres x seeds a pound. Domain, 4. */
final class Weighing
{
    /**
     * @param  Measured  $in  pounds that went in, as the scale shows
     * @param  Measured  $out  pounds that were left
     * @param  Measured  $acres  over 0
     * @param  Measured  $seedsAPound  over 0
     * @return Measured seeds an acre
     *
     * @throws InvalidFigure where more is left than went in
     */
    public static function population(Measured $in, Measured $out, Measured $acres, Measured $seedsAPound): Measured
    {
        $used = $in->minus($out);
        if ($used->value <= 0) {
            throw InvalidFigure::of('out', 'more_left');
        }

        return $used->over($acres)->times($seedsAPound);
    }
}
