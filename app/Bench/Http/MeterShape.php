<?php

declare(strict_types=1);

namespace App\Bench\Http;

use Ustrel\Core\Meter\Counts;
use Ustrel\Core\Meter\Share;

/** Shares of a run with their intervals. */
final class MeterShape
{
    /** @return array{share: float, low: float, high: float} */
    public static function singulation(Counts $counts): array
    {
        $wrong = $counts->wrong();

        return ['share' => round(1 - $wrong->share, 4), 'low' => round(1 - $wrong->high, 4), 'high' => round(1 - $wrong->low, 4)];
    }

    /** @return array{share: float, low: float, high: float} */
    public static function share(Share $share): array
    {
        return ['share' => round($share->share, 4), 'low' => round($share->low, 4), 'high' => round($share->high, 4)];
    }
}
