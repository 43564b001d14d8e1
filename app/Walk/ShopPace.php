<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Reading;
use App\Models\Walk\Walk;
use Illuminate\Support\Facades\Cache;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Unit\Catalogue;
use Ustrel\Core\Walk\Pace;

/** How fast a shop walks, by its newest finished walks. */
final readonly class ShopPace
{
    private const WALKS = 4;

    /** @return array{figure: float, look: float, own: bool} seconds for a figure and for a look */
    public static function of(int $workshopId): array
    {
        /** @var list<string> $walks */
        $walks = Walk::query()->whereRelation('planter', 'workshop_id', $workshopId)->whereRelation('planter', 'is_sample', false)
            ->whereNotNull('finished_at')->latest('finished_at')->limit(self::WALKS)->pluck('id')->all();

        return Cache::rememberForever('pace '.sha1(implode(' ', $walks)), static function () use ($walks): array {
            $takesFigure = array_map(static fn (CheckKey $key): bool => Catalogue::shipped()->check($key)->kind->takesFigure(), array_column(CheckKey::cases(), null, 'value'));
            $taken = array_fill_keys($walks, []);
            foreach (Reading::query()->whereIn('walk_id', $walks)->toBase()->selectRaw('walk_id, check_key, extract(epoch FROM taken_at)::bigint AS at')->get() as $reading) {
                $taken[$reading->walk_id][] = [(int) $reading->at, $takesFigure[$reading->check_key] ?? false];
            }

            return Pace::ofWalks(array_values($taken));
        });
    }
}
