<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Controller;
use App\Models\Parts\PartType;
use App\Parts\PartLivesQuery;
use App\Record\Document;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class PartTypeController extends Controller
{
    #[OA\Get(path: '/api/part-types', operationId: 'partTypes', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'The workshop\'s own catalogue', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/PartType')))]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(PartType::query()->where('workshop_id', $this->user($request)->workshop_id)->orderBy('name')->get()->map(PartTypeView::of(...))->all());
    }

    #[OA\Post(path: '/api/part-types', operationId: 'storePartType', tags: ['parts'])]
    #[OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: '#/components/schemas/PartType'))]
    public function store(Request $request, PartTypeEdit $edit, Document $documents): JsonResponse
    {
        $type = $documents->keep(new PartType(['workshop_id' => $this->user($request)->workshop_id]), $edit->columnsIn($this->user($request)->units), null, 'name', 'part.name_taken');

        return new JsonResponse(PartTypeView::of($type), 201);
    }

    #[OA\Put(path: '/api/part-types/{partType}', operationId: 'updatePartType', tags: ['parts'])]
    #[OA\Response(response: 200, description: 'Changed; what was fitted before keeps the size it was fitted with', content: new OA\JsonContent(ref: '#/components/schemas/PartType'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(Request $request, PartTypeEdit $edit, PartType $partType, Document $documents): JsonResponse
    {
        return new JsonResponse(PartTypeView::of($documents->keep($partType, $edit->columnsIn($this->user($request)->units), $edit->version, 'name', 'part.name_taken')));
    }

    #[OA\Get(path: '/api/part-types/{partType}/lives', operationId: 'partLives', tags: ['parts'])]
    #[OA\Parameter(name: 'against', description: 'Another part type to compare with', in: 'query', schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'The lives that parts of this type have reached on all the shop\'s planters', content: new OA\JsonContent(ref: '#/components/schemas/PartLives'))]
    public function lives(Request $request, PartType $partType, PartLivesQuery $lives): JsonResponse
    {
        $other = null;
        $against = $request->query('against');
        if ($against !== null) {
            abort_unless(is_string($against) && preg_match('/^\d{1,18}$/D', $against) === 1, 404);
            $other = PartType::query()->where('workshop_id', $partType->workshop_id)->findOrFail((int) $against);
        }

        return new JsonResponse(PartLivesView::of($partType, $lives->of($partType), $other, $other === null ? null : $lives->of($other)));
    }
}
