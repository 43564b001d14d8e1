<?php

declare(strict_types=1);

namespace App\Season;

use App\Bench\Seed\Lots;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Record\Affected;
use App\Record\Change;
use App\Record\ChangedMeanwhile;
use App\Record\Document;
use App\Wear\WearRecord;

/** Keeps the plan of a planter's season. Who has seen an older one than there is is told, and nothing is overwritten. */
final readonly class SaveSeason
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  array<string, mixed>  $plan  columns of the plan
     * @param  array<string, mixed>  $ofPlanter  columns of the planter: when planting starts, how long it takes, acres
     * @param  int  $seen  the revision that was changed
     */
    public function __invoke(Planter $planter, array $plan, array $ofPlanter, int $seen): Planter
    {
        return $this->change->of($planter, static function (Planter $planter, Affected $affected) use ($plan, $ofPlanter, $seen): Planter {
            $kept = SeasonQuery::plan($planter);
            $plan['fields'] = self::withLots($plan['fields'], $kept->fields, Lots::of($planter->workshop_id));
            $planter->fill($ofPlanter);
            $season = $planter->season();
            $isOther = $planter->isDirty(array_keys($ofPlanter));
            if (Document::isKnown($kept, $plan, $seen)) {
                return $isOther ? throw new ChangedMeanwhile(array_keys($planter->getDirty())) : $planter;
            }
            $planter->save();
            // Another year of planting is another season: its plan goes along.
            SeasonPlan::query()->where('planter_id', $planter->id)->where('season', $season)->whereKeyNot($kept->id ?? 0)->exists()
                ? $kept = SeasonQuery::plan($planter)
                : $kept->season = $season;
            $kept->fill($plan + ['revision' => $kept->revision + 1])->save();
            if ($isOther) {
                $planter->openWalk()?->fill(['planned_acres' => (new WearRecord($planter))->plannedAcres()])->save();
                $affected->everything = true;
            }

            return $planter;
        });
    }

    /**
     * @param  list<array<string, mixed>>  $fields  each naming its lot
     * @param  list<array<string, mixed>>  $before  as they were kept: a lot that got another name meanwhile is still theirs
     * @return list<array<string, mixed>>
     */
    private static function withLots(array $fields, array $before, Lots $lots): array
    {
        $known = array_column($before, 'seed_lot_id', 'seed');

        return array_map(static fn (array $field): array => ['seed_lot_id' => $field['seed'] === null ? null : ($lots->named($field['seed'])->id ?? $known[$field['seed']] ?? null)] + $field, $fields);
    }
}
