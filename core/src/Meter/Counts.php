<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** What was counted of a meter's run: domain, 4 (singulation). */
final readonly class Counts
{
    /**
     * @param  int  $places  where a seed should have dropped, 1 or more
     * @param  int  $skips  of them left empty
     * @param  int  $doubles  of them with a seed too many
     *
     * @throws InvalidRun
     */
    public function __construct(
        public int $places,
        public int $skips,
        public int $doubles,
    ) {
        if ($places < 1 || $skips < 0 || $doubles < 0 || $skips + $doubles > $places) {
            throw InvalidRun::counts();
        }
    }

    /** Places that went wrong, with the interval: singulation is what is left to 1. */
    public function wrong(): Share
    {
        return Share::of($this->skips + $this->doubles, $this->places);
    }

    public function skipped(): Share
    {
        return Share::of($this->skips, $this->places);
    }

    public function doubled(): Share
    {
        return Share::of($this->doubles, $this->places);
    }
}
