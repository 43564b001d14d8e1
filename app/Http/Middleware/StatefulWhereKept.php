<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Laravel\Sanctum\Http\Middleware\EnsureFrontendRequestsAreStateful;

/** Gives the client its session; who only looks, and has none, is given none: it would be left behind. */
final class StatefulWhereKept extends EnsureFrontendRequestsAreStateful
{
    /** @param  Request  $request */
    public static function fromFrontend($request): bool
    {
        $hasSession = $request->cookies->has((string) config('session.cookie'));

        return ($hasSession || ! $request->isMethodSafe()) && parent::fromFrontend($request);
    }
}
