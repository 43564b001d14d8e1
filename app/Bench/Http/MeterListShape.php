<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Models\Bench\BenchRun;
use App\Models\Bench\Meter;
use App\Models\Bench\MeterMove;
use OpenApi\Attributes as OA;
use Ustrel\Core\Meter\Places\MeterStay;
use Ustrel\Core\Meter\Places\MeterTo;

#[OA\Schema(schema: 'MeterMove', required: ['id', 'meter_id', 'to', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'meter_id', type: 'integer'),
    new OA\Property(property: 'to', type: 'string', enum: MeterTo::class),
    new OA\Property(property: 'planter_id', description: 'Of the row', type: 'integer', nullable: true),
    new OA\Property(property: 'row', type: 'integer', nullable: true),
    new OA\Property(property: 'place', description: 'Which shelf, or with whom it is', type: 'string', maxLength: 120),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The move whose place it takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the move that is superseded', type: 'boolean'),
])]
#[OA\Schema(schema: 'MeterStay', required: ['id', 'to', 'planter_id', 'row', 'place', 'from', 'until'], properties: [
    new OA\Property(property: 'id', description: 'Of the move', type: 'string', format: 'uuid'),
    new OA\Property(property: 'to', type: 'string', enum: MeterTo::class),
    new OA\Property(property: 'planter_id', type: 'integer', nullable: true),
    new OA\Property(property: 'row', type: 'integer', nullable: true),
    new OA\Property(property: 'place', type: 'string'),
    new OA\Property(property: 'from', type: 'string', format: 'date-time'),
    new OA\Property(property: 'until', description: 'Null where it still is there', type: 'string', format: 'date-time', nullable: true),
])]
#[OA\Schema(schema: 'Meter', required: ['id', 'serial', 'note', 'revision', 'stays', 'runs'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'serial', type: 'string'),
    new OA\Property(property: 'note', type: 'string'),
    new OA\Property(property: 'revision', type: 'integer'),
    new OA\Property(property: 'stays', description: 'The newest first', type: 'array', items: new OA\Items(ref: '#/components/schemas/MeterStay')),
    new OA\Property(property: 'runs', description: 'On the stand, the newest first', type: 'array', items: new OA\Items(required: ['id', 'planter_id', 'row', 'singulation', 'seed', 'air', 'happened_at'], properties: [
        new OA\Property(property: 'id', type: 'string', format: 'uuid'),
        new OA\Property(property: 'planter_id', type: 'integer'),
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'singulation', ref: '#/components/schemas/MeterShare'),
        new OA\Property(property: 'seed', type: 'string'),
        new OA\Property(property: 'air', description: 'Inches of water', type: 'number', nullable: true),
        new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    ], type: 'object')),
])]
final class MeterListShape
{
    /**
     * @param  list<MeterStay>  $stays
     * @param  array<string, MeterMove>  $moves  by id
     * @param  list<BenchRun>  $runs
     * @return array<string, mixed>
     */
    public static function meter(Meter $meter, array $stays, array $moves, array $runs): array
    {
        return [
            'id' => $meter->id, 'serial' => $meter->serial, 'note' => $meter->note, 'revision' => $meter->revision,
            'stays' => array_map(static fn (MeterStay $stay): array => self::stay($stay, $moves[$stay->move->id]), array_reverse($stays)),
            'runs' => array_map(static fn (BenchRun $run): array => [
                'id' => $run->id, 'planter_id' => $run->planter_id, 'row' => $run->row_number, 'singulation' => MeterShape::singulation($run->counts()), 'seed' => $run->lotName(),
                'air' => $run->air === null ? null : (float) $run->air, 'happened_at' => $run->happened_at->toIso8601ZuluString(),
            ], $runs),
        ];
    }

    /** @return array<string, mixed> */
    private static function stay(MeterStay $stay, MeterMove $move): array
    {
        return [
            'id' => $move->id, 'to' => $move->to->value, 'planter_id' => $move->planter_id, 'row' => $move->row_number, 'place' => $move->place,
            'from' => $move->happened_at->toIso8601ZuluString('millisecond'), 'until' => $stay->until?->toIso(),
        ];
    }
}
