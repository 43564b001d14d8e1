<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\URL;
use Symfony\Component\HttpFoundation\Response;

/**
 * Addresses that Ustrel gives out begin as the page does that asks for them, where that is a name of this machine; whoever asks by
 * a made-up name gets the address of the installation.
 */
final class NamesItself
{
    /** What routers of a shop call the machines in it. */
    private const NEAR = ['', '.local', '.lan', '.home', '.home.arpa', '.internal'];

    public function handle(Request $request, Closure $next): Response
    {
        if (! self::isOurs($request->getHost())) {
            URL::useOrigin((string) config('app.url'));
        }

        return $next($request);
    }

    private static function isOurs(string $host): bool
    {
        $name = strtolower((string) strtok((string) gethostname(), '.'));
        $ours = ['localhost', strtolower((string) gethostname()), strtolower((string) parse_url((string) config('app.url'), PHP_URL_HOST)), ...array_map(static fn (string $near): string => $name.$near, self::NEAR)];

        return filter_var(trim($host, '[]'), FILTER_VALIDATE_IP) !== false || in_array(strtolower($host), $ours, true);
    }
}
