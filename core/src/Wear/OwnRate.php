<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** What an item's own readings say of its rate: least squares through its start, each reading with its weight. */
final readonly class OwnRate
{
    /**
     * b = sum u (start - room) / sum u^2 with variance s^2 / sum u^2; where the start is itself a reading, its error
     * runs through all of them and adds s^2 (sum u / sum u^2)^2.
     *
     * @param  float  $squares  sum of the squared uses, each by its weight; over 0
     * @param  float  $uses  sum of the uses, each by its weight
     * @param  float  $products  sum of use times what was lost by then, each by its weight
     * @param  float  $ofReading  s^2 of one reading, square millimetres
     */
    private function __construct(
        public float $squares,
        private float $uses,
        private float $products,
        private float $ofReading,
        private bool $startIsRead,
    ) {
    }

    /**
     * @param  float  $ofReading  s^2 of one reading, square millimetres
     * @param  array<int, float>|null  $weights  one for each point, over 0 to 1; all 1 by default
     */
    public static function of(Item $item, float $ofReading, ?array $weights = null): ?self
    {
        $squares = 0.0;
        $uses = 0.0;
        $products = 0.0;
        foreach ($item->points as $index => $point) {
            $weight = $weights[$index] ?? 1.0;
            $squares += $weight * $point->use ** 2;
            $uses += $weight * $point->use;
            $products += $weight * $point->use * ((float) $item->start - $point->room);
        }

        return $squares > 0 ? new self($squares, $uses, $products, $ofReading, $item->startIsRead) : null;
    }

    /** What the others say without one of the item's points of weight 1; null where it is the only one. */
    public function without(Item $item, Point $point): ?self
    {
        if (count($item->points) < 2) {
            return null;
        }
        $lost = (float) $item->start - $point->room;

        return new self($this->squares - $point->use ** 2, $this->uses - $point->use, $this->products - $point->use * $lost, $this->ofReading, $this->startIsRead);
    }

    /** Millimetres a metre. */
    public function rate(): float
    {
        return $this->products / $this->squares;
    }

    public function variance(): float
    {
        return $this->ofReading / $this->squares + ($this->startIsRead ? $this->ofReading * $this->pull() ** 2 : 0.0);
    }

    /** How far the rate moves for a millimetre that the start is off, per metre. */
    public function pull(): float
    {
        return $this->uses / $this->squares;
    }
}
