<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/**
 * Reads a typed length into whole nanometres.
 *
 * Accepted: whole and fraction with a space or a hyphen between (`14 3/8`, `14-3/8"`), a fraction alone, the vulgar
 * fraction characters (`14⅜`), decimals with point or comma, and the units in, inch, inches, ", mm and cm. The client
 * reads the same grammar while typing; both are held to core/tests/vectors/lengths.json.
 */
final readonly class LengthReader
{
    private const VULGAR = [
        '½' => '1/2', '¼' => '1/4', '¾' => '3/4', '⅛' => '1/8', '⅜' => '3/8', '⅝' => '5/8', '⅞' => '7/8',
    ];

    private const SAME = [
        "\u{00A0}" => ' ', "\u{2009}" => ' ', "\u{202F}" => ' ', '⁄' => '/', '∕' => '/',
        '″' => '"', '”' => '"', '“' => '"', '−' => '-', '–' => '-', "''" => '"',
    ];

    /** The fractions a tape is marked in. */
    private const DENOMINATORS = [2, 4, 8, 16, 32, 64];

    public function __construct(
        private UnitSystem $system,
        /** Nanometres; what is longer is refused. */
        private int $longest = Length::LONGEST,
    ) {
    }

    /** @throws UnreadableLength */
    public function nanometres(string $typed): int
    {
        $text = $this->plain($typed);
        if ($text === '') {
            throw UnreadableLength::of($typed, LengthFault::Empty);
        }
        if (str_starts_with($text, '-')) {
            throw UnreadableLength::of($typed, LengthFault::Negative);
        }
        if (preg_match('/^[\d.,]+e[+-]?\d+/', $text) === 1) {
            throw UnreadableLength::of($typed, LengthFault::Exponent);
        }
        if (preg_match('/^(?<number>[\d.,\/ -]*\d[\d.,\/ -]*?)\s*(?<unit>[a-z"]*)$/', $text, $found) !== 1) {
            throw UnreadableLength::of($typed, LengthFault::NotANumber);
        }

        $unit = $this->unit($found['unit'], $typed);
        $nanometres = str_contains($found['number'], '/')
            ? $this->fraction($found['number'], $unit, $typed)
            : $this->decimal($found['number'], $unit, $typed);

        return $nanometres <= $this->longest
            ? $nanometres
            : throw UnreadableLength::of($typed, LengthFault::TooLong);
    }

    private function plain(string $typed): string
    {
        $text = strtr($typed, self::SAME);
        foreach (self::VULGAR as $character => $fraction) {
            $text = str_replace($character, " {$fraction}", $text);
        }

        return mb_strtolower(trim((string) preg_replace('/\s+/', ' ', $text)));
    }

    /** @return int|null nanometres in one unit; null where no unit was typed */
    private function unit(string $unit, string $typed): ?int
    {
        return match ($unit) {
            '' => null,
            'in', 'inch', 'inches', '"' => Length::NANOMETRES_PER_INCH,
            'mm' => Length::NANOMETRES_PER_MILLIMETRE,
            'cm' => 10 * Length::NANOMETRES_PER_MILLIMETRE,
            default => throw UnreadableLength::of($typed, LengthFault::UnknownUnit),
        };
    }

    private function fraction(string $number, ?int $unit, string $typed): int
    {
        if (preg_match('/\/\s*$/', $number) === 1) {
            throw UnreadableLength::of($typed, LengthFault::UnfinishedFraction);
        }
        if (preg_match('/^(?:(?<whole>\d{1,4})(?: | ?- ?))?(?<top>\d{1,3}) ?\/ ?(?<bottom>\d{1,3})$/', $number, $part) !== 1) {
            throw UnreadableLength::of($typed, LengthFault::NotANumber);
        }
        [$whole, $top, $bottom] = [(int) $part['whole'], (int) $part['top'], (int) $part['bottom']];

        $fault = match (true) {
            $unit !== null && $unit !== Length::NANOMETRES_PER_INCH => LengthFault::FractionOfMillimetres,
            $bottom === 0 => LengthFault::ZeroDenominator,
            ! in_array($bottom, self::DENOMINATORS, true) => LengthFault::UnknownFraction,
            $top >= $bottom => LengthFault::TopHeavyFraction,
            default => null,
        };
        if ($fault !== null) {
            throw UnreadableLength::of($typed, $fault);
        }

        return $whole * Length::NANOMETRES_PER_INCH + intdiv($top * Length::NANOMETRES_PER_INCH, $bottom);
    }

    private function decimal(string $number, ?int $unit, string $typed): int
    {
        if (preg_match('/^\d*(?:[.,]\d*)?$/', $number) !== 1) {
            throw UnreadableLength::of($typed, LengthFault::NotANumber);
        }
        $unit ??= $this->system === UnitSystem::Inch ? Length::NANOMETRES_PER_INCH : Length::NANOMETRES_PER_MILLIMETRE;
        $value = (float) strtr($number, ',', '.');

        // Beyond the longest length a float no longer holds whole nanometres; it is refused by the caller all the same.
        return (int) round(min($value * $unit, 2.0 * $this->longest));
    }
}
