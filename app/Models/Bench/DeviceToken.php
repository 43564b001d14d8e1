<?php

declare(strict_types=1);

namespace App\Models\Bench;

use Laravel\Sanctum\PersonalAccessToken;

/** What a device proves itself by. */
final class DeviceToken extends PersonalAccessToken
{
    /** More digits are no number of ours, and no database looks for them. */
    private const MOST_DIGITS = 18;

    protected $table = 'personal_access_tokens';

    /** @param  string  $token */
    public static function findToken($token): ?PersonalAccessToken
    {
        return preg_match('/^\d{'.(self::MOST_DIGITS + 1).',}\|/', $token) === 1 ? null : parent::findToken($token);
    }
}
