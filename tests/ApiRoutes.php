<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;

/** What the API answers to. */
final class ApiRoutes
{
    /** Routes that anybody may call. */
    public const OPEN = [
        'GET api/welcome', 'POST api/sign-in', 'POST api/guest', 'POST api/set-up', 'POST api/invitations/look', 'POST api/invitations/accept', 'POST api/password/forgot', 'POST api/password/reset',
    ];

    /** Routes that a test stand calls by its token, and nobody else. */
    public const OF_STANDS = ['POST api/stand/hello', 'POST api/stand/runs/{run}', 'POST api/monitor/hello', 'POST api/monitor/runs/{run}'];

    /** @return array<string, Route> by method and address */
    public static function all(): array
    {
        $routes = [];
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/')) {
                $routes[$route->methods()[0].' '.$route->uri()] = $route;
            }
        }

        return $routes;
    }
}
