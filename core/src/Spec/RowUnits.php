<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Unit\Condition;

/** The row units of one planter: what most rows carry, what differs on some, and which are parked. */
final readonly class RowUnits
{
    /** @var array<int, OtherRows> by row */
    private array $otherAt;

    /**
     * @param  int  $rows  1 to 64, from the left
     * @param  Equipment  $most  what all rows carry of which nothing else is said, and the planter as a whole
     * @param  list<OtherRows>  $others  no row in two of them, and some row in none
     * @param  list<int>  $parked  rows that are up and do not plant: nothing is asked of them
     */
    public function __construct(public int $rows, public Equipment $most, public array $others = [], public array $parked = [])
    {
        $at = [];
        foreach ($others as $other) {
            $at += array_fill_keys($other->rows, $other);
        }
        $this->otherAt = $at;
    }

    /** The same with every row down: what is fitted, whether it plants or not. */
    public function unparked(): self
    {
        return new self($this->rows, $this->most, $this->others);
    }

    /** What a row carries; of row 0 the planter as a whole. */
    public function at(int $row): Equipment
    {
        return ($this->otherAt[$row] ?? null)->equipment ?? $this->most;
    }

    /** The sheet that a row goes by where it is not the planter's. */
    public function sheetAt(int $row): ?Sheet
    {
        return ($this->otherAt[$row] ?? null)?->sheet;
    }

    public function isParked(int $row): bool
    {
        return in_array($row, $this->parked, true);
    }

    /** @return list<int> the rows that plant, from the left */
    public function running(): array
    {
        return self::without($this->rows, $this->parked);
    }

    /**
     * @param  int  $rows  of the planter
     * @param  list<int>  $parked
     * @return list<int> the rows that plant, from the left
     */
    public static function without(int $rows, array $parked): array
    {
        return array_values(array_diff(range(1, $rows), $parked));
    }

    /**
     * How many rows apart the rows that plant stand: 2 where every second one is parked.
     *
     * @param  int  $rows  of the planter
     * @param  list<int>  $parked
     */
    public static function apart(int $rows, array $parked): int
    {
        $running = self::without($rows, $parked);
        $gaps = [];
        foreach (array_slice($running, 1) as $at => $row) {
            $gaps[] = $row - $running[$at];
        }
        $counts = array_count_values($gaps);
        arsort($counts);

        return array_key_first($counts) ?? 1;
    }

    /** @return list<array{Equipment, list<int>}> each make-up with the rows that have it, parked or not; what most carry first */
    public function kinds(): array
    {
        $kinds = [[$this->most, array_values(array_filter(range(1, $this->rows), fn (int $row): bool => ! isset($this->otherAt[$row])))]];
        foreach ($this->others as $other) {
            $kinds[] = [$other->equipment, $other->rows];
        }

        return $kinds;
    }

    /** @return list<int> the rows that plant and meet a condition, from the left */
    public function where(Condition $with): array
    {
        return array_values(array_filter($this->running(), fn (int $row): bool => $with->holds($this->at($row))));
    }

    /** Whether the planter as a whole or a row of it meets a condition. */
    public function some(Condition $with): bool
    {
        return array_filter($this->kinds(), static fn (array $kind): bool => $with->holds($kind[0])) !== [];
    }
}
