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
use App\Record\Http\ReceiptsView;
use App\Record\TakeWhole;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\SignOffKind;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Wear\Acres\Residue;

#[OA\Schema(schema: 'DigEntry', description: 'One row that was dug; lengths as they are typed', required: ['id', 'pass', 'row', 'target', 'depths', 'spacings', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'pass', description: '1 for the first, 2 after it was put right', type: 'integer', maximum: 20, minimum: 1),
    new OA\Property(property: 'row', type: 'integer', minimum: 1),
    new OA\Property(property: 'field', type: 'string', maxLength: 80),
    new OA\Property(property: 'target', description: 'Depth that is wanted', type: 'string', maxLength: 20),
    new OA\Property(property: 'spacing', description: 'Of seeds, as it is set', type: 'string', maxLength: 20, nullable: true),
    new OA\Property(property: 'depths', description: 'Of each seed, in the order in which they lie; up to 100', type: 'array', items: new OA\Items(type: 'string', maxLength: 20)),
    new OA\Property(property: 'spacings', description: 'From each seed to the next', type: 'array', items: new OA\Items(type: 'string', maxLength: 20)),
    new OA\Property(property: 'seen', description: 'In the furrow', type: 'array', items: new OA\Items(type: 'string', enum: DigSign::class)),
    new OA\Property(property: 'units', description: 'Of bare figures', type: 'string', enum: UnitSystem::class),
    new OA\Property(property: 'spot', description: 'Where in the field', type: 'string', maxLength: 80),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'mark', description: 'Notch, mark or turn that it stands at, to the tenth', type: 'number', maximum: 100, minimum: 0, nullable: true),
    new OA\Property(property: 'note', type: 'string', maxLength: 300),
    new OA\Property(property: 'confirmed', description: 'A figure that does not fit its row is right', type: 'boolean'),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The dig whose place it takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the one that is superseded', type: 'boolean'),
])]
#[OA\Schema(schema: 'SignOffEntry', required: ['id', 'kind', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'kind', type: 'string', enum: SignOffKind::class),
    new OA\Property(property: 'field', type: 'string', maxLength: 80),
    new OA\Property(property: 'rows', description: 'That did not drop', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'words', type: 'string', maxLength: 300),
    new OA\Property(property: 'answers', description: 'One for each thing that is open', type: 'array', items: new OA\Items(required: ['key', 'answer'], properties: [
        new OA\Property(property: 'key', type: 'string', maxLength: 80),
        new OA\Property(property: 'answer', type: 'string', maxLength: 300),
    ], type: 'object')),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', type: 'boolean'),
])]
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

        return new JsonResponse(FirstPassView::of($planter, $digs, $query->gained($planter, $digs[$planter->season()] ?? new Collection), $query->signOffs($planter), $query->toDig($planter), $still, $open->steps($planter, $still), $rates, new FigureWords($this->user($request)->units)));
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

        return ReceiptsView::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): DigEvents => new DigEvents($of), $digs), 'digs');
    }

    #[OA\Post(path: '/api/planters/{planter}/first-pass/sign-offs', operationId: 'signOff', description: 'Sending it again is harmless', tags: ['field'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SignOffEntry'))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function sign(Request $request, Planter $planter, TakeWhole $take, OpenBeforePlanting $open): JsonResponse
    {
        $body = JsonBody::of($request);

        return ReceiptsView::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): SignOffEvents => new SignOffEvents($of, $open), [$body]));
    }
}
