<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Log;

use Ustrel\Core\Measure\NumberReader;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnreadableNumber;

/** Something that goes on beside the seed: `8 gal/ac starter`. */
final readonly class Product
{
    public const MOST_RATE = 5_000.0;

    public const LONGEST = 60;

    private function __construct(
        public string $name,
        public float $rate,
        public RateUnit $unit,
    ) {
    }

    /** @throws UnreadableLog */
    public static function of(string $name, float $rate, RateUnit $unit): self
    {
        $name = trim($name);
        if ($name === '' || mb_strlen($name) > self::LONGEST) {
            throw UnreadableLog::because('product_name', $name);
        }

        return $rate > 0 && $rate <= self::MOST_RATE ? new self($name, round($rate, 3), $unit) : throw UnreadableLog::because('product_rate', (string) $rate);
    }

    /**
     * `8 gal/ac starter`, `10-10-10 200 lb/ac`; null where it does not read like a product.
     *
     * @param  NumberStyle|null  $style  of the workshop
     *
     * @throws UnreadableLog
     */
    public static function read(string $typed, ?NumberStyle $style = null): ?self
    {
        $rate = '(?<rate>\d[\d.,\' ]*?|\d+(?: |-)\d+/\d+) ?(?<unit>gal|lb|oz|l|kg)s? ?/ ?(?<area>ac|acre|ha)';
        $typed = trim($typed);
        if (preg_match("#^{$rate} (?<name>\S.*)$#iu", $typed, $found) !== 1 && preg_match("#^(?<name>\S.*?)(?::| at)? {$rate}$#iu", $typed, $found) !== 1) {
            return null;
        }
        $unit = RateUnit::tryFrom(strtolower($found['unit']).'/'.(strtolower($found['area']) === 'ha' ? 'ha' : 'ac'));
        try {
            return $unit === null ? null : self::of($found['name'], (new NumberReader(lowest: 0, highest: self::MOST_RATE, style: $style))->read($found['rate']), $unit);
        } catch (UnreadableNumber $unreadable) {
            throw UnreadableLog::number($unreadable);
        }
    }

    /** As it is read again by a workshop of that style. */
    public function said(NumberStyle $style = NumberStyle::Point): string
    {
        return "{$style->write($this->rate)} {$this->unit->value} {$this->name}";
    }
}
