<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Refuses a page that speaks for one person with the session of another: somebody else has signed in on the same
 * device meanwhile. So nobody's readings go up under another name.
 */
final class SpeaksForItself
{
    /** @throws AuthenticationException */
    public function handle(Request $request, Closure $next): Response
    {
        $speaker = $request->header('X-Ustrel-User');
        $isOther = $speaker !== null && $speaker !== (string) $request->user()?->getAuthIdentifier();

        return $isOther ? throw new AuthenticationException : $next($request);
    }
}
