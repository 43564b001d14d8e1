<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Measure\Day;

/**
 * Which lines of the cards of a planter are ticked now. A tick holds until its job is finished or could not be done; what came
 * off a row is on again once anything of that row is finished; that the planter was made safe holds for the day.
 */
final readonly class TickedLines
{
    /**
     * @param  array<string, int>  $ticks  which event ticked it, by key of the target
     * @param  array<string, int>  $closed  the last event that finished it, or said that it could not be done, by key
     */
    private function __construct(
        public array $ticks,
        public array $closed,
    ) {
    }

    /**
     * @param  list<array{WorkEventKind, int, list<string>, Day}>  $events  kind, row, keys of its targets and day, in the order recorded
     */
    public static function after(array $events, Day $today): self
    {
        $ticks = $closed = [];
        foreach ($events as $index => [$kind, $row, $targets, $day]) {
            $ticks = array_diff_key($ticks, array_flip($targets));
            if ($kind === WorkEventKind::Ticked) {
                $isStale = static fn (string $key): bool => (Target::tryFrom($key)?->isLock() ?? false) && $day->isBefore($today);
                $ticks += array_fill_keys(array_filter($targets, static fn (string $key): bool => ! $isStale($key)), $index);

                continue;
            }
            $closed = array_fill_keys($targets, $index) + $closed;
            if ($kind === WorkEventKind::Finished) {
                $ticks = array_filter($ticks, static fn (string $key): bool => ! self::isOffRow($key, $row), ARRAY_FILTER_USE_KEY);
            }
        }

        return new self($ticks, $closed);
    }

    private static function isOffRow(string $key, int $row): bool
    {
        $target = Target::tryFrom($key);

        return $target !== null && $target->isOff() && $target->row === $row;
    }
}
