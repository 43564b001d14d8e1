<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** One part in its slot, or one contact since it was last set: where it began, what was read of it, how far it has run. */
final readonly class Item
{
    /**
     * @param  string  $key  names the item
     * @param  float|null  $start  room when fitted, millimetres; null where it is unknown and no reading has come
     * @param  bool  $startIsRead  the start is a reading, with a reading's error
     * @param  list<Point>  $points  read since, each at a use over 0
     * @param  float  $use  run by now, effective metres since the start
     */
    private function __construct(
        public string $key,
        public ?float $start,
        public bool $startIsRead,
        public array $points,
        public float $use,
    ) {
    }

    /**
     * A part of known size when it was fitted.
     *
     * @param  list<Point>  $points
     */
    public static function fitted(string $key, float $start, array $points, float $use): self
    {
        $since = array_filter($points, static fn (Point $point): bool => $point->use > 0);

        return new self($key, $start, false, array_values($since), $use);
    }

    /**
     * A part whose size when fitted nobody knows: its first reading is the start.
     *
     * @param  list<Point>  $points
     */
    public static function found(string $key, array $points, float $use): self
    {
        if ($points === []) {
            return new self($key, null, true, [], $use);
        }
        usort($points, static fn (Point $a, Point $b): int => $a->use <=> $b->use);
        $first = $points[0];
        $since = [];
        foreach ($points as $point) {
            if ($point->use > $first->use) {
                $since[] = new Point($point->key, $point->use - $first->use, $point->room);
            }
        }

        return new self($key, $first->room, true, $since, $use - $first->use);
    }

    /** The same with one more reading. */
    public function with(Point $point): self
    {
        return new self($this->key, $this->start, $this->startIsRead, [...$this->points, $point], $this->use);
    }
}
