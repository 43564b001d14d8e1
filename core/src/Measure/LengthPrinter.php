<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/**
 * Prints a length the way a technician says it: `14 3/8 in`, `365.1 mm`.
 *
 * Inches go to the nearest 1/16 (or 1/32), halves up; millimetres to the nearest tenth without an idle `.0`.
 */
final readonly class LengthPrinter
{
    public function __construct(
        private UnitSystem $system,
        private int $denominator = 16,
    ) {
    }

    /** The figure with its unit. */
    public function print(Length $length): string
    {
        return $this->figure($length).' '.$this->system->value;
    }

    /** The figure alone, without its unit. */
    public function figure(Length $length): string
    {
        return $this->system === UnitSystem::Inch
            ? $this->fraction($length)
            : $this->millimetres($length);
    }

    /** A difference in size, never printed as nothing unless it is nothing: `less than 1/16 in`. */
    public function difference(Length $length): string
    {
        $size = $length->absolute();
        if ($size->nanometres > 0 && $this->figure($size) === '0') {
            $smallest = $this->system === UnitSystem::Inch ? "1/{$this->denominator}" : '0.1';

            return "less than {$smallest} {$this->system->value}";
        }

        return $this->print($size);
    }

    private function millimetres(Length $length): string
    {
        $tenths = (int) round($length->nanometres * 10 / Length::NANOMETRES_PER_MILLIMETRE);

        return $tenths % 10 === 0 ? (string) intdiv($tenths, 10) : number_format($tenths / 10, 1, '.', '');
    }

    private function fraction(Length $length): string
    {
        $parts = (int) round($length->nanometres * $this->denominator / Length::NANOMETRES_PER_INCH);
        $sign = $parts < 0 ? '-' : '';
        $whole = intdiv(abs($parts), $this->denominator);
        $top = abs($parts) % $this->denominator;
        if ($top === 0) {
            return $sign.$whole;
        }

        $bottom = $this->denominator;
        while ($top % 2 === 0) {
            $top = intdiv($top, 2);
            $bottom = intdiv($bottom, 2);
        }

        return $sign.($whole > 0 ? "{$whole} " : '')."{$top}/{$bottom}";
    }
}
