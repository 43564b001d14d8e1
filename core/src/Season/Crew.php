<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

use DateTimeImmutable;
use Ustrel\Core\Measure\Day;

/** Who has hours for the shop's work on which days of the week, all people together. */
final readonly class Crew
{
    /** No job is looked for further ahead, or back, than this. */
    private const LONGEST = 400;

    /** @param  array<int, float>  $hours  a day by day of the week, 1 for Monday to 7 for Sunday */
    private function __construct(private array $hours)
    {
    }

    /** @param  list<array<int, float>>  $people  hours of each by day of the week, 1 for Monday to 7; a day left out has none */
    public static function of(array $people): self
    {
        $sums = array_fill(1, 7, 0.0);
        foreach ($people as $hours) {
            foreach ($hours as $day => $number) {
                $sums[$day] += $number;
            }
        }

        return new self($sums);
    }

    public function hasHours(): bool
    {
        return array_sum($this->hours) > 0;
    }

    public function hoursOn(Day $day): float
    {
        return $this->hours[(int) (new DateTimeImmutable($day->iso))->format('N')] ?? 0.0;
    }

    /**
     * The last day on which work can begin that is to be done by the end of a day.
     *
     * @param  float  $hours  of work, 0 or more; it is shared out among all people
     * @return Day|null null where nobody has hours, or not so many
     */
    public function latestStart(Day $due, float $hours): ?Day
    {
        $day = $due;
        for ($back = 0; $back <= self::LONGEST; $back++) {
            $hours -= $this->hoursOn($day);
            if ($hours <= 1e-9 && ($this->hoursOn($day) > 0 || ! $this->hasHours())) {
                return $this->hasHours() ? $day : null;
            }
            $day = $day->plusDays(-1);
        }

        return null;
    }
}
