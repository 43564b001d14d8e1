<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

use Ustrel\Core\Wear\Normal;

/**
 * How many days of the calendar it takes until the last acre is in. Not a division: of the days that come some are fit for
 * fieldwork and some are not, fit days come in spells, no two bring the same acres, and nobody knows the pace for sure.
 *
 * The number of fit days among the first t follows from a chain of two states (fit or not), summed exactly; what n fit days
 * bring is taken as normal.
 */
final readonly class DaysToPlant
{
    /** After so many days it is given up. */
    public const LONGEST = 400;

    /** How much likelier a fit day is after a fit one than after one that was not: spells of weather. */
    private const SPELLS = 0.4;

    /** By how much the acres of one fit day differ from those of another, as a share: part days, small fields, a breakdown. */
    private const DAY_SPREAD = 0.25;

    /** @param  list<float>  $done  the chance to be done by the end of each day, from the first */
    private function __construct(private array $done)
    {
    }

    /**
     * @param  float  $acres  to be planted, over 0
     * @param  float  $acresADay  on a fit day, over 0
     * @param  float  $fit  share of days fit for fieldwork, over 0 to 1
     * @param  float  $paceSd  how unsure the acres of a fit day are, as a share of them
     */
    public static function of(float $acres, float $acresADay, float $fit, float $paceSd): self
    {
        [$afterFit, $afterUnfit] = [$fit + self::SPELLS * (1 - $fit), $fit * (1 - self::SPELLS)];
        $enough = [];
        // The chance of n fit days so far, with the last of them fit, and not.
        [$lastFit, $lastNot] = [[0.0, $fit], [1 - $fit, 0.0]];
        $done = [];
        for ($day = 1; $day <= self::LONGEST; $day++) {
            $chance = 0.0;
            for ($fitDays = 1; $fitDays <= $day; $fitDays++) {
                $enough[$fitDays] ??= self::enough($acres, $acresADay, $fitDays, $paceSd);
                $chance += ($lastFit[$fitDays] + $lastNot[$fitDays]) * $enough[$fitDays];
            }
            $done[] = min(1.0, $chance);
            if ($chance > 0.999) {
                break;
            }
            [$nextFit, $nextNot] = [[0.0], []];
            for ($fitDays = 0; $fitDays <= $day; $fitDays++) {
                $nextFit[] = $lastFit[$fitDays] * $afterFit + $lastNot[$fitDays] * $afterUnfit;
                $nextNot[] = $lastFit[$fitDays] * (1 - $afterFit) + $lastNot[$fitDays] * (1 - $afterUnfit);
            }
            $nextNot[] = 0.0;
            [$lastFit, $lastNot] = [$nextFit, $nextNot];
        }

        return new self($done);
    }

    /** The chance that so many fit days are enough. */
    private static function enough(float $acres, float $acresADay, int $fitDays, float $paceSd): float
    {
        $mean = $fitDays * $acresADay;
        $sd = $acresADay * sqrt($fitDays * self::DAY_SPREAD ** 2 + ($fitDays * $paceSd) ** 2);

        return Normal::under(($mean - $acres) / $sd);
    }

    /**
     * The day by whose end it is done with that chance.
     *
     * @param  float  $chance  over 0 and under 1
     * @return int|null 1 for the first; null where it is out of sight
     */
    public function by(float $chance): ?int
    {
        foreach ($this->done as $index => $done) {
            if ($done >= $chance) {
                return $index + 1;
            }
        }

        return null;
    }

    /**
     * The chance to be done within so many days.
     *
     * @param  int  $days  0 or more
     */
    public function within(int $days): float
    {
        return $days < 1 ? 0.0 : $this->done[min($days, count($this->done)) - 1];
    }
}
