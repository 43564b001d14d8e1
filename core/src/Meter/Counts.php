<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** What was counted of a meter's run: domain, 4 (singulation). */
final readonly class Counts
{
    private const LUCK = 0.05;

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

    /**
     * Which of skips and doubles there are more of, by more than luck: the exact sign test on two sides, at one in twenty.
     *
     * @return 'skips'|'doubles'|null
     */
    public function lean(): ?string
    {
        $all = $this->skips + $this->doubles;
        $term = 0.5 ** $all;
        $sum = 0.0;
        for ($few = 0; $few <= min($this->skips, $this->doubles); $few++) {
            $sum += $term;
            $term *= ($all - $few) / ($few + 1);
        }

        return 2 * $sum < self::LUCK ? ($this->skips > $this->doubles ? 'skips' : 'doubles') : null;
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
