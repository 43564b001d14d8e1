<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Walk\Board\Http\RibbonRowResource;
use App\Yard\YardPlanter;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;

/** @property YardPlanter $resource */
#[OA\Schema(schema: 'YardPlanter', required: ['id', 'farm', 'name', 'row_count', 'spacing_mm', 'sections', 'season', 'planting_start', 'days_to_planting', 'ribbon', 'share_walked', 'rows_to_change', 'to_decide', 'to_measure_again', 'walk_open', 'last_walk'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'farm', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'row_count', type: 'integer'),
    new OA\Property(property: 'spacing_mm', type: 'number'),
    new OA\Property(property: 'sections', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'season', type: 'integer'),
    new OA\Property(property: 'planting_start', type: 'string', format: 'date', nullable: true),
    new OA\Property(property: 'days_to_planting', type: 'integer', nullable: true),
    new OA\Property(property: 'ribbon', type: 'array', items: new OA\Items(ref: '#/components/schemas/RibbonRow')),
    new OA\Property(property: 'share_walked', description: '0 to 1, of this season\'s newest walk', type: 'number'),
    new OA\Property(property: 'rows_to_change', type: 'integer'),
    new OA\Property(property: 'to_decide', description: 'Places past their limit or failed, and neither seen to nor decided since', type: 'integer'),
    new OA\Property(property: 'to_measure_again', description: 'Places changed since they were read', type: 'integer'),
    new OA\Property(property: 'walk_open', type: 'boolean'),
    new OA\Property(property: 'last_walk', description: 'When the newest walk of any season began', type: 'string', format: 'date-time', nullable: true),
])]
final class YardPlanterResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $planter = $this->resource->planter;
        $walk = $this->resource->newestWalk;

        return [
            'id' => $planter->id,
            'farm' => $planter->farm,
            'name' => $planter->name,
            'row_count' => $planter->row_count,
            'spacing_mm' => (float) $planter->spacing_mm,
            'sections' => $planter->sections,
            'season' => $planter->season(),
            'planting_start' => $planter->planting_start?->iso,
            'days_to_planting' => $this->resource->daysToPlanting,
            'ribbon' => array_map(RibbonRowResource::shape(...), $this->resource->ribbon),
            'share_walked' => round($this->resource->shareWalked, 4),
            'rows_to_change' => $this->resource->rowsToChange,
            'to_decide' => $this->resource->toDecide,
            'to_measure_again' => $this->resource->toMeasureAgain,
            'walk_open' => $walk !== null && ! $walk->isFinished(),
            'last_walk' => $walk?->started_at->toIso8601ZuluString(),
        ];
    }
}
