<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Controller;
use App\People\Email;
use App\People\GuestLinks;
use App\People\KnownDevices;
use App\People\SignIn;
use App\People\Tries;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class SessionController extends Controller
{
    use EntersPeople;

    #[OA\Post(path: '/api/sign-in', operationId: 'signIn', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['email', 'password'], properties: [
        new OA\Property(property: 'email', type: 'string'),
        new OA\Property(property: 'password', type: 'string'),
    ]))]
    #[OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(ref: '#/components/schemas/Me'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 429)]
    public function store(Request $request, SignIn $signIn): MeView
    {
        ['email' => $typed, 'password' => $password] = $request->validate(['email' => ['required', 'string', 'max:320'], 'password' => ['required', 'string', 'max:1000']]);
        $email = Email::normal($typed);
        $user = $signIn($email, $password, (string) $request->ip(), KnownDevices::of($request, $email))
            ?? throw ValidationException::withMessages(['email' => __('error.wrong_password')]);

        return $this->enter($request, $user);
    }

    #[OA\Post(path: '/api/guest', operationId: 'enterAsGuest', description: 'With the secret of a guest link, what stands behind its #', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/LinkSecret'))]
    #[OA\Response(response: 200, description: 'Looking at one planter', content: new OA\JsonContent(ref: '#/components/schemas/Me'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 429)]
    public function guest(Request $request, GuestLinks $links, Tries $tries): MeView
    {
        $this->countLink($request, $tries);

        return $this->enter($request, $links->guest($this->secret($request)));
    }

    #[OA\Post(path: '/api/sign-out', operationId: 'signOut', tags: ['people'])]
    #[OA\Response(response: 204, description: 'Signed out')]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    public function destroy(Request $request): Response
    {
        $this->endSession($request);

        return response()->noContent();
    }
}
