<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;

final readonly class RunFiguresView extends Schema
{
    public function __construct(
        /** Share of spacings, ISO 7256-1 */
        public float $multiple_index,
        public float $miss_index,
        public float $feed_index,
        /** Scatter of single spacings, as a share of what they should be */
        public ?float $precision,
        /** Milliseconds from one place to the next */
        public float $every,
        /** @var list<BadCellView> Cells that skip apart from chance */
        public array $skipping,
        /** @var list<BadCellView> */
        public array $doubling,
        /** That it takes to name a cell that misses every other turn */
        public ?int $seeds_to_name,
    ) {
    }

    /** @param  array<string, mixed>|null  $kept  as a run keeps them */
    public static function of(?array $kept): ?self
    {
        $cells = static fn (array $of): BadCellView => new BadCellView(...$of);

        return $kept === null ? null : new self(...['skipping' => array_map($cells, $kept['skipping']), 'doubling' => array_map($cells, $kept['doubling'])] + $kept);
    }
}
