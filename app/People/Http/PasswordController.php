<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Controller;
use App\Models\User;
use App\People\Devices;
use App\People\Email;
use App\People\Passwords;
use App\People\Tries;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class PasswordController extends Controller
{
    use EntersPeople;

    private const WRONG_A_MINUTE = 5;

    private const LINKS_AN_HOUR = 5;

    #[OA\Post(path: '/api/password/forgot', operationId: 'forgotPassword', description: 'Answers the same whether somebody has that address or not', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['email'], properties: [new OA\Property(property: 'email', type: 'string')]))]
    #[OA\Response(response: 204, description: 'If somebody has that address, a link is on its way')]
    #[OA\Response(ref: '#/components/responses/Refused', response: 429)]
    public function forgot(Request $request, Passwords $passwords, Tries $tries): Response
    {
        $this->countLink($request, $tries);
        $email = Email::normal($request->validate(['email' => self::emailRules()], self::words())['email']);
        $tries->take("forgot|{$email}", self::LINKS_AN_HOUR, 3600);
        // After the answer, so that its time tells nothing either.
        dispatch(static fn () => $passwords->sendLink($email))->afterResponse();

        return response()->noContent();
    }

    #[OA\Post(path: '/api/password/reset', operationId: 'resetPassword', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['link', 'password'], properties: [
        new OA\Property(property: 'link', type: 'string', maxLength: 500),
        new OA\Property(property: 'password', type: 'string'),
    ]))]
    #[OA\Response(response: 200, description: 'Changed and signed in; every other session has ended', content: new OA\JsonContent(ref: '#/components/schemas/Me'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 429)]
    public function reset(Request $request, Passwords $passwords, Tries $tries): MeView
    {
        $this->countLink($request, $tries);
        $secret = $request->validate(['link' => ['required', 'string', 'max:500']], self::words())['link'];
        $password = $this->newPassword($request, self::namesOf($passwords->heldBy($secret)));

        return $this->enter($request, $passwords->resetBy($secret, $password));
    }

    #[OA\Put(path: '/api/me/password', operationId: 'changePassword', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['current', 'password'], properties: [
        new OA\Property(property: 'current', type: 'string'),
        new OA\Property(property: 'password', type: 'string'),
    ]))]
    #[OA\Response(response: 204, description: 'Changed; every other session has ended')]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 429)]
    public function update(Request $request, Passwords $passwords, Tries $tries): Response
    {
        $user = $this->user($request);
        $current = $request->validate(['current' => ['required', 'string', 'max:1000']])['current'];
        $tries->take($key = "password|{$user->id}", self::WRONG_A_MINUTE, 60);
        if (! Hash::check($current, (string) $user->password)) {
            throw ValidationException::withMessages(['current' => __('people.password_wrong')]);
        }
        $tries->giveBack($key);
        $passwords->change($user, $this->newPassword($request, self::namesOf($user)), Devices::here($request));
        // Whoever had seen the id of this session has nothing in hand any more.
        $request->session()->migrate(true);

        return response()->noContent();
    }

    /** @return list<string> */
    private static function namesOf(User $user): array
    {
        return [$user->name, $user->workshop->name, strtok((string) $user->email, '@') ?: ''];
    }
}
