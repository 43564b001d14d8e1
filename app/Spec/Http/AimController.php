<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Controller;
use App\Models\Aim;
use App\Record\KeepListed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Rate\RateBand;
use Ustrel\Core\Spec\Aims;

/** What the shop calls good, by crop and size of seed. */
#[OA\Schema(schema: 'Aim', required: ['id', 'crop', 'size', 'singulation', 'rate_low', 'rate_high', 'depth', 'depth_band', 'emergence_hours', 'spacing_cv', 'revision'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'crop', description: 'Empty for all crops', type: 'string'),
    new OA\Property(property: 'size', type: 'string'),
    new OA\Property(property: 'singulation', type: 'number', nullable: true),
    new OA\Property(property: 'rate_low', type: 'number', nullable: true),
    new OA\Property(property: 'rate_high', type: 'number', nullable: true),
    new OA\Property(property: 'depth', description: 'Millimetres', type: 'number', nullable: true),
    new OA\Property(property: 'depth_band', description: 'Millimetres', type: 'number', nullable: true),
    new OA\Property(property: 'emergence_hours', type: 'number', nullable: true),
    new OA\Property(property: 'spacing_cv', type: 'number', nullable: true),
    new OA\Property(property: 'revision', type: 'integer'),
])]
#[OA\Schema(schema: 'Aims', required: ['aims', 'typical'], properties: [
    new OA\Property(property: 'aims', description: 'By crop and size; those of all crops first', type: 'array', items: new OA\Items(ref: '#/components/schemas/Aim')),
    new OA\Property(property: 'typical', required: ['singulation', 'rate_low', 'rate_high', 'depth_band', 'emergence_hours', 'spacing_cv'], properties: [
        new OA\Property(property: 'singulation', type: 'number'),
        new OA\Property(property: 'rate_low', type: 'number'),
        new OA\Property(property: 'rate_high', type: 'number'),
        new OA\Property(property: 'depth_band', type: 'number'),
        new OA\Property(property: 'emergence_hours', type: 'number'),
        new OA\Property(property: 'spacing_cv', type: 'number'),
    ], type: 'object'),
])]
final class AimController extends Controller
{
    #[OA\Get(path: '/api/aims', operationId: 'aims', tags: ['spec'])]
    #[OA\Response(response: 200, description: 'What the shop says, and what is typical', content: new OA\JsonContent(ref: '#/components/schemas/Aims'))]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse([
            'aims' => Aim::query()->where('workshop_id', $this->user($request)->workshop_id)->orderBy('crop')->orderBy('size')->get()->map(self::shape(...))->all(),
            'typical' => ['singulation' => Aims::SINGULATION, 'rate_low' => -RateBand::TYPICAL, 'rate_high' => RateBand::TYPICAL, 'depth_band' => Aims::DEPTH_BAND, 'emergence_hours' => Aims::EMERGENCE_HOURS, 'spacing_cv' => Aims::SPACING_CV],
        ]);
    }

    #[OA\Post(path: '/api/aims', operationId: 'addAim', tags: ['spec'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/AimEdit'))]
    #[OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/Aim'))]
    public function store(AimRequest $request, KeepListed $keep): JsonResponse
    {
        return new JsonResponse(self::shape($keep($this->user($request)->workshop_id, new Aim, $request->columns(), null)), 201);
    }

    #[OA\Put(path: '/api/aims/{aim}', operationId: 'editAim', tags: ['spec'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/AimEdit'))]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Aim'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(AimRequest $request, Aim $aim, KeepListed $keep): JsonResponse
    {
        return new JsonResponse(self::shape($keep($aim->workshop_id, $aim, $request->columns(), $request->integer('revision'))));
    }

    /** @return array<string, mixed> */
    private static function shape(Aim $aim): array
    {
        return ['id' => $aim->id, 'crop' => $aim->crop, 'size' => $aim->size, 'revision' => $aim->revision] + $aim->figures();
    }
}
