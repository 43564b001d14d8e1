<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

use DateTimeImmutable;
use Ustrel\Core\Measure\Day;

/**
 * When one person works: so many hours on each day of the week, in one stretch from the morning on. Instants are minutes since
 * the midnight at which a plan begins; what is begun on one day goes on in the next hours of the same person.
 */
final readonly class WorkHours
{
    private const DAY = 1440;

    /** Work begins at eight, or as much earlier as a long day asks for. */
    private const BEGINS = 480;

    /**
     * @param  array<int, int>  $minutes  of each of the seven days from the first on
     * @param  array<int, int>  $before  of them, up to each day
     */
    private function __construct(
        private array $minutes,
        private array $before,
        private int $week,
    ) {
    }

    /**
     * @param  Day  $first  of the plan
     * @param  array<int, float>  $hours  by day of the week, 1 for Monday to 7 for Sunday, 0 to 24; a day left out has none
     *
     * @throws InvalidPlan where there are none at all
     */
    public static function of(Day $first, array $hours): self
    {
        $weekday = (int) (new DateTimeImmutable($first->iso))->format('N');
        $minutes = $before = [];
        $week = 0;
        for ($day = 0; $day < 7; $day++) {
            $before[] = $week;
            $minutes[] = (int) round(60 * ($hours[($weekday + $day - 1) % 7 + 1] ?? 0.0));
            $week += $minutes[$day];
            $minutes[$day] >= 0 && $minutes[$day] <= self::DAY || throw InvalidPlan::hours();
        }

        return $week > 0 ? new self($minutes, $before, $week) : throw InvalidPlan::noHours();
    }

    /**
     * When at least one of them works.
     *
     * @param  non-empty-list<self>  $people
     */
    public static function longest(array $people): self
    {
        $minutes = $before = [];
        $week = 0;
        for ($day = 0; $day < 7; $day++) {
            $before[] = $week;
            $minutes[] = max(array_map(static fn (self $of): int => $of->minutes[$day], $people));
            $week += $minutes[$day];
        }

        return new self($minutes, $before, $week);
    }

    /**
     * When all of them work; null where they never do.
     *
     * @param  non-empty-list<self>  $people
     */
    public static function together(array $people): ?self
    {
        // Longer days begin earlier and end later: of two days the shorter lies within the longer.
        $minutes = $before = [];
        $week = 0;
        for ($day = 0; $day < 7; $day++) {
            $before[] = $week;
            $minutes[] = min(array_map(static fn (self $of): int => $of->minutes[$day], $people));
            $week += $minutes[$day];
        }

        return $week > 0 ? new self($minutes, $before, $week) : null;
    }

    /** Minutes of work from the beginning of the plan until an instant. */
    public function until(int $instant): int
    {
        $day = intdiv($instant, self::DAY);
        $in = $day % 7;
        $worked = $instant - $day * self::DAY - $this->begins($in);

        return intdiv($day, 7) * $this->week + $this->before[$in] + max(0, min($this->minutes[$in], $worked));
    }

    /** The first instant at or after one at which work can go on. */
    public function next(int $instant): int
    {
        return $this->at($this->until($instant), true);
    }

    /** When work is done that begins at an instant and takes so many minutes, 1 or more. */
    public function finish(int $start, int $minutes): int
    {
        return $this->at($this->until($start) + $minutes, false);
    }

    /** The last instant at which work can begin that takes so many minutes and is done at an instant. Before the plan begins: null. */
    public function latestStart(int $finish, int $minutes): ?int
    {
        $worked = $this->until($finish) - $minutes;

        return $worked < 0 ? null : $this->at($worked, true);
    }

    /**
     * The stretches of work between two instants, a day at a time.
     *
     * @return list<array{int, int, int}> day of the plan from 0, and from when to when, 0 to 1440 minutes of that day
     */
    public function stretches(int $start, int $finish): array
    {
        $stretches = [];
        for ($day = intdiv($start, self::DAY); $day * self::DAY < $finish; $day++) {
            $begins = $this->begins($day % 7);
            $from = max($begins, $start - $day * self::DAY);
            $to = min($begins + $this->minutes[$day % 7], $finish - $day * self::DAY);
            if ($from < $to) {
                $stretches[] = [$day, $from, $to];
            }
        }

        return $stretches;
    }

    /** The instant by which so much was worked: at the end of the stretch that brings it, or where the next minute is worked. */
    private function at(int $worked, bool $goesOn): int
    {
        $weeks = intdiv($worked, $this->week);
        $rest = $worked - $weeks * $this->week;
        if ($rest === 0 && ! $goesOn) {
            [$weeks, $rest] = [$weeks - 1, $this->week];
        }
        $day = 0;
        while ($rest > $this->before[$day] + $this->minutes[$day] - ($goesOn ? 1 : 0)) {
            $day++;
        }

        return ($weeks * 7 + $day) * self::DAY + $this->begins($day) + $rest - $this->before[$day];
    }

    private function begins(int $day): int
    {
        return min(self::BEGINS, self::DAY - $this->minutes[$day]);
    }
}
