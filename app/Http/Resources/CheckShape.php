<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Figure;
use Ustrel\Core\Spec\Side;

#[OA\Schema(schema: 'CheckKey', type: 'string', enum: ['opener_blade_diameter', 'blade_contact_length'])]
#[OA\Schema(schema: 'Station', type: 'string', enum: ['opener_blades', 'blade_contact'])]
#[OA\Schema(schema: 'Side', type: 'string', enum: ['left', 'right', 'centre'])]
#[OA\Schema(schema: 'Figure', required: ['mm', 'typed', 'source'], properties: [
    new OA\Property(property: 'mm', type: 'number'),
    new OA\Property(property: 'typed', type: 'string'),
    new OA\Property(property: 'source', type: 'string'),
])]
#[OA\Schema(schema: 'Check', required: ['key', 'station', 'sides', 'figures'], properties: [
    new OA\Property(property: 'key', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'station', ref: '#/components/schemas/Station'),
    new OA\Property(property: 'sides', type: 'array', items: new OA\Items(ref: '#/components/schemas/Side')),
    new OA\Property(property: 'figures', description: 'By name: new, limit, margin or low, high, aim, margin', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Figure')),
])]
final class CheckShape
{
    /** @return array<string, mixed> */
    public static function of(Check $check): array
    {
        return [
            'key' => $check->key->value,
            'station' => $check->key->station()->value,
            'sides' => array_map(static fn (Side $side): string => $side->value, $check->sides),
            'figures' => array_map(self::figure(...), $check->figures),
        ];
    }

    /** @return array<string, mixed> */
    public static function figure(Figure $figure): array
    {
        return [
            'mm' => $figure->length->toMillimetres(),
            'typed' => $figure->length->typed,
            'source' => $figure->source,
        ];
    }
}
