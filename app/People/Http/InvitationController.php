<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Controller;
use App\Models\People\Invitation;
use App\Models\People\Role;
use App\People\AcceptInvitation;
use App\People\Email;
use App\People\Invite;
use App\People\Tries;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

final class InvitationController extends Controller
{
    use EntersPeople;

    private const AN_HOUR = 30;

    #[OA\Post(path: '/api/people/invitations', operationId: 'invite', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['role'], properties: [
        new OA\Property(property: 'role', type: 'string', enum: ['owner', 'technician', 'helper']),
        new OA\Property(property: 'email', description: 'Whom alone it is for, and who gets it by mail; left out: whoever has the link', type: 'string', nullable: true),
    ]))]
    #[OA\Response(response: 201, description: 'The link', content: new OA\JsonContent(ref: '#/components/schemas/NewLink'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 429)]
    public function store(Request $request, Invite $invite, Tries $tries): JsonResponse
    {
        $given = $request->validate(
            ['role' => ['required', 'string', Rule::in(array_column(Role::INVITED, 'value'))], 'email' => ['nullable', 'string', 'max:254', 'email:rfc']],
            ['role.*' => __('people.role'), 'email.*' => __('people.email')],
        );
        $tries->take("invite|{$this->user($request)->workshop_id}", self::AN_HOUR, 3600);
        $email = $given['email'] ?? null;
        [$invitation, $link] = $invite($this->user($request)->load('workshop'), Role::from($given['role']), $email === null ? null : Email::normal($email));

        return new JsonResponse(new NewLinkView($link->address, $invitation->expires_at), 201);
    }

    #[OA\Delete(path: '/api/people/invitations/{invitation}', operationId: 'withdrawInvitation', tags: ['people'])]
    #[OA\Response(response: 204, description: 'Taken back')]
    #[OA\Response(response: 409, description: 'Somebody joined by it already', content: new OA\JsonContent(ref: '#/components/schemas/Refusal'))]
    public function destroy(Invitation $invitation): Response
    {
        Invitation::query()->whereKey($invitation->id)->whereNull('accepted_at')->whereNull('withdrawn_at')->update(['withdrawn_at' => now()]);
        if ($invitation->refresh()->accepted_at !== null) {
            throw new ConflictHttpException(__('people.invitation_accepted'));
        }

        return response()->noContent();
    }

    #[OA\Post(path: '/api/invitations/look', operationId: 'lookAtInvitation', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/LinkSecret'))]
    #[OA\Response(response: 200, description: 'What it invites to', content: new OA\JsonContent(required: ['workshop', 'role', 'email', 'by'], properties: [
        new OA\Property(property: 'workshop', type: 'string'),
        new OA\Property(property: 'role', ref: '#/components/schemas/Role'),
        new OA\Property(property: 'email', description: 'Whom alone it is for', type: 'string', nullable: true),
        new OA\Property(property: 'by', description: 'Who invites', type: 'string'),
    ]))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 429)]
    public function look(Request $request, AcceptInvitation $accept, Tries $tries): JsonResponse
    {
        $this->countLink($request, $tries);
        $invitation = $accept->look($this->secret($request))->load(['workshop', 'maker']);

        return new JsonResponse(['workshop' => $invitation->workshop->name, 'role' => $invitation->role->value, 'email' => $invitation->email, 'by' => $invitation->maker->name]);
    }

    #[OA\Post(path: '/api/invitations/accept', operationId: 'acceptInvitation', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['link', 'name', 'email', 'password'], properties: [
        new OA\Property(property: 'link', type: 'string', maxLength: 200),
        new OA\Property(property: 'name', type: 'string', maxLength: 80),
        new OA\Property(property: 'email', type: 'string'),
        new OA\Property(property: 'password', type: 'string'),
    ]))]
    #[OA\Response(response: 201, description: 'Joined and signed in', content: new OA\JsonContent(ref: '#/components/schemas/Me'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 429)]
    public function accept(Request $request, AcceptInvitation $accept, Tries $tries): JsonResponse
    {
        $this->countLink($request, $tries);
        $secret = $this->secret($request);
        $person = $this->person($request, [$accept->look($secret)->load('workshop')->workshop->name]);
        $user = $this->onePerAddress(static fn () => $accept($secret, ...$person));

        return new JsonResponse($this->enter($request, $user), 201);
    }
}
