<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

use Ustrel\Core\Field\Calc\SeedSpacing;

/** How a meter was set up for a run, but for its air: runs of one set-up tell of one curve. Domain, 14. */
final readonly class RunSetUp
{
    /** Speeds that are nearer than this are one, miles an hour. */
    private const NEAR = 0.5;

    /**
     * @param  string  $lot  its number in the shop's list, or its name
     * @param  float|null  $mph  that it ran as if it went; null where nobody said
     */
    public function __construct(
        public string $lot,
        public string $disc,
        public string $singulator = '',
        public string $lubricant = '',
        public ?float $mph = null,
    ) {
    }

    /** Whether runs of both may be pooled. A speed that nobody said is taken for the same. */
    public function isLike(self $other): bool
    {
        $plain = static fn (string $text): string => mb_strtolower(trim($text));

        return $this->lot === $other->lot && $this->disc === $other->disc
            && $plain($this->singulator) === $plain($other->singulator) && $plain($this->lubricant) === $plain($other->lubricant)
            && ($this->mph === null || $other->mph === null || abs($this->mph - $other->mph) <= self::NEAR + 1e-9);
    }

    /**
     * Turns a minute of a meter: 60 x population x width x speed / 43,560 / cells. Domain, 4.
     *
     * @param  float  $population  seeds an acre
     * @param  float  $width  between rows, inches
     */
    public static function rpm(float $population, float $width, float $mph, int $cells): float
    {
        return SeedSpacing::turns(SeedSpacing::aSecond($population, $width, $mph), $cells);
    }

    /** The speed that so many turns a minute stand for, miles an hour. */
    public static function mph(float $population, float $width, float $rpm, int $cells): float
    {
        return $rpm / self::rpm($population, $width, 1.0, $cells);
    }
}
