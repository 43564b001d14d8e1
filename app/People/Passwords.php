<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use App\People\Mail\ResetMail;
use Illuminate\Auth\Passwords\PasswordBroker;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;
use Illuminate\Validation\ValidationException;

/** New passwords: chosen by who knows the old one, or by a link that works once. */
final readonly class Passwords
{
    public function __construct(private Devices $devices)
    {
    }

    /** @return int for which a link is good */
    public static function minutes(): int
    {
        return (int) config('auth.passwords.users.expire');
    }

    /**
     * @param  string|null  $root  of the address; by default what the caller has in front
     *
     * @throws ValidationException for somebody who has no password
     */
    public function linkFor(User $person, ?string $root = null): string
    {
        if ($person->email === null || $person->deactivated_at !== null) {
            throw ValidationException::withMessages(['person' => __($person->email === null ? 'people.is_guest' : 'people.is_inactive')]);
        }

        // Of several that are made at once the last is good.
        $token = DB::transaction(function () use ($person): string {
            User::query()->whereKey($person->id)->lockForUpdate()->firstOrFail();

            return $this->broker()->createToken($person);
        });

        return ($root ?? url('/'))."/reset#{$token}.".rtrim(strtr(base64_encode($person->email), '+/', '-_'), '=');
    }

    /** By mail, to whoever has that address; whether somebody has is not told. Anybody may ask: what host they named is not gone by. */
    public function sendLink(string $email): void
    {
        $person = User::query()->letIn()->where('email', $email)->first();
        if ($person !== null && ! $this->broker()->getRepository()->recentlyCreatedToken($person)) {
            Mail::to($email)->send(new ResetMail($this->linkFor($person, (string) config('app.url'))));
        }
    }

    /**
     * @param  string  $secret  what stands behind the # of the link
     * @return User who it is for
     *
     * @throws ValidationException where it was used or is too old
     */
    public function heldBy(string $secret): User
    {
        [$token, $email] = explode('.', $secret, 2) + [1 => ''];
        $email = (string) base64_decode(strtr($email, '-_', '+/'));
        // What is no text was never in a link of ours.
        $person = mb_check_encoding($email, 'UTF-8') && ! str_contains($email, "\0") ? User::query()->letIn()->where('email', $email)->first() : null;

        return $person !== null && $this->broker()->tokenExists($person, $token) ? $person : throw NotLetIn::because('reset_bad');
    }

    /** By link. Every session of the person ends. */
    public function resetBy(string $secret, string $password): User
    {
        return DB::transaction(function () use ($secret, $password): User {
            // Of two that use a link at once the second finds it used.
            User::query()->whereKey($this->heldBy($secret)->id)->lockForUpdate()->firstOrFail();
            $person = $this->heldBy($secret);
            $this->broker()->deleteToken($person);
            $this->change($person, $password, null);

            return $person;
        });
    }

    /** @param  string|null  $session  id of the one that goes on; all others end */
    public function change(User $person, string $password, ?string $session): void
    {
        $person->update(['password' => $password]);
        activity()->performedOn($person)->log('password_changed');
        $this->devices->endAll($person, $session);
    }

    private function broker(): PasswordBroker
    {
        /** @var PasswordBroker */
        return Password::broker();
    }
}
