<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;
use App\Models\Bench\SeedLot;

final readonly class SeedFieldView extends Schema
{
    public function __construct(
        public string $planter,
        public string $field,
        public float $acres,
        /** Without spare; null where the field has no population, as are the others */
        public ?float $units_an_acre,
        /** With spare, not rounded up to whole ones */
        public ?float $units,
        /** Null where the lot comes in bags, too */
        public ?float $boxes,
        /** Null where nothing tells how many seeds make a pound, too */
        public ?float $pounds_an_acre,
    ) {
    }

    /** @param  array{planter: string, field: string, acres: float, population: int|null}  $field */
    public static function of(SeedLot $of, array $field): self
    {
        [$lot, $perPound, $population] = [$of->lot(), $of->seed()->seedsPerPound, $field['population']];
        $round = static fn (?float $value, int $places): ?float => $value === null ? null : round($value, $places);
        $units = $population === null ? null : $lot->unitsAnAcre($population) * $field['acres'] * (1 + (float) $of->spare);

        return new self(
            planter: $field['planter'], field: $field['field'], acres: $field['acres'],
            units_an_acre: $population === null ? null : round($lot->unitsAnAcre($population), 3),
            units: $round($units, 1),
            boxes: $units === null ? null : $round($lot->boxes($units), 1),
            pounds_an_acre: $population === null || $perPound === null ? null : round($population / $perPound, 1),
        );
    }
}
