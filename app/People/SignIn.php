<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Sleep;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/**
 * Looks whether an email and a password go together. Wrong tries are held back for each address at each origin, for each
 * origin, and for each address; a device on which the person has signed in before counts by itself, so that nobody
 * elsewhere can lock its owner out: there, tries are slowed before they are refused.
 */
final readonly class SignIn
{
    private const A_MINUTE_EACH = 5;

    private const A_MINUTE_AN_ORIGIN = 30;

    private const A_QUARTER_HOUR_AN_ADDRESS = 20;

    private const A_MINUTE_A_KNOWN_DEVICE = 20;

    private const LONGEST_DELAY_S = 5;

    /** Of no password; who is not there takes as long to refuse as who is. */
    private const NOBODYS = '$2y$12$zM5m2yP0N0XbZQp3rW9kUOqvGZ6QO1aYQkQ2nJ0d1C0pYw1Yb1fS2';

    public function __construct(private Tries $tries)
    {
    }

    /**
     * @param  string  $email  as Email::normal makes it
     * @param  string  $origin  the address that the try comes from
     * @param  string|null  $device  on which this person has signed in before
     * @return User|null null where they do not go together, or the person is not let in any more
     *
     * @throws TooManyRequestsHttpException
     */
    public function __invoke(string $email, string $password, string $origin, ?string $device): ?User
    {
        $counted = $device === null ? $this->holdBack($email, $origin) : $this->holdBackKnown($email, $device);
        $user = User::query()->letIn()->where('email', $email)->first();
        if (! Hash::check($password, $user->password ?? self::NOBODYS) || $user === null) {
            return null;
        }
        array_map($this->tries->giveBack(...), $counted);
        if (Hash::needsRehash((string) $user->password)) {
            $user->update(['password' => $password]);
        }

        return $user;
    }

    /** @return list<string> what was counted */
    private function holdBack(string $email, string $origin): array
    {
        $limits = [
            "sign-in|{$email}|{$origin}" => [self::A_MINUTE_EACH, 60],
            "sign-in||{$origin}" => [self::A_MINUTE_AN_ORIGIN, 60],
            "sign-in|{$email}|" => [self::A_QUARTER_HOUR_AN_ADDRESS, 900],
        ];
        foreach ($limits as $key => [$most, $seconds]) {
            $this->tries->take($key, $most, $seconds);
        }

        return array_keys($limits);
    }

    /** @return list<string> */
    private function holdBackKnown(string $email, string $device): array
    {
        $key = "sign-in-known|{$email}|{$device}";
        $try = $this->tries->count($key, 60);
        if ($try > self::A_MINUTE_A_KNOWN_DEVICE) {
            throw new TooManyRequestsHttpException(60);
        }
        if ($try > self::A_MINUTE_EACH) {
            Sleep::for(min(self::LONGEST_DELAY_S, $try - self::A_MINUTE_EACH))->seconds();
        }

        return [$key];
    }
}
