<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Planter;
use App\Models\Walk\Walk;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Notes who took what out of the house as a file. */
final class NotesExport
{
    public function handle(Request $request, Closure $next): Response
    {
        $answer = $next($request);
        $of = $request->route('walk') ?? $request->route('planter');
        $planter = $of instanceof Walk ? $of->planter : $of;
        if ($answer->isSuccessful() && $planter instanceof Planter) {
            activity()->performedOn($planter)->withProperties(['file' => basename($request->path())])->log('exported');
        }

        return $answer;
    }
}
