<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Parts\LedgerEvent;
use App\Models\Parts\PartType;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use App\Plan\DecideQuery;
use App\Plan\Decisions;
use App\Plan\PartPrices;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Policy\WearNow;
use Ustrel\Core\Work\Stops\Breakages;
use Ustrel\Core\Work\Stops\DuePart;
use Ustrel\Core\Work\Stops\ServiceStops;
use Ustrel\Core\Work\Stops\Spares;
use Ustrel\Core\Work\Stops\StopItem;

/** Reckons from the forecasts which spares to carry into the season, and at which acres to stop. */
final readonly class InSeasonQuery
{
    public function __construct(private DecideQuery $decide)
    {
    }

    /** @param  Planter  $planter  with its spec sheet and workshop */
    public function of(Planter $planter): InSeason
    {
        $decisions = $this->decide->of($planter);
        $now = $decisions->now;
        $new = [];
        foreach ($decisions->work() as $proposal) {
            foreach ($proposal->parts as $part) {
                $new[$part->key()] = true;
            }
        }
        $types = PartPrices::of($planter)->types;
        [$spares, $unpriced] = $this->spares($planter, $types, $now->wear, $new, (float) $planter->workshop->stop_cost);
        [$items, $counts] = $now->stopCost === null || $now->acresLeft === null ? [[], []] : self::items($decisions, $types, $new);

        return new InSeason(
            $planter->workshop->stop_cost === null ? [] : $spares, $unpriced,
            $now->stopCost === null || $now->acresLeft === null ? null : ServiceStops::of($items, $now->acresLeft, $now->stopCost), $counts, $now->acresLeft, $now->acresDone, $now->stopCost !== null,
        );
    }

    /**
     * @param  array<string, PartType>  $types  by place of the slot
     * @param  array<string, WearNow>  $wear  by key of the place that reads the part
     * @param  array<string, true>  $new  places that get a new part before planting
     * @return array{list<array{PartType, Spares}>, int}
     */
    private function spares(Planter $planter, array $types, array $wear, array $new, float $trip): array
    {
        $days = AcresEntry::current($planter->id)->planted()->distinct()->toBase()->pluck('day')->all();
        $seasons = max(1, count(array_unique(array_map(static fn (mixed $day): int => $planter->seasons()->of(Day::of((string) $day)), $days))));
        $broken = LedgerEvent::current($planter->id)->where('kind', LedgerEventKind::Removed)->where('reason', RemovalReason::Failed)
            ->groupBy('slot')->toBase()->selectRaw('slot, count(*) AS of')->pluck('of', 'slot')->all();
        $chances = $fitted = $rates = [];
        $inSlot = array_count_values(array_map(static fn (string $key): string => SlotPlace::fromKey($key)->slot->value, array_keys($types)));
        foreach ($types as $key => $type) {
            $place = SlotPlace::fromKey($key);
            $fitted[$type->id] = $type;
            $slot = $place->slot->value;
            $rates[$type->id] = ($rates[$type->id] ?? 0.0) + Breakages::rate($place->slot, (int) ($broken[$slot] ?? 0), $inSlot[$slot] * $seasons);
            $of = $wear[$place->reading()->key()] ?? null;
            if ($of?->chance !== null && ! isset($new[$key])) {
                $chances[$type->id][] = $of->chance;
            }
        }
        $spares = [];
        $unpriced = 0;
        foreach ($fitted as $id => $type) {
            if ((float) $type->price <= 0) {
                $unpriced++;

                continue;
            }
            $spares[] = [$type, Spares::of($chances[$id] ?? [], min(50.0, $rates[$id]), $trip, Spares::HOLDING * (float) $type->price)];
        }
        usort($spares, static fn (array $one, array $other): int => [$other[1]->carry > 0, $other[1]->expected()] <=> [$one[1]->carry > 0, $one[1]->expected()]);

        return [$spares, $unpriced];
    }

    /**
     * Parts of a slot that fall due at about the same acres are one item.
     *
     * @param  array<string, PartType>  $types  by place of the slot
     * @param  array<string, true>  $new
     * @return array{list<StopItem>, array<string, int>} the items, and how many parts each has
     */
    private static function items(Decisions $decisions, array $types, array $new): array
    {
        $now = $decisions->now;
        $acres = (float) $now->acresLeft;
        $due = [];
        foreach ($types as $key => $type) {
            $place = SlotPlace::fromKey($key);
            $wear = $now->wear[$place->reading()->key()] ?? null;
            $due[] = $wear === null ? null : DuePart::of($place, $wear, isset($new[$key]), $acres, (float) $type->price);
        }
        $items = $counts = [];
        $hour = (float) $decisions->planter->workshop->shop_rate;
        foreach (DuePart::together(array_values(array_filter($due)), $acres) as $name => $parts) {
            $minutes = $now->jobs->minutesOnRows(array_map(static fn (DuePart $part): Job => Job::change($part->place), $parts));
            $items[] = DuePart::item($name, $parts, $acres, $minutes / 60 * $hour);
            $counts[$name] = count($parts);
        }

        return [$items, $counts];
    }
}
