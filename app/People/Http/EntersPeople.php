<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Middleware\StaysSignedOut;
use App\Models\User;
use App\People\Email;
use App\People\GoodPassword;
use App\People\KnownDevices;
use App\People\Tries;
use Closure;
use Illuminate\Contracts\Auth\StatefulGuard;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** What all ways in have in common: a session that begins anew, and who one says to be. */
trait EntersPeople
{
    /** Links are long; whoever tries more of them in a minute is guessing. */
    private const LINKS_A_MINUTE = 30;

    /** Begins a session for a person, and only for this one. */
    private function enter(Request $request, User $user): MeView
    {
        $this->endSession($request);
        $this->guard()->login($user);
        $request->session()->regenerate();
        activity()->causedBy($user)->performedOn($user)->log('signed_in');
        if ($user->email !== null) {
            KnownDevices::remember($request, $user->email);
        }

        return MeView::of($user->load('workshop'));
    }

    private function endSession(Request $request): void
    {
        StaysSignedOut::note($request->session()->getId());
        $this->guard()->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
    }

    private function guard(): StatefulGuard
    {
        /** @var StatefulGuard */
        return Auth::guard('web');
    }

    private function countLink(Request $request, Tries $tries): void
    {
        $tries->take("link|{$request->ip()}", self::LINKS_A_MINUTE, 60);
    }

    /**
     * @param  list<string>  $names  that the password must not be made of
     * @return array{name: string, email: string, password: string} who somebody says to be
     */
    private function person(Request $request, array $names = []): array
    {
        $given = $request->validate(['name' => ['required', 'string', 'max:80'], 'email' => self::emailRules()], self::words());
        $email = Email::normal($given['email']);
        $password = $this->newPassword($request, [...$names, $given['name'], strtok($email, '@') ?: '']);

        return ['name' => trim($given['name']), 'email' => $email, 'password' => $password];
    }

    /** @param  list<string>  $names  that it must not be made of */
    private function newPassword(Request $request, array $names): string
    {
        $short = __('people.password_short', ['least' => GoodPassword::LEAST]);

        return $request->validate(['password' => ['required', 'string', new GoodPassword($names)]], ['password.required' => $short, 'password.string' => $short])['password'];
    }

    /** @return list<string> */
    private static function emailRules(): array
    {
        return ['required', 'string', 'max:254', 'email:rfc'];
    }

    /** @return array<string, string> */
    private static function words(): array
    {
        return ['name.*' => __('people.name'), 'email.*' => __('people.email'), 'link.*' => __('people.link_unknown')];
    }

    private function secret(Request $request): string
    {
        return $request->validate(['link' => ['required', 'string', 'max:200']], self::words())['link'];
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $make  somebody with an address
     * @return T
     */
    private function onePerAddress(Closure $make): mixed
    {
        try {
            return $make();
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['email' => __('people.email_taken')]);
        }
    }
}
