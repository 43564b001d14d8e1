<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\SaysAll;
use App\Walk\Board\Board;
use App\Walk\Board\Http\CellShape;
use App\Walk\Board\Http\RibbonRowResource;
use App\Walk\Board\Remarks;
use App\Walk\Board\WalkNews;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use OpenApi\Attributes as OA;
use Ustrel\Core\Walk\Pace;
use Ustrel\Core\Walk\Place;

/** @property WalkNews $resource */
#[OA\Schema(schema: 'WalkState', description: 'What a walk guide and its news share', required: ['version', 'revision', 'as_of', 'ribbon', 'whole_planter', 'row_doubts', 'row_bands', 'seconds_a_reading', 'notes', 'photos'], properties: [
    new OA\Property(property: 'version', description: 'Another one means that the figures, the rows or the choice of checks have changed: get the guide again', type: 'string'),
    new OA\Property(property: 'revision', description: 'Of the planter: while it is the same there is nothing new', type: 'integer'),
    new OA\Property(property: 'as_of', description: 'To ask for news since', type: 'string', format: 'date-time'),
    new OA\Property(property: 'ribbon', type: 'array', items: new OA\Items(ref: '#/components/schemas/RibbonRow')),
    new OA\Property(property: 'whole_planter', ref: '#/components/schemas/RibbonRow'),
    new OA\Property(property: 'row_doubts', ref: '#/components/schemas/RowDoubts'),
    new OA\Property(property: 'row_bands', ref: '#/components/schemas/RowBands'),
    new OA\Property(property: 'seconds_a_reading', description: 'This walk\'s own pace; null while too little was read', type: 'number', nullable: true),
    new OA\Property(property: 'notes', description: 'Of this walk, and hard joints of earlier ones', type: 'array', items: new OA\Items(ref: '#/components/schemas/Note')),
    new OA\Property(property: 'photos', type: 'array', items: new OA\Items(ref: '#/components/schemas/Photo')),
])]
#[OA\Schema(schema: 'WalkNews', required: ['cells'], properties: [
    new OA\Property(property: 'cells', description: 'The places that have changed, as they are now', type: 'array', items: new OA\Items(ref: '#/components/schemas/Cell')),
], allOf: [new OA\Schema(ref: '#/components/schemas/WalkState')])]
final class WalkNewsResource extends JsonResource
{
    use SaysAll;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $news = $this->resource;

        return self::state($news) + [
            'cells' => array_map(static fn (Place $place): array => CellShape::of($place, $news->board), $news->places()),
        ];
    }

    /** @return array<string, mixed> */
    public static function state(WalkNews $news): array
    {
        $board = $news->board;
        $remarks = app(Remarks::class);

        return [
            'version' => self::version($board),
            'revision' => $board->planter->revision,
            'as_of' => $news->asOf->toIso(),
            'ribbon' => array_map(RibbonRowResource::shape(...), $board->ribbon),
            'whole_planter' => RibbonRowResource::shape($board->wholePlanter),
            'row_doubts' => (object) GuideShape::rowDoubts($board),
            'row_bands' => (object) GuideShape::rowBands($board),
            'seconds_a_reading' => self::pace($board),
            'notes' => array_map(RemarkShape::note(...), $remarks->notesFor($board->planter, $board->walk)),
            'photos' => $board->walk === null ? [] : array_map(RemarkShape::photo(...), $remarks->photosOfWalk($board->walk)),
        ];
    }

    private static function pace(Board $board): ?float
    {
        $times = array_map(static fn ($reading): int => (int) strtotime($reading->takenAt), array_values($board->current));
        $pace = Pace::secondsAReading($times);

        return $pace === null ? null : round($pace, 2);
    }

    private static function version(Board $board): string
    {
        $walk = $board->walk;
        $shape = $walk === null
            ? [$board->planter->equipment, $board->planter->specSheet->sheet, $board->rowCount]
            : [$walk->sheet, $walk->equipment, $walk->checks, $walk->row_count, $walk->finished_at?->timestamp, $walk->guide_revision];

        return substr(sha1(json_encode($shape, JSON_THROW_ON_ERROR)), 0, 16);
    }
}
