<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Contracts\Session\Session;
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
        if ($request->hasSession() && Cache::has(self::key($request->session()))) {
            $request->session()->invalidate();
            Auth::forgetGuards();
        }

        return $next($request);
    }

    /** To be called before the session is invalidated, while it still has its id. Noted for longer than a session lives. */
    public static function note(Session $session): void
    {
        Cache::put(self::key($session), true, now()->addMinutes(2 * (int) config('session.lifetime')));
    }

    private static function key(Session $session): string
    {
        return 'signed-out:'.$session->getId();
    }
}
