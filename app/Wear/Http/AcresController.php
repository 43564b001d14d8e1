<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Wear\AcresInput;
use App\Wear\AcresQuery;
use App\Wear\LogAcres;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class AcresController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/acres', operationId: 'acres', tags: ['acres'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Response(response: 200, description: 'What the planter has planted, newest first', content: new OA\JsonContent(ref: '#/components/schemas/Acres'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function index(Planter $planter, AcresQuery $acres): JsonResponse
    {
        return new JsonResponse(AcresShape::of($acres->of($planter)));
    }

    #[OA\Post(path: '/api/planters/{planter}/acres', operationId: 'logAcres', description: 'Sending it again is harmless', tags: ['acres'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/AcresEntry'))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Acres'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Acres'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function store(AcresRequest $request, Planter $planter, LogAcres $log, AcresQuery $acres): JsonResponse
    {
        $outcome = $log(
            $planter, $this->user($request), $request->string('id')->lower()->toString(), AcresInput::from($request->entry(), $planter),
            $request->filled('supersedes') ? $request->string('supersedes')->lower()->toString() : null, $request->boolean('withdrawn'),
        );

        return new JsonResponse(AcresShape::of($acres->of($planter)), $outcome->status());
    }
}
