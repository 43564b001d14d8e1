<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets nobody in who could not be given a session: who asks neither from Ustrel's own pages nor as they do. */
final class NeedsSession
{
    public function handle(Request $request, Closure $next): Response
    {
        return $request->hasSession() ? $next($request) : new JsonResponse(['message' => __('people.no_session')], 400);
    }
}
