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
        [$lot, $population] = [$of->lot(), $field['population']];
        if ($population === null) {
            return new self(planter: $field['planter'], field: $field['field'], acres: $field['acres'], units_an_acre: null, units: null, boxes: null, pounds_an_acre: null);
        }
        $tenths = static fn (?float $value): ?float => $value === null ? null : round($value, 1);
        $units = $lot->unitsFor($field['acres'], $population, (float) $of->spare);

        return new self(
            planter: $field['planter'], field: $field['field'], acres: $field['acres'], units_an_acre: round($lot->unitsAnAcre($population), 3),
            units: $tenths($units), boxes: $tenths($lot->boxes($units)), pounds_an_acre: $tenths($of->seed()->poundsOf($population)),
        );
    }
}
