<?php

declare(strict_types=1);

namespace App\Opener\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Opener\ShimMove;

final readonly class OddShimMoveView extends Schema
{
    public function __construct(
        public string $id,
        public int $row,
        public int $pairs,
        public float $before_mm,
        public float $after_mm,
        public Moment $happened_at,
    ) {
    }

    /** Null of one that is not on record. */
    public static function of(ShimMove $of): ?self
    {
        return $of->event === null ? null : new self($of->event->id, $of->event->row, $of->pairs, round($of->before, 3), round($of->after, 3), $of->event->at);
    }
}
