<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Planter;
use App\Season\SeasonQuery;
use App\Wear\WearRecord;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\Partners;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Plan\Policy\InvalidPolicy;
use Ustrel\Core\Plan\Policy\Policy;
use Ustrel\Core\Plan\Policy\PolicySimulation;
use Ustrel\Core\Plan\Policy\PolicyTable;
use Ustrel\Core\Plan\Policy\Strategy;
use Ustrel\Core\Plan\Policy\WearItem;
use Ustrel\Core\Plan\Policy\WearKind;
use Ustrel\Core\Plan\Prices;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Wear\PlanterWear;

/** Plays the policies on one planter: its own wear, prices, acres and hours. */
final readonly class PolicyQuery
{
    private const RUNS = 400;

    /** A planting season is looked at in so many even steps for what an hour's standing costs. */
    private const STEPS = 20;

    public function __construct(private SeasonQuery $season)
    {
    }

    /**
     * @param  Planter  $planter  with its spec sheet and workshop
     * @param  int  $seasons  1 or more
     */
    public function of(Planter $planter, int $seasons): ?PolicyOutcome
    {
        $record = new WearRecord($planter);
        $plan = $record->plan();
        if ($plan === null) {
            return null;
        }
        [$kinds, $items, $thin] = $this->parts($planter, $record);
        $policies = array_map(Policy::of(...), [Strategy::Limit, Strategy::Set, Strategy::EverySpring, Strategy::LikeNew]);
        try {
            $policies[] = Policy::ownOf($planter->workshop->own_policy);
        } catch (InvalidPolicy) {
            // The shop has none.
        }
        $whole = FurrowDistance::ofRowAcres($plan->acres / $planter->row_count, $planter->spacing())->metres * $record->log()->severity(Moment::endOfTime());
        $left = $plan->effectiveLeft();
        $play = new PolicySimulation($kinds, $items, $this->prices($planter, $plan->acres), JobBook::typical(), $whole, $left > 0 ? $left : $whole, $seasons, $planter->workshop->service_stops);

        return new PolicyOutcome(
            PolicyTable::of($play, $policies, self::RUNS, $planter->id), $plan->acres,
            $thin, $planter->workshop->shop_rate === null, $planter->workshop->stop_cost === null,
        );
    }

    public function ruling(Planter $planter): Policy
    {
        return RulingPolicy::of($planter);
    }

    /** @return array{list<WearKind>, list<WearItem>, list<Slot>} with the slots whose record is too thin for more than nominal lives */
    private function parts(Planter $planter, WearRecord $record): array
    {
        $sheet = $planter->readSheet();
        $units = $planter->units();
        $prices = PartPrices::of($planter)->prices();
        $kinds = $items = $thin = [];
        $checks = PlanterWear::checks($sheet);
        $wear = $record->wear(PlanterWear::keys($checks));
        foreach ($checks as $check) {
            $slot = Slot::of($check->key);
            $path = $check->wear();
            $life = $wear->life($check);
            if ($slot === null || $path === null || $life === null || $slot->checks()[0] !== $check->key) {
                continue;
            }
            $rows = $check->rows ?? $units->running();
            $equipment = $units->at($rows[0]);
            $first = new SlotPlace($rows[0], $slot, $slot->sides($equipment)[0]);
            $along = [];
            foreach (array_slice(Partners::of($first, $equipment), 1) as $partner) {
                if ($partner->slot !== $slot) {
                    $along[] = [$partner->slot, $prices[$partner->key()] ?? null];
                }
            }
            $kind = count($kinds);
            $kinds[] = new WearKind(
                $slot, $path->allowance, $life->newSd, $life->rate, $life->scatter, $life->rateSd, $life->measuringSd, $prices[$first->key()] ?? null, $along,
                $slot->depthLost(),
            );
            if ($life->isThin) {
                $thin[] = $slot;
            }
            foreach ($rows as $row) {
                foreach ($check->sides as $side) {
                    $belief = $life->beliefs[(new Place($row, $check->key, $side))->key()] ?? null;
                    $items[] = $belief === null
                        // Nobody knows how far it is gone: somewhere between new and through.
                        ? new WearItem($kind, $row, $side, $path->allowance / 2, $path->allowance * 0.29, $life->rate, $life->scatter, 0.0, $life->rateSd)
                        : WearItem::of($kind, $row, $side, $belief);
                }
            }
        }

        return [$kinds, $items, $thin];
    }

    private function prices(Planter $planter, float $acres): Prices
    {
        $delay = $this->season->delay($planter);
        $standing = [];
        for ($step = 0; $step < self::STEPS; $step++) {
            $standing[] = $delay->anHour($acres * ($step + 0.5) / self::STEPS);
        }

        return new Prices((float) $planter->workshop->shop_rate, (float) $planter->workshop->stop_cost, (float) $planter->workshop->stop_hours, $standing);
    }
}
