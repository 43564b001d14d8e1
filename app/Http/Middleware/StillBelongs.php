<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets nobody on who has been let go meanwhile, or whose link has ended; and no device, which has ways of its own. */
final class StillBelongs
{
    /** @throws AuthenticationException */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();

        return ! $user instanceof User || ! $user->isLetIn() ? throw new AuthenticationException : $next($request);
    }
}
