<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Actions\Walk\Outcome;
use App\Actions\Walk\Receipt;
use App\Queries\Board;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\WalkOrder;

#[OA\Schema(schema: 'Reading', required: ['id', 'row', 'check', 'side', 'taken_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer', maximum: 48, minimum: 1),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'result', type: 'string', default: 'measured', enum: ['measured', 'not_fitted', 'withdrawn']),
    new OA\Property(property: 'entry', type: 'string', default: 'typed', enum: ['typed', 'same_as_last']),
    new OA\Property(property: 'typed', description: 'A length as typed; needed where measured and typed', type: 'string'),
    new OA\Property(property: 'units', description: 'The unit of a bare number', type: 'string', default: 'in', enum: ['in', 'mm']),
    new OA\Property(property: 'confirmed', description: 'Keep it although it is hard to believe', type: 'boolean'),
    new OA\Property(property: 'taken_at', type: 'string', format: 'date-time'),
])]
#[OA\Schema(schema: 'Receipt', required: ['index', 'id', 'outcome', 'status', 'message', 'doubts'], properties: [
    new OA\Property(property: 'index', description: 'Place in the batch, from 0', type: 'integer'),
    new OA\Property(property: 'id', type: 'string', nullable: true),
    new OA\Property(property: 'outcome', type: 'string', enum: ['stored', 'known', 'doubtful', 'conflict', 'refused']),
    new OA\Property(property: 'status', description: 'The HTTP status the reading would have had alone', type: 'integer'),
    new OA\Property(property: 'message', type: 'string', nullable: true),
    new OA\Property(property: 'doubts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Reason')),
])]
#[OA\Schema(schema: 'Batch', required: ['receipts', 'ribbon', 'cells', 'row_doubts'], properties: [
    new OA\Property(property: 'receipts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Receipt')),
    new OA\Property(property: 'ribbon', type: 'array', items: new OA\Items(ref: '#/components/schemas/RibbonRow')),
    new OA\Property(property: 'cells', description: 'Every place of the walk as it is now', type: 'array', items: new OA\Items(ref: '#/components/schemas/Cell')),
    new OA\Property(property: 'row_doubts', ref: '#/components/schemas/RowDoubt'),
])]
final class BatchResource extends JsonResource
{
    /** @param  non-empty-list<Receipt>  $receipts */
    public function __construct(
        private readonly array $receipts,
        private readonly Board $board,
    ) {
        parent::__construct($board);
    }

    public function isLoneConflict(): bool
    {
        return count($this->receipts) === 1 && $this->receipts[0]->outcome === Outcome::Conflict;
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $route = Route::through($this->board->sheet, $this->board->rowCount, WalkOrder::RowByRow);

        return [
            'receipts' => array_map(static fn (Receipt $receipt): array => [
                'index' => $receipt->index,
                'id' => $receipt->id,
                'outcome' => $receipt->outcome->value,
                'status' => $receipt->outcome->status(),
                'message' => $receipt->message,
                'doubts' => $receipt->doubts,
            ], $this->receipts),
            'ribbon' => array_map(RibbonRowResource::shape(...), $this->board->ribbon),
            'cells' => array_map(fn (Place $place): array => CellShape::of($place, $this->board), $route->places),
            'row_doubts' => (object) GuideShape::rowDoubts($this->board),
        ];
    }
}
