<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Bench\Device;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets a test stand or a row monitor in by its token, and nobody else. */
final class DevicesOnly
{
    /**
     * @param  string  $ability  what it delivers
     *
     * @throws AuthenticationException
     */
    public function handle(Request $request, Closure $next, string $ability): Response
    {
        /** @var mixed $device whoever the token is of */
        $device = $request->user();

        return $device instanceof Device && $device->tokenCan($ability) ? $next($request) : throw new AuthenticationException;
    }
}
