<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/**
 * Reads every number that a person types, dictates or imports. Nothing is guessed and nothing becomes empty: a number
 * comes back, or what is wrong with it.
 *
 * Accepted: `34,000`, `1 234.5`, `62,5` by the workshop's style; fractions (`14 3/8`, `14-3/8`, `⅜`); numbers in words (`fourteen
 * and five eighths`); a known unit before or behind (`$12.50`, `95 %`); sizes that add up (`1 ft 2 1/2 in`, `1 h 20 min`). The
 * client reads the same grammar; both are held to core/tests/vectors/numbers.json.
 *
 *     (new NumberReader(['%' => 1.0], 0, 100))->read('95 %')   // 95.0
 */
final readonly class NumberReader
{
    private const SAME = [
        '⁄' => '/', '∕' => '/', '″' => '"', '”' => '"', '“' => '"', "''" => '"', '′' => "'", '’' => "'", '‘' => "'", 'ʼ' => "'", '−' => '-', '–' => '-', '₂' => '2',
        '½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4', '⅛' => ' 1/8', '⅜' => ' 3/8', '⅝' => ' 5/8', '⅞' => ' 7/8',
    ];

    /** The fractions a tape is marked in. */
    private const DENOMINATORS = [2, 4, 8, 16, 32, 64];

    private const MOST_LETTERS = 80;

    /** Where a unit stands to its number; before it only a sign of money does. */
    private const BEFORE = 'before';

    private const BEHIND = 'behind';

    /** @var array<string, float> the longest first */
    private array $units;

    /** In messages: one spelling of each unit. */
    private string $unitNames;

    /**
     * @param  array<string, float>  $units  how much of the field's own unit each spelling is, in small letters; of two spellings the first is for messages
     * @param  float  $lowest  in the field's own unit, as is the highest
     * @param  string  $name  of the field's own unit, for messages
     * @param  NumberStyle|null  $style  of the workshop; null where it is not known
     * @param  list<string>  $decimalOnly  units without fractions: 14 3/8 mm is refused
     * @param  float  $bareFraction  how much a fraction without a unit counts: an inch, wherever a tape is read
     */
    public function __construct(
        array $units = [],
        private float $lowest = -INF,
        private float $highest = INF,
        private bool $whole = false,
        private string $name = '',
        private ?NumberStyle $style = null,
        private array $decimalOnly = [],
        private float $bareFraction = 1.0,
    ) {
        $this->unitNames = implode(', ', array_keys(array_unique($units)));
        uksort($units, static fn (string $one, string $other): int => strlen($other) <=> strlen($one));
        $this->units = $units;
    }

    /** @throws UnreadableNumber */
    public function read(string $typed): float
    {
        $text = self::plain($typed);
        if ($text === '') {
            throw UnreadableNumber::of($typed, NumberFault::Empty);
        }
        $sign = 1.0;
        if (preg_match('/^([+-]) ?(?=[\d.,])/', $text, $found) === 1) {
            $sign = $found[1] === '-' ? -1.0 : 1.0;
            $text = substr($text, strlen($found[0]));
        }
        $sizes = mb_strlen($text) > self::MOST_LETTERS ? throw UnreadableNumber::of($typed, NumberFault::NotANumber) : $this->sizes($text, $typed);
        if ($sign < 0 && $this->lowest >= 0) {
            throw UnreadableNumber::of($typed, NumberFault::Negative);
        }

        return $this->choose($sign, $sizes, $typed);
    }

    private static function plain(string $typed): string
    {
        $text = (string) preg_replace('/[\s\x{00A0}\x{1680}\x{2000}-\x{200A}\x{202F}\x{205F}\x{3000}]+/u', ' ', strtr(mb_scrub($typed), self::SAME));

        return mb_strtolower(trim($text));
    }

    /**
     * One or several sizes that add up, each with its unit; a bare number stands alone.
     *
     * @return non-empty-list<array{string|float, float}> digits, or the value of a fraction; and how much its unit is
     */
    private function sizes(string $text, string $typed): array
    {
        $rest = SpokenNumber::inFigures($text);
        [$money, $rest] = $this->unit($rest, self::BEFORE);
        $sizes = [];
        $least = INF;
        do {
            [$value, $isFraction, $rest] = $this->figure($rest, $typed);
            [$unit, $rest] = $this->unit($rest, self::BEHIND);
            if (($unit !== null && $money !== null) || $this->unit($rest, self::BEHIND)[0] !== null) {
                throw UnreadableNumber::of($typed, NumberFault::UnitTwice);
            }
            $unit ??= $money;
            if ($unit === null && ($rest !== '' || $sizes !== [])) {
                throw $this->stuck($rest, $typed);
            }
            if ($isFraction && in_array($unit, $this->decimalOnly, true)) {
                throw UnreadableNumber::of($typed, NumberFault::FractionOfMetric);
            }
            $factor = match (true) {
                $unit !== null => $this->units[$unit],
                $isFraction => $this->bareFraction,
                default => 1.0,
            };
            if ($factor >= $least) {
                throw UnreadableNumber::of($typed, NumberFault::UnitTwice);
            }
            $least = $factor;
            $sizes[] = [$value, $factor];
            $rest = (string) preg_replace('/^and (?=\d)/', '', $rest);
        } while ($rest !== '');

        return $sizes;
    }

    /** @return array{string|float, bool, string} digits or the value of a fraction, whether it was one, and what stands behind */
    private function figure(string $text, string $typed): array
    {
        if (preg_match('#^(?:(?<whole>\d{1,7})(?: ?- ?| ))?(?<top>\d{1,3}) ?/ ?(?<bottom>\d{1,3})(?![\d/])#', $text, $part) === 1) {
            return [self::fraction((int) $part['whole'], (int) $part['top'], (int) $part['bottom'], $typed), true, ltrim(substr($text, strlen($part[0])))];
        }
        if (preg_match('#^(?:\d+(?: ?- ?| ))?\d+ ?/(?! ?[\d/]|[a-z])#', $text) === 1) {
            throw UnreadableNumber::of($typed, NumberFault::UnfinishedFraction);
        }
        if (preg_match("/^(?:\d(?:\d|[.,](?!\s)|[ '](?=\d{3}(?!\d)))*[.,]?|[.,]\d+)/", $text, $found) !== 1) {
            throw UnreadableNumber::of($typed, NumberFault::NotANumber);
        }
        $behind = substr($text, strlen($found[0]));
        if (preg_match('/^e[+-]?\d/', $behind) === 1) {
            throw UnreadableNumber::of($typed, NumberFault::Exponent);
        }

        return [$found[0], false, ltrim($behind)];
    }

    private static function fraction(int $whole, int $top, int $bottom, string $typed): float
    {
        $fault = match (true) {
            $bottom === 0 => NumberFault::ZeroDenominator,
            ! in_array($bottom, self::DENOMINATORS, true) => NumberFault::UnknownFraction,
            $top >= $bottom => NumberFault::TopHeavyFraction,
            default => null,
        };

        return $fault === null ? $whole + $top / $bottom : throw UnreadableNumber::of($typed, $fault);
    }

    /** @return array{string|null, string} the known unit that the text begins with, and what stands behind it */
    private function unit(string $text, string $where): array
    {
        foreach ($this->units as $spelling => $factor) {
            $behind = substr($text, strlen($spelling));
            $isWhole = preg_match('/[a-z]$/', $spelling) !== 1 || preg_match('/^\p{L}/u', $behind) !== 1;
            if ($isWhole && str_starts_with($text, $spelling) && ($where === self::BEHIND || preg_match('/^\p{Sc}$/u', $spelling) === 1)) {
                return [$spelling, ltrim((string) preg_replace('/^\.(?!\d)/', '', $behind))];
            }
        }

        return [null, $text];
    }

    /** What stands where a unit was looked for. */
    private function stuck(string $text, string $typed): UnreadableNumber
    {
        if (preg_match('#^(?:[\p{L}\p{Sc}%°"\']|/ ?\p{L})#u', $text) !== 1) {
            return UnreadableNumber::of($typed, NumberFault::NotANumber);
        }

        return $this->units === []
            ? UnreadableNumber::of($typed, NumberFault::NoUnit)
            : UnreadableNumber::of($typed, NumberFault::UnknownUnit, ['units' => $this->unitNames]);
    }

    /**
     * The workshop's own reading where it is inside the range; the other's never, unless nobody said which is its own.
     *
     * @param  non-empty-list<array{string|float, float}>  $sizes
     */
    private function choose(float $sign, array $sizes, string $typed): float
    {
        $style = $this->style ?? NumberStyle::Point;
        [$own, $other] = [self::sum($sign, $sizes, $style), self::sum($sign, $sizes, $style->other())];
        if ($own === null && $other === null) {
            throw UnreadableNumber::of($typed, NumberFault::NotANumber);
        }
        $isOne = $own === $other;
        if ($this->isInside($own)) {
            return $isOne || $this->style !== null || ! $this->isInside($other) ? (float) $own : throw UnreadableNumber::of($typed, NumberFault::TwoWays, ['one' => $this->said($own), 'other' => $this->said($other)]);
        }
        if (! $this->isInside($other)) {
            throw $this->outside($own ?? (float) $other, $typed);
        }

        return match (true) {
            $this->style === null => (float) $other,
            $own === null => throw UnreadableNumber::of($typed, NumberFault::OtherStyle, ['other' => $this->said($other)]),
            default => throw UnreadableNumber::of($typed, NumberFault::TwoWays, ['one' => $this->said($own), 'other' => $this->said($other)]),
        };
    }

    /** @param  non-empty-list<array{string|float, float}>  $sizes */
    private static function sum(float $sign, array $sizes, NumberStyle $style): ?float
    {
        $sum = 0.0;
        foreach ($sizes as [$value, $factor]) {
            $value = is_string($value) ? $style->valueOf($value) : $value;
            if ($value === null) {
                return null;
            }
            $sum += $value * $factor;
        }

        return $sign * $sum;
    }

    private function isInside(?float $value): bool
    {
        return $value !== null && is_finite($value) && $value >= $this->lowest && $value <= $this->highest && (! $this->whole || $value === floor($value));
    }

    private function outside(float $value, string $typed): UnreadableNumber
    {
        return match (true) {
            $value < $this->lowest => UnreadableNumber::of($typed, NumberFault::TooLow, ['low' => $this->said($this->lowest)]),
            $value > $this->highest || ! is_finite($value) => UnreadableNumber::of($typed, NumberFault::TooHigh, ['high' => $this->said($this->highest)]),
            default => UnreadableNumber::of($typed, NumberFault::NotWhole),
        };
    }

    private function said(?float $value): string
    {
        return rtrim(($this->style ?? NumberStyle::Point)->write((float) $value).' '.$this->name);
    }
}
