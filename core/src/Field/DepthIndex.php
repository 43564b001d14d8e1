<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

/**
 * The depth stops of all rows against each other. With equal blocks under all gauge wheels, each row's stop is at the
 * notch at which its wheels just lift; a row that lifts at another notch than the rest plants at another depth.
 */
final readonly class DepthIndex
{
    /**
     * @param  float  $median  notch, of all rows
     * @param  list<RowIndex>  $rows  from the left
     * @param  float  $spreadBefore  notches between the highest and the lowest row
     * @param  float  $spreadAfter  the same once every row has been moved as advised
     */
    private function __construct(
        public float $median,
        public array $rows,
        public float $spreadBefore,
        public float $spreadAfter,
    ) {
    }

    /**
     * A row further than the tolerance from the median is moved by whole notches to the nearest one.
     *
     * @param  array<int, float>  $notches  by row number; 1 to 48 rows
     * @param  float  $tolerance  notches, usually 1
     */
    public static function of(array $notches, float $tolerance): self
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
            $move = abs($offset) > $tolerance ? (int) -round($offset) : 0;
            $rows[] = new RowIndex($row, $notch, $offset, $move);
            $after[] = $notch + $move;
        }

        return new self($median, $rows, max($sorted) - min($sorted), max($after) - min($after));
    }
}
