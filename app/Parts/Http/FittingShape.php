<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Parts\FittedPart;
use App\Parts\MovedShims;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Gate;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Fitting', description: 'One part in one slot over a span of time', required: ['id', 'row', 'slot', 'side', 'part_id', 'part_type_id', 'part', 'used', 'size_mm', 'ran_before_m', 'shims', 'cost', 'note', 'fitted_at', 'fitted_by', 'removed_at', 'removal_reason', 'run_m', 'part_ran_m'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'slot', ref: '#/components/schemas/Slot'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'part_id', description: 'The piece itself, wherever it goes', type: 'string', format: 'uuid'),
    new OA\Property(property: 'part_type_id', type: 'integer', nullable: true),
    new OA\Property(property: 'part', description: 'Name of the part type; null where nobody knows', type: 'string', nullable: true),
    new OA\Property(property: 'used', type: 'boolean'),
    new OA\Property(property: 'size_mm', description: 'When fitted', type: 'number', nullable: true),
    new OA\Property(property: 'ran_before_m', description: 'Furrow metres that it had run before', type: 'number'),
    new OA\Property(property: 'shims', type: 'integer', nullable: true),
    new OA\Property(property: 'cost', type: 'number', nullable: true),
    new OA\Property(property: 'note', type: 'string'),
    new OA\Property(property: 'fitted_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'fitted_by', type: 'string'),
    new OA\Property(property: 'removed_at', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'removal_reason', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/RemovalReason')]),
    new OA\Property(property: 'run_m', description: 'Furrow metres that it has run here', type: 'number'),
    new OA\Property(property: 'part_ran_m', description: 'Furrow metres that the piece has run altogether, wherever it was', type: 'number'),
])]
#[OA\Schema(schema: 'ShimMove', required: ['id', 'row', 'side', 'pairs', 'contact_before_mm', 'note', 'happened_at', 'by'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'side', description: 'centre for both', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'pairs', description: 'Added on each side, or on that one; negative for taken out', type: 'integer'),
    new OA\Property(property: 'contact_before_mm', type: 'number', nullable: true),
    new OA\Property(property: 'note', type: 'string'),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'by', type: 'string'),
])]
final class FittingShape
{
    /** @return array<string, mixed> */
    public static function of(FittedPart $fitting): array
    {
        return [
            'id' => $fitting->id,
            'row' => $fitting->row,
            'slot' => $fitting->slot,
            'side' => $fitting->side,
            'part_id' => $fitting->partId,
            'part_type_id' => $fitting->partTypeId,
            'part' => $fitting->partName,
            'used' => $fitting->used,
            'size_mm' => $fitting->size === null ? null : (float) $fitting->size,
            'ran_before_m' => (float) $fitting->ranBefore,
            'shims' => $fitting->shims,
            // What the shop pays is the shop's.
            'cost' => $fitting->cost === null || Gate::denies('record') ? null : (float) $fitting->cost,
            'note' => $fitting->note,
            'fitted_at' => self::moment($fitting->fittedAt),
            'fitted_by' => $fitting->fittedBy,
            'removed_at' => $fitting->removedAt === null ? null : self::moment($fitting->removedAt),
            'removal_reason' => $fitting->removalReason,
            'run_m' => round($fitting->ran, 1),
            'part_ran_m' => round($fitting->partRan, 1),
        ];
    }

    /** @return array<string, mixed> */
    public static function shimMove(MovedShims $move): array
    {
        return [
            'id' => $move->id,
            'row' => $move->row,
            'side' => $move->side,
            'pairs' => $move->pairs,
            'contact_before_mm' => $move->contactBefore,
            'note' => $move->note,
            'happened_at' => $move->at,
            'by' => $move->by,
        ];
    }

    private static function moment(string $at): string
    {
        return CarbonImmutable::parse($at)->utc()->format('Y-m-d\TH:i:s.v\Z');
    }
}
