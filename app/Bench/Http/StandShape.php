<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Stand\EndRun;
use App\Models\Bench\StandRun;
use OpenApi\Attributes as OA;
use Ustrel\Core\Meter\Stage;

#[OA\Schema(schema: 'StandRun', description: 'A run on a test stand', required: ['id', 'row', 'stage', 'state', 'seed', 'disc', 'cells', 'turns', 'air', 'air_seen', 'turns_seen', 'places', 'practice', 'seeds', 'counts', 'seeds_a_second', 'seeds_due_a_second', 'line', 'refused_lines', 'refused', 'figures'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'stage', type: 'string', enum: Stage::class),
    new OA\Property(property: 'state', description: 'short: over with too few seeds to tell anything', type: 'string', enum: ['waiting', 'running', 'ending', 'ended', 'short']),
    new OA\Property(property: 'seed', type: 'string'),
    new OA\Property(property: 'disc', type: 'string'),
    new OA\Property(property: 'cells', description: 'Of the disc or plate', type: 'integer'),
    new OA\Property(property: 'turns', description: 'A minute', type: 'number', nullable: true),
    new OA\Property(property: 'air', description: 'Inches of water, as it is set', type: 'number', nullable: true),
    new OA\Property(property: 'turns_seen', description: 'A minute, as the stand tells', type: 'number', nullable: true),
    new OA\Property(property: 'air_seen', description: 'Inches of water, as the stand tells', type: 'number', nullable: true),
    new OA\Property(property: 'places', description: 'That are to be run', type: 'integer'),
    new OA\Property(property: 'practice', description: 'The made-up stand', type: 'boolean'),
    new OA\Property(property: 'seeds', description: 'That dropped so far', type: 'integer'),
    new OA\Property(property: 'counts', description: 'So far; null as long as there are too few', required: ['places', 'skips', 'doubles', 'singulation'], properties: [
        new OA\Property(property: 'places', type: 'integer'),
        new OA\Property(property: 'skips', type: 'integer'),
        new OA\Property(property: 'doubles', type: 'integer'),
        new OA\Property(property: 'singulation', ref: '#/components/schemas/MeterShare'),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'seeds_a_second', description: 'Places that came past', type: 'number', nullable: true),
    new OA\Property(property: 'seeds_due_a_second', description: 'As it is set up', type: 'number', nullable: true),
    new OA\Property(property: 'line', description: 'Where the last seeds dropped, in places from the first of them on', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'refused_lines', description: 'That could not be read', type: 'integer'),
    new OA\Property(property: 'refused', description: 'Why, the last of them', type: 'string'),
    new OA\Property(property: 'figures', ref: '#/components/schemas/RunFigures', nullable: true),
])]
#[OA\Schema(schema: 'RunFigures', description: 'What the seeds of a run told', required: ['multiple_index', 'miss_index', 'feed_index', 'precision', 'every', 'skipping', 'doubling', 'seeds_to_name'], properties: [
    new OA\Property(property: 'multiple_index', description: 'Share of spacings, ISO 7256-1', type: 'number'),
    new OA\Property(property: 'miss_index', type: 'number'),
    new OA\Property(property: 'feed_index', type: 'number'),
    new OA\Property(property: 'precision', description: 'Scatter of single spacings, as a share of what they should be', type: 'number', nullable: true),
    new OA\Property(property: 'every', description: 'Milliseconds from one place to the next', type: 'number'),
    new OA\Property(property: 'skipping', description: 'Cells that skip apart from chance', type: 'array', items: new OA\Items(ref: '#/components/schemas/BadCell')),
    new OA\Property(property: 'doubling', type: 'array', items: new OA\Items(ref: '#/components/schemas/BadCell')),
    new OA\Property(property: 'seeds_to_name', description: 'That it takes to name a cell that misses every other turn', type: 'integer', nullable: true),
])]
#[OA\Schema(schema: 'BadCell', required: ['cell', 'wrong', 'turns'], properties: [
    new OA\Property(property: 'cell', description: 'From 1 at the first seed of the run', type: 'integer'),
    new OA\Property(property: 'wrong', type: 'integer'),
    new OA\Property(property: 'turns', type: 'integer'),
])]
final class StandShape
{
    private const LINE = 48;

    /** @return array<string, mixed> */
    public static function of(StandRun $run): array
    {
        $times = $run->times();
        $figures = EndRun::figures($run);
        $every = $run->every();
        $last = array_slice($times, -self::LINE);

        return [
            'id' => $run->id, 'row' => $run->row_number, 'stage' => $run->stage->value, 'state' => $run->state, 'seed' => $run->seed, 'disc' => $run->disc,
            'cells' => $run->cells, 'turns' => self::number($run->turns), 'air' => self::number($run->air), 'air_seen' => self::number($run->air_seen), 'turns_seen' => self::number($run->turns_seen), 'places' => $run->places,
            'practice' => $run->practice !== null, 'seeds' => count($times),
            'counts' => $figures === null ? null : [
                'places' => $figures->counts->places, 'skips' => $figures->counts->skips, 'doubles' => $figures->counts->doubles,
                'singulation' => MeterShape::singulation($figures->counts),
            ],
            'seeds_a_second' => $figures === null ? null : round(1000 / $figures->every, 1), 'seeds_due_a_second' => $every === null ? null : round(1000 / $every, 1),
            'line' => $figures === null ? [] : array_map(static fn (float $ms): float => round(($ms - $last[0]) / $figures->every, 2), $last),
            'refused_lines' => $run->refused_lines, 'refused' => $run->refused, 'figures' => $run->figures,
        ];
    }

    private static function number(?string $of): ?float
    {
        return $of === null ? null : (float) $of;
    }
}
