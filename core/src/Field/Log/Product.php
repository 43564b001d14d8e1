<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Log;

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

    /** Null where it does not read like one. */
    public static function read(string $typed): ?self
    {
        if (preg_match('#^(\d+(?:[.,]\d+)?) ?(gal|lb|oz|l|kg)s? ?/ ?(ac|acre|ha) (.+)$#iu', trim($typed), $found) !== 1) {
            return null;
        }
        $unit = RateUnit::tryFrom(strtolower($found[2]).'/'.(strtolower($found[3]) === 'ha' ? 'ha' : 'ac'));

        return $unit === null ? null : self::of($found[4], (float) strtr($found[1], ',', '.'), $unit);
    }

    public function said(): string
    {
        return rtrim(rtrim(number_format($this->rate, 3, '.', ''), '0'), '.')." {$this->unit->value} {$this->name}";
    }
}
