<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

use Ustrel\Core\Measure\Moment;

/** Whether a first pass is done: enough rows dug after the last adjustment, and signed off after that. */
final class FirstPassDone
{
    private const ENOUGH = 4;

    /** Bears on the ground by how deep and how hard rows are set. */
    public const BEARS = ['drive_wheel_contact', 'press_wheel_contact', 'firmer_tension', 'closing_pressure'];

    /** Rows that have to be dug after the last adjustment; of a small planter all. */
    public static function enough(int $rows): int
    {
        return min(self::ENOUGH, $rows);
    }

    /**
     * Whether something was looked at again where it was moved: on enough of the rows, or on all of them where they are fewer.
     *
     * @param  array<int, Moment>  $moved  when each row was set last, by row; 0 for the planter as a whole
     * @param  array<int, Moment>  $looked  when it was read last, by row
     */
    public static function isLookedAtAgain(array $moved, array $looked): bool
    {
        $again = array_filter($looked, static fn (Moment $at, int $row): bool => isset($moved[$row]) && ! $at->isBefore($moved[$row]), ARRAY_FILTER_USE_BOTH);

        return count($again) >= min(self::ENOUGH, count($moved));
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
     * @param  bool  $isTurned  each row was turned by hand, and somebody said so
     * @param  array<int, Moment>  $dug  when each row was dug last, by row
     * @param  Moment|null  $adjusted  when something of a row was set last
     * @param  bool  $isOff  by the last digs a row is to be turned, or the rate is off
     * @param  bool  $isSigned  the planter was called ready after all that
     * @return list<FirstPassStep> that are done; the first that is not is next
     */
    public static function steps(bool $isTurned, array $dug, ?Moment $adjusted, bool $isOff, bool $isSigned, int $rows): array
    {
        $isAdjusted = $dug !== [] && (! $isOff || count(self::since($dug, $adjusted)) < count($dug));
        $done = [
            FirstPassStep::TurnByHand->value => $isTurned,
            FirstPassStep::Dig->value => $dug !== [],
            FirstPassStep::Adjust->value => $isAdjusted,
            FirstPassStep::DigAgain->value => ! $isOff && self::isDug($dug, $adjusted, $rows),
            FirstPassStep::SignOff->value => $isSigned,
        ];

        return array_map(FirstPassStep::from(...), array_keys(array_filter($done)));
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
