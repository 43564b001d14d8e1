<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Controller;
use App\Models\People\Role;
use App\Models\User;
use App\People\EditPerson;
use App\People\Passwords;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

final class PeopleController extends Controller
{
    #[OA\Get(path: '/api/people', operationId: 'people', tags: ['people'])]
    #[OA\Response(response: 200, description: 'Who works here, who is invited, who looks on', content: new OA\JsonContent(ref: '#/components/schemas/People'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(PeopleView::of($this->user($request)->workshop()->firstOrFail()));
    }

    #[OA\Patch(path: '/api/people/{person}', operationId: 'editPerson', description: 'A guest can only be let go: that ends the link', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(properties: [
        new OA\Property(property: 'role', type: 'string', enum: ['owner', 'technician', 'helper']),
        new OA\Property(property: 'is_active', description: 'false: not let in any more, and out of every session; the record keeps the name', type: 'boolean'),
    ]))]
    #[OA\Response(response: 200, description: 'Changed', content: new OA\JsonContent(ref: '#/components/schemas/Person'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    public function update(Request $request, User $person, EditPerson $edit): JsonResponse
    {
        $given = $request->validate(
            ['role' => ['sometimes', 'string', Rule::in(array_column(Role::INVITED, 'value'))], 'is_active' => ['sometimes', 'boolean:strict']],
            ['role.*' => __('people.role')],
        );
        $role = isset($given['role']) ? Role::from($given['role']) : null;

        return new JsonResponse(PersonView::of($edit($person, $role, $given['is_active'] ?? null)));
    }

    #[OA\Post(path: '/api/people/{person}/reset-link', operationId: 'makeResetLink', tags: ['people'])]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    #[OA\Response(response: 201, description: 'The link by which the person chooses a new password, once', content: new OA\JsonContent(ref: '#/components/schemas/NewLink'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    public function resetLink(User $person, Passwords $passwords): JsonResponse
    {
        return new JsonResponse(new NewLinkView($passwords->linkFor($person), now()->addMinutes(Passwords::minutes())), 201);
    }
}
