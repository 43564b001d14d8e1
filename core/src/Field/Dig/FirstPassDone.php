<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

use Ustrel\Core\Measure\Moment;

/** Whether a first pass is done: enough rows dug after the last adjustment, and signed off after that. */
final class FirstPassDone
{
    private const ENOUGH = 4;

    /** Rows that have to be dug after the last adjustment; of a small planter all. */
    public static function enough(int $rows): int
    {
        return min(self::ENOUGH, $rows);
    }

    /**
     * @param  array<int, Moment>  $dug  when each row was dug last, by row
     * @param  Moment|null  $adjusted  when depth, downforce, closing or anything else of a row was set last; null where nothing was
     * @param  int  $rows  of the planter
     */
    public static function isDug(array $dug, ?Moment $adjusted, int $rows): bool
    {
        return count(self::since($dug, $adjusted)) >= self::enough($rows);
    }

    /**
     * @param  array<int, Moment>  $dug
     * @param  Moment|null  $signed  when somebody called the planter ready
     */
    public static function isDone(array $dug, ?Moment $adjusted, ?Moment $signed, int $rows): bool
    {
        $unsigned = array_filter(self::since($dug, $adjusted), static fn (Moment $at): bool => $signed === null || $signed->isBefore($at));

        return self::isDug($dug, $adjusted, $rows) && $signed !== null && $unsigned === [];
    }

    /**
     * @param  array<int, Moment>  $dug
     * @return array<int, Moment>
     */
    private static function since(array $dug, ?Moment $adjusted): array
    {
        return $adjusted === null ? $dug : array_filter($dug, static fn (Moment $at): bool => ! $at->isBefore($adjusted));
    }
}
