<?php

declare(strict_types=1);

namespace App\Http;

use App\Http\Api\Schema;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;

/** A costly answer as it was last written out, for as long as nothing that it depends on has changed. */
final class KeptAnswer
{
    /**
     * @param  string  $place  where the answer is kept; another one there takes its place
     * @param  list<mixed>  $dependsOn  all that it depends on, read before anything that is shown
     * @param  callable(): Schema  $draw
     */
    public static function of(Request $request, string $place, array $dependsOn, callable $draw): Response
    {
        // The configuration is cached again whenever another version of the program starts.
        $program = app()->getCachedConfigPath();
        $version = hash('xxh128', json_encode([$dependsOn, is_file($program) ? filemtime($program) : 0], JSON_THROW_ON_ERROR));
        $response = (new Response('', 200, ['Content-Type' => 'application/json', 'Cache-Control' => 'private, no-cache']))->setEtag($version);
        if ($response->isNotModified($request)) {
            return $response;
        }
        $kept = Cache::get($place);
        if (! is_array($kept) || $kept['version'] !== $version) {
            $kept = ['version' => $version, 'body' => json_encode($draw(), JSON_THROW_ON_ERROR)];
            Cache::put($place, $kept, now()->addWeek());
        }

        return $response->setContent($kept['body']);
    }
}
