<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\NumberStyle;

/** @mixin User */
#[OA\Schema(schema: 'Me', required: ['id', 'name', 'email', 'role', 'may', 'planter', 'workshop', 'is_demo', 'currency', 'number_style', 'time_zone', 'units', 'theme', 'seal'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', description: 'null for a guest', type: 'string', nullable: true),
    new OA\Property(property: 'role', ref: '#/components/schemas/Role'),
    new OA\Property(property: 'may', description: 'see: look; record: walk and say what was done; set: figures, prices, planters; run: people', type: 'array', items: new OA\Items(type: 'string', enum: ['see', 'record', 'set', 'run'])),
    new OA\Property(property: 'planter', description: 'The one that a guest looks at', type: 'integer', nullable: true),
    new OA\Property(property: 'workshop', type: 'string'),
    new OA\Property(property: 'is_demo', description: 'Made-up data', type: 'boolean'),
    new OA\Property(property: 'currency', description: 'ISO 4217', type: 'string'),
    new OA\Property(property: 'number_style', description: 'How the workshop writes numbers: 1,234.5 or 1.234,5; null where nobody said', type: 'string', enum: NumberStyle::class, nullable: true),
    new OA\Property(property: 'time_zone', description: 'Of the workshop: days begin and end by it', type: 'string'),
    new OA\Property(property: 'units', type: 'string', enum: ['in', 'mm']),
    new OA\Property(property: 'seal', description: 'Key by which the device seals what waits of this person when they sign out; Base64 of 32 bytes', type: 'string'),
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
            'email' => $this->email,
            'role' => $this->role->value,
            'may' => $this->role->abilities(),
            'planter' => $this->planter_id,
            'workshop' => $this->workshop->name,
            'is_demo' => $this->workshop->is_demo,
            'currency' => $this->workshop->currency,
            'number_style' => $this->workshop->number_style?->value,
            'time_zone' => $this->workshop->time_zone,
            'units' => $this->units->value,
            'theme' => $this->theme,
            'seal' => base64_encode(hash_hmac('sha256', "what waits of {$this->id}", (string) config('app.key'), true)),
        ];
    }
}
