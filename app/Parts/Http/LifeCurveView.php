<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Schema;
use App\Models\Parts\PartType;
use App\Parts\PartLives;
use Ustrel\Core\Parts\Life\Life;
use Ustrel\Core\Parts\Life\LifeCurve;
use Ustrel\Core\Parts\Life\LifeStep;

final readonly class LifeCurveView extends Schema
{
    public function __construct(
        public int $part_type_id,
        public string $name,
        /** That were ever fitted and are known to have run so far */
        public int $parts,
        /** Parts of which it is not on record how far they had run */
        public int $left_out,
        /** Of which worn out or failed; the rest was changed early or still runs */
        public int $ended,
        /** Furrow metres that the longest-running part has reached */
        public float $longest_m,
        /** What half of them reach; null where more than half have not ended */
        public ?float $median_m,
        /** 95% interval; null where too few have ended to tell */
        public ?float $median_low_m,
        /** 95% interval; null where it is open, or too few have ended */
        public ?float $median_high_m,
        /**
         * @var list<array{
         *     ran_m: float,
         *     share: float, // Still running from here on
         *     low: float|null, // 95% interval; null where too few have ended to tell
         *     high: float|null,
         *     at_risk: int, // Parts still running just before
         * }>
         */
        public array $steps,
    ) {
    }

    public static function of(PartType $type, PartLives $lives): self
    {
        $curve = LifeCurve::of($lives->lives);

        return new self(
            part_type_id: $type->id,
            name: $type->name,
            parts: $curve->parts,
            left_out: $lives->leftOut,
            ended: $curve->ended,
            longest_m: max([0.0, ...array_map(static fn (Life $life): float => $life->ran, $lives->lives)]),
            median_m: $curve->median(),
            median_low_m: $curve->medianLow(),
            median_high_m: $curve->medianHigh(),
            steps: array_map(static fn (LifeStep $step): array => [
                'ran_m' => $step->ran, 'share' => $step->share, 'low' => $step->low, 'high' => $step->high, 'at_risk' => $step->atRisk,
            ], $curve->steps),
        );
    }
}
