<?php

declare(strict_types=1);

namespace App\Opener\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Opener\ContactQuery;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ContactController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/contact', operationId: 'contact', tags: ['wear'])]
    #[OA\Response(response: 200, description: 'What to do about the contact of each row\'s blades', content: new OA\JsonContent(ref: '#/components/schemas/Contact'))]
    public function __invoke(Planter $planter, ContactQuery $contacts): JsonResponse
    {
        return new JsonResponse(ContactView::of($contacts->of($planter->load(['specSheet', 'workshop']))));
    }
}
