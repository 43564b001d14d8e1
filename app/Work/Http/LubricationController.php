<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Controller;
use App\Work\KeepLubrication;
use App\Work\ShopLubrication;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Ustrel\Core\Work\Lubricant;
use Ustrel\Core\Work\Lubrication;
use Ustrel\Core\Work\LubricationRounds;

/** What the shop lubricates, how long it takes and how often. */
#[OA\Schema(schema: 'LubricationPoint', required: ['point', 'name', 'own', 'per', 'minutes', 'product', 'rounds', 'acres', 'hours', 'off', 'revision'], properties: [
    new OA\Property(property: 'point', description: 'Its key, or a UUID for one of the shop’s own', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'own', description: 'The shop has added it', type: 'boolean'),
    new OA\Property(property: 'per', type: 'string', enum: ['row', 'planter']),
    new OA\Property(property: 'minutes', description: 'On each row, or on the planter', type: 'number'),
    new OA\Property(property: 'product', type: 'string', enum: Lubricant::class),
    new OA\Property(property: 'rounds', type: 'string', enum: LubricationRounds::class),
    new OA\Property(property: 'acres', description: 'Of each row, after which it is due again within the season', type: 'number', nullable: true),
    new OA\Property(property: 'hours', description: 'Of planting, the same', type: 'integer', nullable: true),
    new OA\Property(property: 'off', description: 'It is not lubricated here', type: 'boolean'),
    new OA\Property(property: 'revision', description: '0 where the shop has changed nothing', type: 'integer'),
])]
final class LubricationController extends Controller
{
    #[OA\Get(path: '/api/lubrication', operationId: 'lubrication', tags: ['work'])]
    #[OA\Response(response: 200, description: 'All points, typical ones first', content: new OA\JsonContent(required: ['points'], properties: [new OA\Property(property: 'points', type: 'array', items: new OA\Items(ref: '#/components/schemas/LubricationPoint'))]))]
    public function index(Request $request): JsonResponse
    {
        $shop = ShopLubrication::of($this->user($request)->workshop->load('lubricationPoints'));

        return new JsonResponse(['points' => array_map(static fn (array $of): array => self::shape($of, $shop), $shop->all())]);
    }

    #[OA\Put(path: '/api/lubrication/{point}', operationId: 'keepLubrication', description: 'Changes a typical point for this shop, or adds or changes one of its own; sending it again is harmless', tags: ['work'])]
    #[OA\Parameter(name: 'point', description: 'Its key, or a UUID made on the device', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/LubricationPoint'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(Request $request, LubricationEdit $edit, string $point, KeepLubrication $keep): JsonResponse
    {
        $workshop = $this->user($request)->workshop;
        $kept = $keep($workshop->id, $point, $edit->columns(), $edit->revision);

        return new JsonResponse(self::shape($kept->shape(), ShopLubrication::of($workshop->load('lubricationPoints'))));
    }

    /**
     * @param  array<string, mixed>  $of  shape: core/jobs/lubrication.json
     * @return array<string, mixed>
     */
    private static function shape(array $of, ShopLubrication $shop): array
    {
        $said = $shop->said->get($of['point']);

        return [
            'point' => $of['point'], 'name' => $shop->name($of['point']), 'own' => ! in_array($of['point'], array_column(Lubrication::points(), 'point'), true), 'per' => $of['per'], 'minutes' => (float) $of['minutes'],
            'product' => $of['product'], 'rounds' => $of['rounds'], 'acres' => $of['acres'] ?? null, 'hours' => $of['hours'] ?? null, 'off' => $said->is_off ?? false, 'revision' => $said->revision ?? 0,
        ];
    }
}
