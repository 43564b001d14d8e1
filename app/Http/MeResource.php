<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;

/** @mixin User */
#[OA\Schema(schema: 'Me', required: ['id', 'name', 'workshop', 'time_zone', 'units', 'theme'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'workshop', type: 'string'),
    new OA\Property(property: 'time_zone', description: 'Of the workshop: days begin and end by it', type: 'string'),
    new OA\Property(property: 'units', type: 'string', enum: ['in', 'mm']),
    new OA\Property(property: 'theme', description: 'device: as the device has it', type: 'string', enum: ['device', 'light', 'dark']),
])]
final class MeResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'workshop' => $this->workshop->name,
            'time_zone' => $this->workshop->time_zone,
            'units' => $this->units->value,
            'theme' => $this->theme,
        ];
    }
}
