<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter\Places;

use Ustrel\Core\Measure\Moment;

/** A meter was put somewhere: into a row, on the shelf, or sent out. */
final readonly class MeterPlacement
{
    /**
     * @param  int  $meter  its number in the shop's list
     * @param  array{int, int}|null  $row  planter and row; null where it is in none
     */
    public function __construct(
        public string $id,
        public int $meter,
        public ?array $row,
        public Moment $at,
    ) {
    }
}
