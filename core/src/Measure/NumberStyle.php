<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** How a workshop writes numbers. Spaces and apostrophes set thousands apart in both. */
enum NumberStyle: string
{
    /** 1,234.5 */
    case Point = 'point';
    /** 1.234,5 */
    case Comma = 'comma';

    public function other(): self
    {
        return $this === self::Point ? self::Comma : self::Point;
    }

    /**
     * The value of digits with their marks, such as `34,000` or `1 234.5`.
     *
     * A thousands group is one to three digits and then threes only, with the same mark throughout; its first group does
     * not start with 0.
     *
     * @return float|null null where this style does not write numbers that way
     */
    public function valueOf(string $digits): ?float
    {
        [$decimal, $thousands] = $this === self::Point ? ['\.', ','] : [',', '\.'];
        if (preg_match("/^(?:(?<whole>\d+|[1-9]\d{0,2}(?:(?<mark>{$thousands}| |')\d{3})(?:\k<mark>\d{3})*)(?:{$decimal}(?<part>\d*))?|{$decimal}(?<only>\d+))$/D", $digits, $found) !== 1) {
            return null;
        }
        $part = ($found['only'] ?? '') !== '' ? $found['only'] : ($found['part'] ?? '');

        return (float) (preg_replace('/\D/', '', $found['whole']).'.'.$part.'0');
    }

    /** A value as this style writes it, without thousands marks and with no more than six places. */
    public function write(float $value): string
    {
        $plain = number_format($value, 6, $this === self::Point ? '.' : ',', '');

        return rtrim(rtrim($plain, '0'), '.,');
    }
}
