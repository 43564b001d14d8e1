<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

/**
 * The depth stops of all rows against each other. With equal blocks under all gauge wheels, blades on the floor, the notch at
 * which a row's wheels just bear is the blocks' height as depth on that row: one that lifts at 8 among rows that lift at 5
 * must be set 3 higher than they to plant as deep.
 */
final readonly class DepthIndex
{
    /** With fewer of the rows measured, nobody knows where the middle of the planter lies. */
    private const SHARE = 0.75;

    /**
     * @param  float  $median  notch, of all rows
     * @param  list<RowIndex>  $rows  from the left
     * @param  float  $spreadBefore  notches of depth between the deepest and the shallowest row with all set alike
     * @param  float  $spreadAfter  the same once all is done as advised
     */
    private function __construct(
        public float $median,
        public array $rows,
        public float $spreadBefore,
        public float $spreadAfter,
    ) {
    }

    /**
     * Carried in the handle, every row has its own figure, to the half notch; re-indexed are those further off than the tolerance.
     *
     * @param  array<int, float>  $notches  by row number; 1 row or more
     * @param  float  $tolerance  notches, usually 1
     */
    public static function of(array $notches, float $tolerance, DepthStrategy $school): self
    {
        if ($notches === []) {
            throw TooFewRows::of(0);
        }
        ksort($notches);
        $sorted = array_values($notches);
        sort($sorted);
        $middle = intdiv(count($sorted), 2);
        $median = count($sorted) % 2 === 1 ? $sorted[$middle] : ($sorted[$middle - 1] + $sorted[$middle]) / 2;

        $rows = [];
        $after = [];
        foreach ($notches as $row => $notch) {
            $offset = $notch - $median;
            $move = match ($school) {
                DepthStrategy::Handle => self::half($offset),
                DepthStrategy::Reindex => abs($offset) > $tolerance ? self::half(-$offset) : 0.0,
            };
            $rows[] = new RowIndex($row, $notch, $offset, $move);
            // How much shallower than meant: what it is off, less what the handle gives, or with what the scale is moved by.
            $after[] = $school === DepthStrategy::Handle ? $offset - $move : $offset + $move;
        }

        return new self($median, $rows, max($sorted) - min($sorted), max($after) - min($after));
    }

    /** Whether this many of the rows tell where each stands among all. */
    public static function isTold(int $measured, int $rows): bool
    {
        return $measured > 0 && $measured >= self::SHARE * $rows;
    }

    private static function half(float $notches): float
    {
        // Not -0.
        return round(2 * $notches) / 2 + 0.0;
    }
}
