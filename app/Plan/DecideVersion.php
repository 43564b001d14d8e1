<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\LearnedSum;
use App\Models\Lesson;
use App\Models\Parts\PartType;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Builder;

/** What proposals and policies depend on: the planter's record, the shop's figures, its part types, and what its planters' records teach. */
final class DecideVersion
{
    /**
     * @param  Planter  $planter  with its spec sheet and workshop
     * @return list<mixed>
     */
    public static function of(Planter $planter): array
    {
        return [
            $planter->getAttributes(), $planter->specSheet->getAttributes(), $planter->workshop->getAttributes(), $planter->season(),
            SeasonPlan::query()->where('planter_id', $planter->id)->max('updated_at'),
            LearnedSum::query()->whereIn('lesson', [Lesson::LeftFindings, Lesson::JobMinutes])->whereHas('planter', static fn (Builder $of): Builder => $of->where('workshop_id', $planter->workshop_id)->where('is_sample', false))
                ->toBase()->selectRaw("md5(string_agg(learned_sums::text, '' ORDER BY planter_id, lesson, subject)) AS of")->value('of'),
            PartType::query()->where('workshop_id', $planter->workshop_id)->toBase()->selectRaw("md5(string_agg(part_types::text, '' ORDER BY id)) AS of")->value('of'),
        ];
    }
}
