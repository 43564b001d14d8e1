<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\SaysAll;
use App\Record\Http\ReceiptsShape;
use App\Record\Outcome;
use App\Record\Receipt;
use App\Walk\Board\WalkNews;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Reading', required: ['id', 'row', 'check', 'side', 'taken_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', description: '0 for a check of the whole planter', type: 'integer', maximum: 64, minimum: 0),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'result', description: 'recorded by default', ref: '#/components/schemas/Result'),
    new OA\Property(property: 'entry', description: 'typed by default; rest_here, rest_of_row and rest_of_station go with looked_sound', ref: '#/components/schemas/Entry'),
    new OA\Property(property: 'typed', description: 'A figure as typed, where the check takes one', type: 'string'),
    new OA\Property(property: 'units', description: 'The system of a bare number', type: 'string', default: 'in', enum: ['in', 'mm']),
    new OA\Property(property: 'state', description: 'Where the check takes no figure', ref: '#/components/schemas/State'),
    new OA\Property(property: 'chips', description: 'Reasons ticked, of those that the check has', type: 'array', items: new OA\Items(ref: '#/components/schemas/Chip')),
    new OA\Property(property: 'confirmed', description: 'Keep it although it is hard to believe', type: 'boolean'),
    new OA\Property(property: 'taken_at', type: 'string', format: 'date-time'),
])]
#[OA\Schema(schema: 'Batch', required: ['receipts', 'news'], properties: [
    new OA\Property(property: 'receipts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Receipt')),
    new OA\Property(property: 'news', ref: '#/components/schemas/WalkNews'),
])]
final class BatchResource extends JsonResource
{
    use SaysAll;

    /** @param  list<Receipt>  $receipts */
    public function __construct(
        private readonly array $receipts,
        private readonly WalkNews $news,
    ) {
        parent::__construct($news);
    }

    public function isLoneConflict(): bool
    {
        return count($this->receipts) === 1 && $this->receipts[0]->outcome === Outcome::Conflict;
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'receipts' => ReceiptsShape::of($this->receipts),
            'news' => (new WalkNewsResource($this->news))->toArray($request),
        ];
    }
}
