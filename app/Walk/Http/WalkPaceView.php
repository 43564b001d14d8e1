<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Schema;
use App\Walk\ShopPace;

final readonly class WalkPaceView extends Schema
{
    public function __construct(
        /** Seconds that a figure takes */
        public float $figure,
        /** Seconds that anything else takes */
        public float $look,
        /** By the shop's own walks, or else typical */
        public bool $own,
    ) {
    }

    public static function of(int $workshopId): self
    {
        return new self(...ShopPace::of($workshopId));
    }
}
