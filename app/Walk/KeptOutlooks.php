<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Walk;
use App\Models\Wear\Outlook as OutlookLine;
use stdClass;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Wear\PlanterWear;

/** Reads from which size on a reading of a walk will not last the season, as it was reckoned. */
final class KeptOutlooks
{
    /**
     * @param  list<string>  $without  keys of checks that are not asked about
     * @return array<string, SeasonOutlook> by place key
     */
    public static function of(Walk $walk, array $without = []): array
    {
        return OutlookLine::query()
            ->where('walk_id', $walk->id)
            ->whereNotIn('check_key', $without)
            ->toBase()
            ->get()
            ->mapWithKeys(static fn (stdClass $line): array => [
                (new Place($line->row_number, CheckKey::from($line->check_key), Side::from($line->side)))->key() => PlanterWear::outlook((float) $line->turns_at, (float) $walk->watch_chance),
            ])
            ->all();
    }
}
