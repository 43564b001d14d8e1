<?php

declare(strict_types=1);

namespace App\Bench\Seed;

use App\Models\Bench\SeedLot;
use App\Models\Bench\SeedMove;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\Stock\ShelfMove;
use Ustrel\Core\Parts\Stock\Stock;
use Ustrel\Core\Parts\Stock\StockMoveKind;

/** Reads what seed a workshop has, and what the fields of the season take of it. */
final readonly class SeedQuery
{
    /** @return array<int, Stock> by lot, in tenths of a unit; of lots that nobody counted there is none */
    public function stock(Workshop $workshop): array
    {
        $drawn = self::drawn($workshop);

        return SeedMove::current($workshop->id)->orderBy('recorded_at')->get()->groupBy('seed_lot_id')
            ->map(static fn ($moves, int $lot): Stock => Stock::of([...array_values($moves->map(static fn (SeedMove $move) => $move->move())->all()), ...$drawn[$lot] ?? []]))->all();
    }

    /** @return array<int, float> units of orders that have not come, by lot: what was ordered, less what was received from that day on */
    public function toCome(Workshop $workshop): array
    {
        $ordered = SeedLot::query()->where('workshop_id', $workshop->id)->whereNotNull('ordered_units')->get()->keyBy('id');
        $received = SeedMove::current($workshop->id)->whereIn('seed_lot_id', $ordered->keys())->where('kind', StockMoveKind::Received)->get()
            ->filter(static function (SeedMove $move) use ($ordered, $workshop): bool {
                $since = $ordered[$move->seed_lot_id]?->ordered_on;

                return $since === null || ! Moment::of($move->happened_at->toIso8601ZuluString('millisecond'))->day($workshop->zone())->isBefore($since);
            })->groupBy('seed_lot_id')->map(static fn ($moves): float => $moves->sum('tenths') / 10);

        return array_filter($ordered->map(static fn (SeedLot $lot): float => max(0.0, round((float) $lot->ordered_units - (float) ($received[$lot->id] ?? 0), 1)))->all());
    }

    /** @return array<int, list<ShelfMove>> by lot, what planting took of it, as it was kept with each line of the log */
    private static function drawn(Workshop $workshop): array
    {
        $drawn = [];
        $planters = $workshop->ownPlanters()->toBase()->select('id');
        $superseded = AcresEntry::query()->whereIn('planter_id', $planters)->whereNotNull('supersedes')->select('supersedes');
        foreach (AcresEntry::query()->whereIn('planter_id', $planters)->where('withdrawn', false)->whereNotIn('id', $superseded)->planted()->whereNotNull('units_drawn')->get() as $line) {
            // Planting is taken to be at noon of its day.
            $at = CarbonImmutable::parse("{$line->day->iso} 12:00", $workshop->time_zone)->utc();
            $drawn[(int) $line->seed_lot_id][] = new ShelfMove($line->id, StockMoveKind::Used, (int) round(10 * (float) $line->units_drawn), Moment::of($at->toIso8601ZuluString('millisecond')));
        }

        return $drawn;
    }

    /**
     * Whether there is enough seed of what the planter's fields name.
     *
     * @param  list<array{seed_lot_id?: int|null}>  $fields  of the planter's season
     * @return bool|null null where the list does not tell: a field without a lot, a lot that nobody counted
     */
    public function isEnough(Workshop $workshop, array $fields): ?bool
    {
        $ids = array_map(static fn (array $field): ?int => $field['seed_lot_id'] ?? null, $fields);
        if ($ids === [] || in_array(null, $ids, true)) {
            return null;
        }
        [$stock, $all] = [$this->stock($workshop), $this->fields($workshop)];
        $enough = true;
        foreach (SeedLot::query()->where('workshop_id', $workshop->id)->whereKey($ids)->get() as $lot) {
            [$needed, $unknown] = self::needed($lot, $all[$lot->id] ?? []);
            $onHand = ($stock[$lot->id] ?? null)?->onHand;
            $enough = $onHand === null || $unknown > 0 ? null : ($enough === null ? null : $enough && $onHand >= 10 * $needed);
        }

        return $enough;
    }

    /**
     * Units that fields take of a lot, with spare.
     *
     * @param  list<array{acres: float, population: int|null}>  $fields
     * @return array{int, int} units, and fields without a population, which are left out
     */
    public static function needed(SeedLot $lot, array $fields): array
    {
        $known = self::known($fields);

        return [$lot->lot()->units($known, (float) $lot->spare), count($fields) - count($known)];
    }

    /**
     * @param  list<array{acres: float, population: int|null}>  $fields
     * @return list<array{float, int}> acres and seeds an acre of those that say how many
     */
    public static function known(array $fields): array
    {
        $known = [];
        foreach ($fields as $field) {
            if ($field['population'] !== null) {
                $known[] = [$field['acres'], $field['population']];
            }
        }

        return $known;
    }

    /**
     * Fields that name a lot, over all planters of the workshop, in the season that each is in.
     *
     * @return array<int, list<array{planter: string, field: string, acres: float, population: int|null}>> by lot
     */
    public function fields(Workshop $workshop): array
    {
        $planters = $workshop->ownPlanters()->get()->each(static fn (Planter $of): Planter => $of->setRelation('workshop', $workshop));
        $plans = SeasonPlan::query()->whereIn('planter_id', $planters->modelKeys())->get()->groupBy('planter_id');
        $fields = [];
        foreach ($planters as $planter) {
            $plan = $plans->get($planter->id)?->firstWhere('season', $planter->season());
            foreach ($plan->fields ?? [] as $field) {
                $lot = $field['seed_lot_id'] ?? null;
                if ($lot !== null) {
                    $fields[$lot][] = ['planter' => $planter->name, 'field' => (string) $field['name'], 'acres' => (float) $field['acres'], 'population' => $field['population']];
                }
            }
        }

        return $fields;
    }
}
