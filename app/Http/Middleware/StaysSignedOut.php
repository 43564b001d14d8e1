<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\Response;

/**
 * Keeps a session ended that was signed out of. A request that was under way meanwhile writes its session back as it
 * was, and hands its cookie out again; without this the device would be signed in once more.
 */
final class StaysSignedOut
{
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->hasSession() && self::isNoted($request->session()->getId())) {
            $request->session()->invalidate();
            Auth::forgetGuards();
        }

        return $next($request);
    }

    /**
     * Noted for longer than a session lives.
     *
     * @param  string  $id  of the session, before it is invalidated
     */
    public static function note(string $id): void
    {
        Cache::put(self::key($id), true, now()->addMinutes(2 * (int) config('session.lifetime')));
    }

    public static function isNoted(string $id): bool
    {
        return Cache::has(self::key($id));
    }

    private static function key(string $id): string
    {
        return 'signed-out:'.$id;
    }
}
