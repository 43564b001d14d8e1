<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Meter\Counts;
use Ustrel\Core\Meter\Share;

/** A share of a run with its interval. */
final readonly class MeterShareView extends Schema
{
    public function __construct(
        public float $share,
        public float $low,
        public float $high,
    ) {
    }

    public static function of(Share $of): self
    {
        return new self(round($of->share, 4), round($of->low, 4), round($of->high, 4));
    }

    public static function singulation(Counts $counts): self
    {
        $wrong = $counts->wrong();

        return new self(round(1 - $wrong->share, 4), round(1 - $wrong->high, 4), round(1 - $wrong->low, 4));
    }
}
