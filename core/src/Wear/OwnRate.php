<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/**
 * What an item's own readings say of it: a line by weighted least squares, through its start as far as that is known.
 * Sums are over the readings, each by its weight over its variance.
 */
final readonly class OwnRate
{
    private function __construct(
        /** Of the start and the readings together. */
        public float $precision,
        /** Sum of the uses. */
        public float $uses,
        /** Sum of the squared uses. */
        public float $squares,
        /** Sum of what was lost by then. */
        public float $lost,
        /** Sum of use times what was lost by then. */
        public float $products,
        /** Sum of the squares of what was lost by then. */
        private float $lostSquares,
    ) {
    }

    /**
     * @param  array<int, float>|null  $weights  one for each point, over 0 to 1; all 1 by default
     * @param  int|null  $without  a point that is left out
     * @return self|null null where nothing was read since the start
     */
    public static function of(Item $item, ReadingError $error, ?array $weights = null, ?int $without = null): ?self
    {
        $precision = $uses = $squares = $lost = $products = $lostSquares = 0.0;
        foreach ($item->points as $index => $point) {
            if ($index === $without) {
                continue;
            }
            $weight = ($weights[$index] ?? 1.0) / $error->variance($point);
            $gone = (float) $item->start - $point->room;
            $precision += $weight;
            $uses += $weight * $point->use;
            $squares += $weight * $point->use ** 2;
            $lost += $weight * $gone;
            $products += $weight * $point->use * $gone;
            $lostSquares += $weight * $gone ** 2;
        }

        return $squares > 0 ? new self($precision + 1 / max(1e-9, $item->startVariance($error)), $uses, $squares, $lost, $products, $lostSquares) : null;
    }

    /** Per metre. */
    public function rate(): float
    {
        return ($this->precision * $this->products - $this->uses * $this->lost) / $this->determinant();
    }

    public function variance(): float
    {
        return $this->precision / $this->determinant();
    }

    /** How badly start and readings agree with each other and with a rate that is usual: the least weighted sum of squares. */
    public function misfit(float $usual, float $variance): float
    {
        $squares = $this->squares + 1 / $variance;
        $products = $this->products + $usual / $variance;
        $determinant = $this->precision * $squares - $this->uses ** 2;
        $rate = ($this->precision * $products - $this->uses * $this->lost) / $determinant;
        $off = ($this->uses * $products - $squares * $this->lost) / $determinant;

        return $this->lostSquares + $usual ** 2 / $variance + $off * $this->lost - $rate * $products;
    }

    private function determinant(): float
    {
        return $this->precision * $this->squares - $this->uses ** 2;
    }
}
