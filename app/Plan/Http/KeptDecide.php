<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Models\Parts\PartType;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;

/**
 * What there is to decide, or what policies cost, as it was last written out, for as long as nothing that it hangs on has changed: the planter's record,
 * the shop's figures, its part types, and what its planters' records taught.
 */
final class KeptDecide
{
    /**
     * @param  Planter  $planter  with its spec sheet and workshop, read before anything that is shown
     * @param  string  $what  names the answer
     * @param  callable(): array<string, mixed>  $draw
     */
    public static function answer(Request $request, Planter $planter, string $what, callable $draw): Response
    {
        $version = self::version($planter);
        $response = (new Response('', 200, ['Content-Type' => 'application/json', 'Cache-Control' => 'private, no-cache']))->setEtag($version);
        if ($response->isNotModified($request)) {
            return $response;
        }
        $place = "{$what}:{$planter->id}";
        $kept = Cache::get($place);
        if (! is_array($kept) || $kept['version'] !== $version) {
            $kept = ['version' => $version, 'body' => json_encode($draw(), JSON_THROW_ON_ERROR)];
            Cache::put($place, $kept, now()->addWeek());
        }

        return $response->setContent($kept['body']);
    }

    private static function version(Planter $planter): string
    {
        $program = app()->getCachedConfigPath();

        return hash('xxh128', json_encode([
            $planter->getAttributes(), $planter->specSheet->getAttributes(), $planter->workshop->getAttributes(), $planter->season(),
            SeasonPlan::query()->where('planter_id', $planter->id)->max('updated_at'),
            Planter::query()->where('workshop_id', $planter->workshop_id)->toBase()->selectRaw("md5(string_agg(left_findings::text || job_minutes::text, '' ORDER BY id)) AS of")->value('of'),
            PartType::query()->where('workshop_id', $planter->workshop_id)->toBase()->selectRaw("md5(string_agg(part_types::text, '' ORDER BY id)) AS of")->value('of'),
            is_file($program) ? filemtime($program) : 0,
        ], JSON_THROW_ON_ERROR));
    }
}
