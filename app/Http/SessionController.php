<?php

declare(strict_types=1);

namespace App\Http;

use App\Http\Middleware\StaysSignedOut;
use Illuminate\Contracts\Auth\StatefulGuard;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class SessionController extends Controller
{
    #[OA\Post(path: '/api/sign-in', operationId: 'signIn', tags: ['session'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['email', 'password'], properties: [
        new OA\Property(property: 'email', type: 'string'),
        new OA\Property(property: 'password', type: 'string'),
    ]))]
    #[OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(ref: '#/components/schemas/Me'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 429)]
    public function store(Request $request): MeResource
    {
        $credentials = $request->validate(['email' => ['required', 'string', 'max:320'], 'password' => ['required', 'string', 'max:1000']]);
        $credentials['email'] = mb_strtolower(trim($credentials['email']));
        if (! $this->guard()->attempt($credentials, remember: true)) {
            throw ValidationException::withMessages(['email' => __('error.wrong_password')]);
        }
        $request->session()->regenerate();

        return new MeResource($this->user($request)->load('workshop'));
    }

    #[OA\Post(path: '/api/sign-out', operationId: 'signOut', tags: ['session'])]
    #[OA\Response(response: 204, description: 'Signed out')]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    public function destroy(Request $request): Response
    {
        StaysSignedOut::note($request->session());
        $this->guard()->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    private function guard(): StatefulGuard
    {
        /** @var StatefulGuard */
        return Auth::guard('web');
    }
}
