<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

/** How far one thing is that has to be ready, as the record has it or somebody says. */
final readonly class Ready
{
    private function __construct(
        public bool $isDone,
        /** Hours of work that are left; 0 where nobody works on it. */
        public float $hours,
        /** Days it takes whoever works: such as until parts arrive. */
        public int $days,
        /** No record tells: somebody says that it is done. */
        public bool $isByHand = false,
    ) {
    }

    public static function done(): self
    {
        return new self(true, 0.0, 0);
    }

    public function byHand(): self
    {
        return new self($this->isDone, $this->hours, $this->days, true);
    }

    /**
     * @param  float  $hours  of work left, 0 or more
     * @param  int  $days  0 or more
     */
    public static function open(float $hours = 0.0, int $days = 0): self
    {
        return new self(false, $hours, $days);
    }
}
