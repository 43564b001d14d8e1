<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Walk\Walk;
use App\Walk\Board\NewsQuery;
use App\Walk\NoteEvents;
use App\Walk\TakeIntoWalk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'NoteEntry', required: ['id', 'row', 'check', 'side', 'kind', 'text', 'taken_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer', maximum: 64, minimum: 0),
    new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'kind', ref: '#/components/schemas/NoteKind'),
    new OA\Property(property: 'text', description: 'Empty takes back the note that is superseded', type: 'string', maxLength: 1000),
    new OA\Property(property: 'supersedes', description: 'The note whose place this one takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'taken_at', type: 'string', format: 'date-time'),
])]
final class NoteController extends Controller
{
    #[OA\Post(path: '/api/walks/{walk}/notes', operationId: 'storeNote', description: 'Sending it again is harmless', tags: ['walk'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NoteEntry'))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/WalkNews'))]
    #[OA\Response(response: 201, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/WalkNews'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function __invoke(Request $request, Walk $walk, TakeIntoWalk $take, NewsQuery $news): JsonResponse
    {
        [$receipt] = $take($walk, $this->user($request), static fn (Walk $walk): NoteEvents => new NoteEvents($walk), [JsonBody::of($request)]);
        $this->mustBeTaken($receipt, 'note');
        $since = $news->of($walk->load(['planter.specSheet', 'planter.workshop']), $this->since($request));

        return new JsonResponse(WalkNewsView::of($since), $receipt->outcome->status());
    }
}
