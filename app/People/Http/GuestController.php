<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\People\GuestLinks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class GuestController extends Controller
{
    #[OA\Post(path: '/api/planters/{planter}/guests', operationId: 'makeGuestLink', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['name', 'days'], properties: [
        new OA\Property(property: 'name', description: 'Who it is for', type: 'string', maxLength: 80),
        new OA\Property(property: 'days', type: 'integer', maximum: 400, minimum: 1),
    ]))]
    #[OA\Response(response: 201, description: 'The link by which somebody looks at this planter', content: new OA\JsonContent(ref: '#/components/schemas/NewLink'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    public function store(Request $request, Planter $planter, GuestLinks $links): JsonResponse
    {
        $given = $request->validate(
            ['name' => ['required', 'string', 'max:80'], 'days' => ['required', 'integer:strict', 'between:1,'.GuestLinks::MOST_DAYS]],
            ['name.*' => __('people.name'), 'days.*' => __('people.guest_days')],
        );
        [$guest, $link] = $links->make($this->user($request), $planter, trim($given['name']), $given['days']);

        return new JsonResponse(new NewLinkView($link->address, $guest->link_expires_at ?? now()), 201);
    }
}
