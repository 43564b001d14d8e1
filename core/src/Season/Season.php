<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

use Ustrel\Core\Measure\Day;

/**
 * The season that a day belongs to, named by the year of planting: from eight months before planting is to start to four
 * months after, so that a winter's walk, the spring's acres and the last replanted field are one. Without a planned
 * start it is the calendar year.
 */
final readonly class Season
{
    private const MONTHS_BEFORE = 8;

    private const AFTER_WITHOUT_START = 9;

    private function __construct(
        /** Month and day on which seasons begin. */
        private int $month,
        private int $day,
        /** Whether a season begins in the calendar year before its planting. */
        private int $yearsBefore,
        /** Whether somebody has said when planting is to start. */
        private bool $isPlanned = true,
    ) {
    }

    public static function startingOn(?Day $plantingStart): self
    {
        if ($plantingStart === null) {
            return new self(1, 1, 0, false);
        }
        $month = $plantingStart->month() - self::MONTHS_BEFORE;

        return $month >= 1
            ? new self($month, $plantingStart->dayOfMonth(), 0)
            : new self($month + 12, $plantingStart->dayOfMonth(), 1);
    }

    public function of(Day $day): int
    {
        $year = $day->year();

        return $day->isBefore($this->beginIn($year)) ? $year - 1 + $this->yearsBefore : $year + $this->yearsBefore;
    }

    /** The first day of a season. */
    public function begins(int $season): Day
    {
        return $this->beginIn($season - $this->yearsBefore);
    }

    /** From when on the machine is seen to after planting: four months after its start. Without a planned start: September. */
    public function roundAfterBegins(int $season): Day
    {
        return $this->isPlanned ? $this->begins($season + 1) : Day::inYear($season, self::AFTER_WITHOUT_START, 1);
    }

    /** From when on the machine is got ready for planting: four months before its start. Without a planned start: January. */
    public function roundBeforeBegins(int $season): Day
    {
        $begins = $this->begins($season);
        $months = $begins->month() + ($this->isPlanned ? intdiv(self::MONTHS_BEFORE, 2) : 0);

        return Day::inYear($begins->year() + intdiv($months - 1, 12), ($months - 1) % 12 + 1, min($begins->dayOfMonth(), 28));
    }

    private function beginIn(int $calendarYear): Day
    {
        // The 31st of a month of thirty days is its last.
        $day = $this->day;
        while ($day > 28 && ! checkdate($this->month, $day, $calendarYear)) {
            $day--;
        }

        return Day::inYear($calendarYear, $this->month, $day);
    }
}
