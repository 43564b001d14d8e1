<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

/** A box or tank and what it feeds: all in one unit, such as units of seed, pounds or gallons. */
final readonly class Tank
{
    /**
     * @param  float  $holds  usable amount, over 0
     * @param  float  $rate  that an acre takes, over 0
     * @param  string|null  $crop  for which alone it runs; null for all
     */
    public function __construct(
        public string $name,
        public float $holds,
        public float $rate,
        public ?string $crop = null,
    ) {
    }

    /** A crop's name as it is compared. */
    public static function plain(?string $crop): string
    {
        return mb_strtolower(trim((string) $crop));
    }

    /** @param  string  $crop  as it is compared */
    public function runsIn(string $crop): bool
    {
        return self::plain($this->crop) === '' || self::plain($this->crop) === $crop;
    }

    public function acresAFill(): float
    {
        return $this->holds / $this->rate;
    }

    /** What it would have to hold more to last for so many acres; 0 where it does. */
    public function shortFor(float $acres): float
    {
        return max(0.0, $this->rate * $acres - $this->holds);
    }
}
