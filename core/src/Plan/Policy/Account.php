<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

/** What a policy comes to, run by run: what its kinds of parts come to, and the work on them that is done together. */
final class Account
{
    /** @var list<float> */
    private array $parts = [];

    /** @var list<float> */
    private array $minutes = [];

    /** @var list<float> */
    private array $stops = [];

    /** @var list<float> */
    private array $standing = [];

    private float $waste = 0.0;

    private float $lostWorst = 0.0;

    private float $lostMean = 0.0;

    private int $measured = 0;

    /** @param  list<RunSimulator>  $players  one for each group of kinds that are tied together */
    public function __construct(
        private readonly PolicySimulation $play,
        private readonly Layout $layout,
        private readonly Policy $policy,
        private readonly array $players,
    ) {
        foreach ($players as $player) {
            $this->measured += $player->measured;
        }
    }

    /** Adds the run that was played last. */
    public function add(): void
    {
        $parts = $minutes = $stops = $standing = 0.0;
        $looks = $atLook = $worst = [];
        foreach ($this->players as $player) {
            $parts += $player->parts;
            $minutes += $player->minutes;
            $stops += $player->stops;
            $standing += $player->standing;
            $this->waste += $player->waste;
            $this->lostMean += $player->lostSum / max(1, $this->measured);
            foreach ($player->lostWorst as $season => $lost) {
                $worst[$season] = max($worst[$season] ?? 0.0, $lost);
            }
            foreach ($player->changed as $look => $rows) {
                $atLook[$look] = $player->stopsAt[$look];
                foreach ($rows as $row => $bits) {
                    $looks[$look][$row] = ($looks[$look][$row] ?? 0) | $bits;
                }
            }
        }
        foreach ($looks as $look => $rows) {
            $work = $this->layout->minutesOf($rows);
            $minutes += $work;
            if ($atLook[$look] !== null) {
                $stops++;
                $standing += $this->play->prices->standing($work, $atLook[$look]);
            }
        }
        $this->lostWorst += array_sum($worst);
        $this->parts[] = $parts;
        $this->minutes[] = $minutes;
        $this->stops[] = $stops;
        $this->standing[] = $standing;
    }

    /** @param  int  $runs  that were played, 1 or more */
    public function played(int $runs): SimulatedRuns
    {
        $seasons = $runs * $this->play->seasons;
        $used = [];
        $unpriced = 0.0;
        foreach ($this->players as $player) {
            foreach ($player->used as $of => $count) {
                $kind = $this->play->kinds[$of];
                $used[$kind->slot->value] = ($used[$kind->slot->value] ?? 0.0) + $count / $seasons;
                $unknown = count(array_filter([[$kind->slot, $kind->price], ...$kind->along], static fn (array $part): bool => $part[1] === null));
                $unpriced += $unknown * $count / $seasons;
            }
        }

        return new SimulatedRuns($this->policy, $this->parts, $this->minutes, $this->stops, $this->standing, $used, $unpriced, $this->lostWorst / $seasons, $this->lostMean / $seasons, $this->waste / $seasons);
    }
}
