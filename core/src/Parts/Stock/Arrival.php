<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

use Ustrel\Core\Measure\Day;

/** When one part is there. */
final readonly class Arrival
{
    private function __construct(
        public bool $isHere,
        public bool $isOrdered,
        /** Where it is not here: null where nobody knows. */
        public ?Day $on,
    ) {
    }

    public static function here(): self
    {
        return new self(true, true, null);
    }

    public static function ordered(?Day $on): self
    {
        return new self(false, true, $on);
    }

    /** It would come then if it were ordered today. */
    public static function notOrdered(?Day $on): self
    {
        return new self(false, false, $on);
    }

    /** What is here is late by no day. */
    public function later(int $days): self
    {
        return $this->on === null ? $this : new self($this->isHere, $this->isOrdered, $this->on->plusDays($days));
    }

    public function isKnown(): bool
    {
        return $this->isHere || $this->on !== null;
    }
}
