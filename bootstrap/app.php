<?php

declare(strict_types=1);

use App\Exceptions\Speaks;
use App\Http\Middleware\NamesItself;
use App\Http\Middleware\ReadsStrictly;
use App\Http\Middleware\StatefulWhereKept;
use App\Http\Middleware\StaysSignedOut;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // One origin serves the client and the API.
        $middleware->remove(HandleCors::class);
        $middleware->prepend(ReadsStrictly::class);
        // After the proxies that are trusted have said what was asked for.
        $middleware->append(NamesItself::class);
        // Before anything asks who is signed in.
        $middleware->api(prepend: StatefulWhereKept::class, append: StaysSignedOut::class);
        $middleware->prependToPriorityList(AuthenticatesRequests::class, StaysSignedOut::class);
        $middleware->redirectGuestsTo('/sign-in');
        // Who stands before Ustrel and says for whom it asks; nobody unless named.
        $middleware->trustProxies(at: array_filter(explode(',', (string) env('USTREL_PROXIES', ''))));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        Speaks::inTheTechniciansWords($exceptions);
    })
    ->create();
