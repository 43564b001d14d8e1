<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/**
 * How the readings of one part lie about its own line by least squares: through the size when it was fitted, or else
 * through all of them. In square millimetres of the figure.
 */
final readonly class Scatter
{
    private function __construct(
        /** Sum of the squares about the line. */
        public float $squares,
        /** What rounding, and the tolerance of the size when fitted, make of it on the average. */
        private float $ofOthers,
        /** Readings more than it takes to draw the line. */
        public int $spare,
    ) {
    }

    /** Null where the line goes through all that was read, whatever it was. */
    public static function of(Item $item, ReadingError $error): ?self
    {
        if ($item->start === null || count($item->points) < 2) {
            return null;
        }
        $gain = max(array_map(static fn (Point $point): float => $point->gain, $item->points));
        $step = static fn (Point $point): float => ($point->step ?? $error->step) ** 2 / 12;
        if ($item->startRead === null) {
            return self::throughStart($item, $gain, $step);
        }

        return self::throughAll([$item->startRead->since($item->startRead->use), ...$item->points], $gain, $step);
    }

    /** What is to be expected of the squares with a measuring SD in millimetres. */
    public function expected(float $sd): float
    {
        return $this->ofOthers + $this->spare * $sd ** 2;
    }

    /** What is left of the squares for the measuring itself. */
    public function measured(): float
    {
        return $this->squares - $this->ofOthers;
    }

    /**
     * The squares that a part without a gross error exceeds with a chance, in units of the variance: chi-squared by Wilson
     * and Hilferty (PNAS 17, 1931).
     *
     * @param  float  $deviate  normal deviate of that chance, over 0 for a small one
     */
    public function chiSquared(float $deviate): float
    {
        return $this->spare * (1 - 2 / (9 * $this->spare) + $deviate * sqrt(2 / (9 * $this->spare))) ** 3;
    }

    /** @param  callable(Point): float  $rounding */
    private static function throughStart(Item $item, float $gain, callable $rounding): self
    {
        $uses = $squares = $products = 0.0;
        foreach ($item->points as $point) {
            $uses += $point->use;
            $squares += $point->use ** 2;
            $products += $point->use * ((float) $item->start - $point->room);
        }
        $rate = $products / $squares;
        $sum = $others = 0.0;
        foreach ($item->points as $point) {
            $sum += (((float) $item->start - $point->room - $rate * $point->use) / $gain) ** 2;
            $others += (1 - $point->use ** 2 / $squares) * $rounding($point);
        }
        // A start that is off runs through all of them.
        $others += $item->startSd ** 2 / $gain ** 2 * (count($item->points) - $uses ** 2 / $squares);

        return new self($sum, $others, count($item->points) - 1);
    }

    /**
     * @param  list<Point>  $points  three or more
     * @param  callable(Point): float  $rounding
     */
    private static function throughAll(array $points, float $gain, callable $rounding): self
    {
        $count = count($points);
        $use = array_sum(array_map(static fn (Point $point): float => $point->use, $points)) / $count;
        $room = array_sum(array_map(static fn (Point $point): float => $point->room, $points)) / $count;
        $squares = $products = 0.0;
        foreach ($points as $point) {
            $squares += ($point->use - $use) ** 2;
            $products += ($point->use - $use) * ($room - $point->room);
        }
        $rate = $products / $squares;
        $sum = $others = 0.0;
        foreach ($points as $point) {
            $sum += (($room - $point->room - $rate * ($point->use - $use)) / $gain) ** 2;
            $others += (1 - 1 / $count - ($point->use - $use) ** 2 / $squares) * $rounding($point);
        }

        return new self($sum, $others, $count - 2);
    }
}
