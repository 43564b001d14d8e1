<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Models\Planter;
use App\Models\Walk\Walk;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;

/**
 * The board as it was last written out, for as long as nothing that it shows has changed: every change of the record
 * raises the planter's revision. One is kept for each walk, and another takes its place.
 */
final class KeptBoard
{
    /**
     * @param  Planter  $planter  with its spec sheet and workshop, read before anything that the board shows
     * @param  callable(): BoardResource  $draw
     */
    public static function answer(Request $request, Planter $planter, ?Walk $walk, callable $draw): Response
    {
        $version = self::version($planter, $walk);
        $response = (new Response('', 200, ['Content-Type' => 'application/json', 'Cache-Control' => 'private, no-cache']))->setEtag($version);
        if ($response->isNotModified($request)) {
            return $response;
        }
        $place = "board:{$planter->id}:{$walk?->id}";
        $kept = Cache::get($place);
        if (! is_array($kept) || $kept['version'] !== $version) {
            $kept = ['version' => $version, 'body' => json_encode($draw()->toArray($request), JSON_THROW_ON_ERROR)];
            Cache::put($place, $kept, now()->addWeek());
        }

        return $response->setContent($kept['body']);
    }

    private static function version(Planter $planter, ?Walk $walk): string
    {
        // The configuration is cached anew whenever another version of the program starts.
        $program = app()->getCachedConfigPath();

        return hash('xxh128', json_encode([
            $planter->getAttributes(), $planter->specSheet->getAttributes(), $planter->workshop->getAttributes(), $walk?->getAttributes(),
            $planter->season(), is_file($program) ? filemtime($program) : 0,
        ], JSON_THROW_ON_ERROR));
    }
}
