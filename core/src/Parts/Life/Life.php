<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Life;

/** How far one part ran, and whether that was the end of it or only the end of what is known. */
final readonly class Life
{
    /**
     * @param  float  $ran  in any unit, 0 or more
     * @param  bool  $ended  worn out or failed; else it was taken out early or still runs
     * @param  float  $since  what it had run already when it was first seen: had it ended before, nobody would know of it
     */
    public function __construct(
        public float $ran,
        public bool $ended,
        public float $since = 0.0,
    ) {
    }

    /** It ended while it was seen running. */
    public function endWasSeen(): bool
    {
        return $this->ended && $this->since < $this->ran;
    }
}
