<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Field\FigureWords;
use App\Field\SettingsOfDay;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Planter;
use App\Record\Http\ReceiptsView;
use App\Wear\AcresQuery;
use App\Wear\LogAcres;
use App\Wear\LogCsv;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Ustrel\Core\Wear\Acres\DownforceLevel;
use Ustrel\Core\Wear\Acres\PassKind;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

#[OA\Schema(schema: 'AcresEntry', description: 'Either a line as it is told, with the day, or field and acres', required: ['id', 'day'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'day', description: 'Not in the future; a day in the line goes before it', type: 'string', format: 'date'),
    new OA\Property(property: 'line', description: 'Such as: 62.5 ac, Long Field, popcorn, 5 mph, no-till', type: 'string', maxLength: 300, nullable: true),
    new OA\Property(property: 'field', type: 'string', maxLength: 80, nullable: true),
    new OA\Property(property: 'crop', type: 'string', maxLength: 80, nullable: true),
    new OA\Property(property: 'acres', description: 'Of the whole planter, over 0 to 10,000, to the thousandth', type: 'number', maximum: 10000, nullable: true),
    new OA\Property(property: 'mph', type: 'number', maximum: 30, nullable: true),
    new OA\Property(property: 'soil', type: 'string', enum: Soil::class, nullable: true),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'tillage', type: 'string', enum: Tillage::class, nullable: true),
    new OA\Property(property: 'downforce', description: 'How hard the rows were pressed down', type: 'string', enum: DownforceLevel::class, nullable: true),
    new OA\Property(property: 'severity', description: 'The shop\'s own figure in place of the ground\'s', type: 'number', maximum: 2, minimum: 0.5, nullable: true),
    new OA\Property(property: 'shut_off', type: 'array', items: new OA\Items(ref: '#/components/schemas/ShutOff')),
    new OA\Property(property: 'pass', description: 'planting where it is left out; of products only it wears no row unit', type: 'string', enum: PassKind::class, nullable: true),
    new OA\Property(property: 'lot', description: 'Of seed, by its name', type: 'string', maxLength: 80, nullable: true),
    new OA\Property(property: 'seed_lot_id', description: 'The lot, where it is known; goes before the name', type: 'integer', nullable: true),
    new OA\Property(property: 'left_out', description: 'Products that were to go on and did not', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'population', description: 'Seeds an acre as set, and as changed: 34000; 32000 from 40 ac', type: 'string', maxLength: 200, nullable: true),
    new OA\Property(property: 'products', description: 'Such as: 8 gal/ac starter', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'map_acres', description: 'Its size by the map', type: 'number', maximum: 10000, nullable: true),
    new OA\Property(property: 'around', description: 'What was made do with', type: 'string', maxLength: 200, nullable: true),
    new OA\Property(property: 'until', type: 'string', maxLength: 200, nullable: true),
    new OA\Property(property: 'around_over', description: 'That is over', type: 'boolean'),
    new OA\Property(property: 'note', type: 'string', maxLength: 300),
    new OA\Property(property: 'supersedes', description: 'The line whose place this one takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the line that is superseded', type: 'boolean'),
])]
final class AcresController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/acres', operationId: 'acres', tags: ['acres'])]
    #[OA\Response(response: 200, description: 'What the planter has planted, newest first', content: new OA\JsonContent(ref: '#/components/schemas/Acres'))]
    public function index(Request $request, Planter $planter, AcresQuery $acres): JsonResponse
    {
        return new JsonResponse(AcresView::of($acres->of($planter->load('workshop')), SettingsOfDay::of($planter, new FigureWords($this->user($request)->units))));
    }

    #[OA\Get(path: '/api/planters/{planter}/acres/log.csv', operationId: 'plantingLog', description: 'In the columns that an import reads', tags: ['acres'])]
    #[OA\Response(response: 200, description: 'A table', content: new OA\MediaType(mediaType: 'text/csv'))]
    public function csv(Planter $planter): Response
    {
        return response(LogCsv::of($planter), 200, ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="planting-log.csv"']);
    }

    #[OA\Post(path: '/api/planters/{planter}/acres', operationId: 'logAcres', description: 'Sending it again is harmless', tags: ['acres'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/AcresEntry'))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, Planter $planter, LogAcres $log): JsonResponse
    {
        return ReceiptsView::taken(fn (): array => $log($planter, $this->user($request), [JsonBody::of($request)]));
    }
}
