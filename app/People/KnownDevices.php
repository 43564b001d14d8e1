<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;

/** Which people have signed in on a device before: an encrypted cookie of the device's own, which lets nobody in. */
final class KnownDevices
{
    private const COOKIE = 'ustrel_device';

    /** A tablet of the shop has a few people; the newest of them are known. */
    private const MOST = 8;

    private const DAYS = 400;

    /** @return string|null the device, where this address has signed in on it before */
    public static function of(Request $request, string $email): ?string
    {
        [$device, $people] = self::read($request);

        return in_array(self::digest($device, $email), $people, true) ? $device : null;
    }

    public static function remember(Request $request, string $email): void
    {
        [$device, $people] = self::read($request);
        $people = array_slice(array_unique([self::digest($device, $email), ...$people]), 0, self::MOST);
        Cookie::queue(Cookie::make(self::COOKIE, implode('.', [$device, ...$people]), self::DAYS * 1440));
    }

    /** @return array{string, list<string>} the device and its people; a new device where there is none yet */
    private static function read(Request $request): array
    {
        $kept = $request->cookie(self::COOKIE);
        $parts = is_string($kept) ? explode('.', $kept) : [];

        return [array_shift($parts) ?: bin2hex(random_bytes(12)), $parts];
    }

    private static function digest(string $device, string $email): string
    {
        return substr(hash('sha256', "{$device}|{$email}"), 0, 24);
    }
}
