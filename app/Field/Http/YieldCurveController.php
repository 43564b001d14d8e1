<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\SetYieldCurve;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Record\Fields;
use App\Record\Refused;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\UnitSystem;

/** What the shop itself says that a crop yields at each stand: by it a short stand is told in money. */
final class YieldCurveController extends Controller
{
    #[OA\Put(path: '/api/workshop/yield-curve', operationId: 'setYieldCurve', description: 'Of one crop; without points it is taken away', tags: ['field'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['crop'], properties: [
        new OA\Property(property: 'crop', type: 'string', maxLength: 80),
        new OA\Property(property: 'unit', description: 'That the yield is told in', type: 'string', maxLength: 20),
        new OA\Property(property: 'price', description: 'Of one of them, in the currency of the shop', type: 'number', maximum: 100000, minimum: 0),
        new OA\Property(property: 'points', description: 'Plants and yield an acre, or a hectare: `26,000 180; 30,000 192; 34k 200`', type: 'string', maxLength: 400),
        new OA\Property(property: 'units', description: 'An acre by default', type: 'string', enum: UnitSystem::class),
    ]))]
    #[OA\Response(response: 200, description: 'All curves of the shop', content: new OA\JsonContent(required: ['curves'], properties: [
        new OA\Property(property: 'curves', type: 'array', items: new OA\Items(ref: '#/components/schemas/YieldCurve')),
    ], type: 'object'))]
    public function update(Request $request, SetYieldCurve $set): JsonResponse
    {
        try {
            $workshop = $set($this->user($request)->workshop_id, Fields::of(JsonBody::of($request), 'yield.item'));
        } catch (Refused $refused) {
            throw ValidationException::withMessages([$refused->field => $refused->getMessage()]);
        }

        return new JsonResponse(['curves' => YieldCurveView::all($workshop, $this->user($request)->units)]);
    }
}
