<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Wear\Acres\FieldRun;

/** The acres that a planter has planted, season by season. */
final readonly class PlantedAcres
{
    /** @param  list<FieldRun>  $runs */
    private function __construct(
        private array $runs,
        private Season $season,
    ) {
    }

    /** @param  list<FieldRun>  $runs  in any order */
    public static function of(array $runs, Season $season): self
    {
        return new self($runs, $season);
    }

    /** @param  Day|null  $before  only days before this one */
    public function in(int $season, ?Day $before = null): float
    {
        $acres = 0.0;
        foreach ($this->runs as $run) {
            if (($before === null || $run->day->isBefore($before)) && $this->season->of($run->day) === $season) {
                $acres += $run->acres;
            }
        }

        return $acres;
    }

    /** @return array<int, float> by season, the newest first */
    public function bySeason(): array
    {
        $sums = [];
        foreach ($this->runs as $run) {
            $season = $this->season->of($run->day);
            $sums[$season] = ($sums[$season] ?? 0.0) + $run->acres;
        }
        krsort($sums);

        return $sums;
    }

    /** What the last season before this one brought; null where none is on record. */
    public function lastBefore(int $season): ?float
    {
        foreach ($this->bySeason() as $of => $acres) {
            if ($of < $season) {
                return $acres;
            }
        }

        return null;
    }
}
