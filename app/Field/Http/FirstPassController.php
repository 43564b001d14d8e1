<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\DigEvents;
use App\Field\FigureWords;
use App\Field\FirstPassQuery;
use App\Field\FoundRates;
use App\Field\OpenBeforePlanting;
use App\Field\SignOffEvents;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Planter;
use App\Record\Http\ReceiptsShape;
use App\Record\TakeWhole;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** The first pass: rows turned by hand, dug, put right, dug again, and signed off. */
final class FirstPassController extends Controller
{
    private const MOST = 100;

    #[OA\Get(path: '/api/planters/{planter}/first-pass', operationId: 'firstPass', tags: ['field'])]
    #[OA\Response(response: 200, description: 'What was dug this season, pass by pass, and what to turn', content: new OA\JsonContent(ref: '#/components/schemas/FirstPass'))]
    public function show(Request $request, Planter $planter, FirstPassQuery $query, OpenBeforePlanting $open, FoundRates $rates): JsonResponse
    {
        $planter->load(['specSheet', 'workshop']);
        $digs = $query->digs($planter);
        $still = $open->of($planter);

        return new JsonResponse(FirstPassShape::of($planter, $digs, $query->gained($planter, $digs[$planter->season()] ?? new Collection), $query->signOffs($planter), $query->toDig($planter), $still, $open->steps($planter, $still), $rates, new FigureWords($this->user($request)->units)));
    }

    #[OA\Post(path: '/api/planters/{planter}/first-pass/digs', operationId: 'keepDigs', description: 'All of them, or nothing; sending it again is harmless', tags: ['field'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['digs'], properties: [
        new OA\Property(property: 'digs', description: '1 to 100', type: 'array', items: new OA\Items(ref: '#/components/schemas/DigEntry')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function dig(Request $request, Planter $planter, TakeWhole $take): JsonResponse
    {
        $digs = JsonBody::list($request, 'digs', self::MOST, 'dig.some');

        return ReceiptsShape::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): DigEvents => new DigEvents($of), $digs), 'digs');
    }

    #[OA\Post(path: '/api/planters/{planter}/first-pass/sign-offs', operationId: 'signOff', description: 'Sending it again is harmless', tags: ['field'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SignOffEntry'))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function sign(Request $request, Planter $planter, TakeWhole $take, OpenBeforePlanting $open): JsonResponse
    {
        $body = JsonBody::of($request);

        return ReceiptsShape::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): SignOffEvents => new SignOffEvents($of, $open), [$body]));
    }
}
