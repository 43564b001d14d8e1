<?php

declare(strict_types=1);

namespace App\Bench\Seed;

use App\Models\Planter;
use App\Models\SeasonPlan;
use App\Models\SeedLot;
use App\Models\SeedMove;
use App\Models\Workshop;
use Ustrel\Core\Parts\Stock;

/** Reads what seed a workshop has, and what the fields of the season take of it. */
final readonly class SeedQuery
{
    /** @return array<int, Stock> by lot, in tenths of a unit; of lots that nobody counted there is none */
    public function stock(Workshop $workshop): array
    {
        return SeedMove::held($workshop->id)->orderBy('recorded_at')->get()->groupBy('seed_lot_id')
            ->map(static fn ($moves): Stock => Stock::of(array_values($moves->map(static fn (SeedMove $move) => $move->move())->all())))->all();
    }

    /**
     * Fields that name a lot, over all planters of the workshop, in the season that each is in.
     *
     * @return array<int, list<array{acres: float, population: int|null}>> by lot
     */
    public function fields(Workshop $workshop): array
    {
        $lots = SeedLot::query()->where('workshop_id', $workshop->id)->pluck('id', 'name')->mapWithKeys(static fn (int $id, string $name): array => [mb_strtolower($name) => $id])->all();
        $planters = Planter::query()->where('workshop_id', $workshop->id)->get()->each(static fn (Planter $of): Planter => $of->setRelation('workshop', $workshop));
        $plans = SeasonPlan::query()->whereIn('planter_id', $planters->modelKeys())->get()->groupBy('planter_id');
        $fields = [];
        foreach ($planters as $planter) {
            $plan = $plans->get($planter->id)?->firstWhere('season', $planter->season());
            foreach ($plan->fields ?? [] as $field) {
                $lot = $lots[mb_strtolower(trim((string) $field['seed']))] ?? null;
                if ($lot !== null) {
                    $fields[$lot][] = ['acres' => (float) $field['acres'], 'population' => $field['population']];
                }
            }
        }

        return $fields;
    }
}
