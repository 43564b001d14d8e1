<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

use Ustrel\Core\Plan\Policy\LookWhen;

/** When something that was carried over comes back. */
final readonly class LookAgain
{
    private function __construct(
        public LookWhen $when,
        /** Acres of the season by which it comes back, over 0; null where they do not matter. */
        public ?float $acres,
    ) {
    }

    public static function at(LookWhen $when, ?float $acres = null): self
    {
        return new self($when, $when === LookWhen::Acres ? $acres : null);
    }

    /**
     * @param  float  $planted  acres of the season so far
     * @param  bool  $walked  a walk began since
     * @param  bool  $rained  a walk of a rain day began since
     */
    public function isDue(float $planted, bool $walked, bool $rained): bool
    {
        return match ($this->when) {
            LookWhen::NextWalk => $walked,
            LookWhen::FirstRain => $rained || $walked,
            LookWhen::Acres => $planted >= (float) $this->acres || $walked,
        };
    }
}
