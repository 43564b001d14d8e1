<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Glance', description: 'One line a station, front to back', type: 'array', items: new OA\Items(required: ['station', 'places'], properties: [
    new OA\Property(property: 'station', ref: '#/components/schemas/Station'),
    new OA\Property(property: 'places', description: 'For each row from the left the place that matters most, by its number in the list; null where the row has none', type: 'array', items: new OA\Items(type: 'integer', nullable: true)),
], type: 'object'))]
final class GlanceShape
{
    /**
     * @param  array<string, list<int|null>>  $glance  by station
     * @return list<array{station: string, places: list<int|null>}>
     */
    public static function of(array $glance): array
    {
        return array_map(static fn (string $station, array $places): array => ['station' => $station, 'places' => $places], array_keys($glance), $glance);
    }
}
