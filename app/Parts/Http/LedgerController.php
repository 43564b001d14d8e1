<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Parts\LedgerQuery;
use App\Parts\RecordEvents;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Side;

#[OA\Schema(schema: 'Ledger', required: ['slots', 'fitted', 'shelf'], properties: [
    new OA\Property(property: 'slots', description: 'That each row of this planter has', type: 'array', items: new OA\Items(required: ['slot', 'station', 'sides', 'check', 'measured'], properties: [
        new OA\Property(property: 'slot', ref: '#/components/schemas/Slot'),
        new OA\Property(property: 'station', description: 'Where hands go in to change it', ref: '#/components/schemas/Station'),
        new OA\Property(property: 'sides', type: 'array', items: new OA\Items(ref: '#/components/schemas/Side')),
        new OA\Property(property: 'check', description: 'That its part is looked at by', ref: '#/components/schemas/CheckKey'),
        new OA\Property(property: 'measured', description: 'The part has a size that wears', type: 'boolean'),
    ], type: 'object')),
    new OA\Property(property: 'fitted', description: 'What is fitted now', type: 'array', items: new OA\Items(ref: '#/components/schemas/Fitting')),
    new OA\Property(property: 'shelf', description: 'Parts that came off this planter before their end and are fitted nowhere, each as it was last', type: 'array', items: new OA\Items(ref: '#/components/schemas/Fitting')),
])]
final class LedgerController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/ledger', operationId: 'ledger', tags: ['ledger'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Response(response: 200, description: 'What is fitted where', content: new OA\JsonContent(ref: '#/components/schemas/Ledger'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function show(Planter $planter): JsonResponse
    {
        $sheet = $planter->load('specSheet')->readSheet();
        $slots = [];
        foreach (Slot::cases() as $slot) {
            $check = $sheet->check($slot->checks()[0]);
            if ($check !== null) {
                $slots[] = self::slot($slot, $check);
            }
        }

        return new JsonResponse([
            'slots' => $slots,
            'fitted' => LedgerQuery::fittings($planter)->whereNull('fittings.removed_at')->get()->map(FittingShape::of(...))->all(),
            'shelf' => LedgerQuery::shelf($planter)->map(FittingShape::of(...))->all(),
        ]);
    }

    #[OA\Post(path: '/api/planters/{planter}/ledger', operationId: 'recordEvents', description: 'All of it is written, or nothing. Sending it again is harmless', tags: ['ledger'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['events'], properties: [
        new OA\Property(property: 'events', type: 'array', maxItems: 1000, minItems: 1, items: new OA\Items(ref: '#/components/schemas/LedgerEntry')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Ledger'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Ledger'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function store(LedgerRequest $request, Planter $planter, RecordEvents $record): JsonResponse
    {
        $outcome = $record($planter, $this->user($request), $request->events());

        return $this->show($planter)->setStatusCode($outcome->status());
    }

    /** @return array<string, mixed> */
    private static function slot(Slot $slot, Check $check): array
    {
        return [
            'slot' => $slot->value,
            'station' => $slot->station()->value,
            'sides' => array_map(static fn (Side $side): string => $side->value, $check->sides),
            'check' => $check->key->value,
            'measured' => $check->wear() !== null,
        ];
    }
}
