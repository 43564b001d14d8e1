<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Record\Import\CsvFile;
use App\Record\Import\RefusedFile;
use App\Yard\RowsCsv;
use App\Yard\SavePlanter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class PlanterController extends Controller
{
    #[OA\Post(path: '/api/planters', operationId: 'makePlanter', tags: ['planter'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/PlanterEdit'))]
    #[OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: '#/components/schemas/Planter'))]
    public function store(PlanterRequest $request, SavePlanter $save): JsonResponse
    {
        $planter = $save(new Planter(['workshop_id' => $this->user($request)->workshop_id]), $request->fields());

        return new JsonResponse(PlanterView::of($planter), 201);
    }

    #[OA\Get(path: '/api/planters/{planter}', operationId: 'planter', tags: ['planter'])]
    #[OA\Response(response: 200, description: 'The planter', content: new OA\JsonContent(ref: '#/components/schemas/Planter'))]
    public function show(Planter $planter): PlanterView
    {
        return PlanterView::of($planter->load('specSheet'));
    }

    #[OA\Put(path: '/api/planters/{planter}', operationId: 'editPlanter', tags: ['planter'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/PlanterEdit'))]
    #[OA\Response(response: 200, description: 'Kept; an open walk follows', content: new OA\JsonContent(ref: '#/components/schemas/Planter'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(PlanterRequest $request, Planter $planter, SavePlanter $save): PlanterView
    {
        return PlanterView::of($save($planter, $request->fields(), $request->string('version')->toString() ?: null));
    }

    #[OA\Get(path: '/api/planters/{planter}/rows.csv', operationId: 'exportRows', description: 'Columns: docs/formats.md', tags: ['planter'])]
    #[OA\Response(response: 200, description: 'What each row has, one a line', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))]
    public function rows(Planter $planter): Response
    {
        return self::file((new RowsCsv($planter->load('specSheet')))->write(), $planter, 'rows.csv', 'text/csv; charset=UTF-8');
    }

    #[OA\Post(path: '/api/planters/{planter}/rows', operationId: 'readRows', description: 'Reads a table of rows; nothing is kept', tags: ['planter'])]
    #[OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(required: ['file'], properties: [new OA\Property(property: 'file', type: 'string', format: 'binary')])))]
    #[OA\Response(response: 200, description: 'The rows as they were read', content: new OA\JsonContent(ref: '#/components/schemas/PlanterRows'))]
    public function readRows(Request $request, Planter $planter): PlanterRowsView
    {
        $request->validate(['file' => ['required', 'file', 'max:1024']], ['file.*' => __('season.file')]);
        try {
            return new PlanterRowsView(...(new RowsCsv($planter->load('specSheet')))->read(CsvFile::open((string) $request->file('file')?->getRealPath())));
        } catch (RefusedFile $refused) {
            throw ValidationException::withMessages(['file' => $refused->getMessage()]);
        }
    }
}
