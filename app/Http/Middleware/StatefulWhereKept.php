<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Laravel\Sanctum\Http\Middleware\EnsureFrontendRequestsAreStateful;
use Symfony\Component\HttpFoundation\Response;

/** Gives the client its session; who only looks, and has none, is given none: it would be left behind. */
final class StatefulWhereKept extends EnsureFrontendRequestsAreStateful
{
    private const NOBODY = [401, 419];

    /**
     * An answer to nobody, or to who has signed out meanwhile, hands no cookie out: where it comes late it would take the place of
     * the session that somebody has signed in to since.
     *
     * @param  Request  $request
     * @param  Closure(Request): Response  $next
     */
    public function handle($request, $next): Response
    {
        $response = parent::handle($request, $next);
        $isUnderWay = $request->isMethodSafe() && $request->hasSession() && StaysSignedOut::isNoted($request->session()->getId());
        if ($isUnderWay || in_array($response->getStatusCode(), self::NOBODY, true)) {
            $response->headers->remove('Set-Cookie');
        }

        return $response;
    }

    /** @param  Request  $request */
    public static function fromFrontend($request): bool
    {
        $hasSession = $request->cookies->has((string) config('session.cookie'));

        return ($hasSession || ! $request->isMethodSafe()) && parent::fromFrontend($request);
    }
}
