<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

/** One part in its slot, or one contact since it was last set: where it began, what was read of it, how far it has run. */
final readonly class Item
{
    /** A new part's size is true to the sheet within this, as a standard deviation in millimetres. */
    public const NEW_PART_SD = 0.8;

    /**
     * @param  string  $key  names the item
     * @param  float|null  $start  room when fitted, or when first read; null where it is unknown and no reading has come
     * @param  Point|null  $startRead  the reading that the start is; null where the item's size when fitted is on record
     * @param  float  $startSd  how far the size when fitted may be off, in the units of the room; 0 where the start is a reading
     * @param  list<Point>  $points  read since, each at a use over 0, oldest first
     * @param  float  $use  run by now, effective metres since the start
     */
    private function __construct(
        public string $key,
        public ?float $start,
        public ?Point $startRead,
        public float $startSd,
        public array $points,
        public float $use,
    ) {
    }

    /**
     * A part of known size when it was fitted.
     *
     * @param  list<Point>  $points
     * @param  float  $startSd  how far that size may be off
     */
    public static function fitted(string $key, float $start, array $points, float $use, float $startSd = self::NEW_PART_SD): self
    {
        $since = array_filter($points, static fn (Point $point): bool => $point->use > 0);

        return new self($key, $start, null, $startSd, self::inOrder($since), $use);
    }

    /**
     * A part whose size when fitted nobody knows: its first reading is the start.
     *
     * @param  list<Point>  $points
     */
    public static function found(string $key, array $points, float $use): self
    {
        $points = self::inOrder($points);
        $first = $points[0] ?? null;
        if ($first === null) {
            return new self($key, null, null, 0.0, [], $use);
        }
        $since = array_filter($points, static fn (Point $point): bool => $point->use > $first->use);

        return new self($key, $first->room, $first, 0.0, array_values(array_map(static fn (Point $point): Point => $point->since($first->use), $since)), $use - $first->use);
    }

    /** The same with one more reading. */
    public function with(Point $point): self
    {
        return new self($this->key, $this->start, $this->startRead, $this->startSd, [...$this->points, $point], $this->use);
    }

    /** The same from one of its readings on, as if it had been found then. */
    public function since(int $point): self
    {
        return self::found($this->key, array_slice($this->points, $point), $this->use);
    }

    /** The same without its readings from one on. */
    public function until(int $point): self
    {
        return new self($this->key, $this->start, $this->startRead, $this->startSd, array_slice($this->points, 0, $point), $this->use);
    }

    /** Variance of the start: of its tolerance, or of the reading that it is. */
    public function startVariance(ReadingError $error): float
    {
        return $this->startRead === null ? $this->startSd ** 2 : $error->variance($this->startRead);
    }

    /**
     * @param  array<int, Point>  $points
     * @return list<Point>
     */
    private static function inOrder(array $points): array
    {
        usort($points, static fn (Point $a, Point $b): int => $a->use <=> $b->use);

        return $points;
    }
}
