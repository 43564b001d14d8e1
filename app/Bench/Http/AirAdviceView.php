<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;
use App\Models\Bench\BenchRun;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Meter\Air\AirAdvice;
use Ustrel\Core\Meter\Heavy;

final readonly class AirAdviceView extends Schema
{
    public function __construct(
        /**
         * That it goes by
         *
         * @var list<array{
         *     air: float, // Inches of water
         *     places: int,
         *     skips: int,
         *     doubles: int,
         * }>
         */
        public array $runs,
        /**
         * Null without a run that has its air
         *
         * @var array{
         *     air: float, // At which skips and doubles together are least
         *     low: float, // With high: the best air lies between them eight times in ten
         *     high: float,
         *     skips: float, // Share of places, to be expected there
         *     doubles: float,
         *     in_sight: bool, // It lies among the airs that were tried
         *     way: 'more'|'less'|null, // Where it lies otherwise
         *     next: float|null, // Worth trying next; null where another run wins nothing
         *     gain: float, // Share of places that it is expected to win
         *     heavy: Heavy|null, // What no air puts right
         *     curve: list<array{air: float, skips: float, doubles: float}>, // What is to be expected by air
         * }|null
         */
        public ?array $advice,
    ) {
    }

    /** @param  Collection<int, BenchRun>  $runs */
    public static function of(Collection $runs, ?AirAdvice $advice): self
    {
        return new self(
            runs: array_values($runs->map(static fn (BenchRun $run): array => ['air' => (float) $run->air, 'places' => $run->places, 'skips' => $run->skips, 'doubles' => $run->doubles])->all()),
            advice: $advice === null ? null : [
                'air' => $advice->air, 'low' => round($advice->low, 1), 'high' => round($advice->high, 1), 'skips' => round($advice->skips, 4), 'doubles' => round($advice->doubles, 4),
                'in_sight' => $advice->isInSight, 'way' => $advice->way, 'next' => $advice->next, 'gain' => round($advice->gain, 4), 'heavy' => $advice->heavy,
                'curve' => array_map(static fn (array $at): array => ['air' => round($at[0], 2), 'skips' => round($at[1], 4), 'doubles' => round($at[2], 4)], $advice->curve),
            ],
        );
    }
}
