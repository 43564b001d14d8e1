<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Lets one person hold only so many workers of the server with what takes long: large pictures, a counter that is slow to answer. */
final class FewAtOnce
{
    /** Nothing that is held back takes longer. */
    private const SECONDS = 120;

    private const RETRY_SECONDS = 2;

    /** @throws TooManyRequestsHttpException where all of the person's places are taken */
    public function handle(Request $request, Closure $next, string $most): Response
    {
        /** @var User $user */
        $user = $request->user();
        for ($place = 1; $place <= (int) $most; $place++) {
            $lock = Cache::lock("few-at-once|{$user->id}|{$place}", self::SECONDS);
            if ($lock->get()) {
                try {
                    return $next($request);
                } finally {
                    $lock->release();
                }
            }
        }

        throw new TooManyRequestsHttpException(self::RETRY_SECONDS);
    }
}
