<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

/** What parts cost: what is known of it, and how many prices are not. What is unknown stays unknown in every sum. */
final readonly class Cost
{
    private function __construct(
        /** In the shop's currency, 0 or more. */
        public float $known,
        /** Parts whose price nobody knows. */
        public int $unknown,
    ) {
    }

    /** @param  list<float|null>  $prices  of each part; null where nobody knows */
    public static function of(array $prices): self
    {
        $known = array_filter($prices, static fn (?float $price): bool => $price !== null);

        return new self((float) array_sum($known), count($prices) - count($known));
    }

    public function plus(self $other): self
    {
        return new self($this->known + $other->known, $this->unknown + $other->unknown);
    }
}
