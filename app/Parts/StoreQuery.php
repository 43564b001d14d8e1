<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\LedgerEvent;
use App\Models\Parts\Order;
use App\Models\Parts\PartType;
use App\Models\Parts\StockMove as StoredMove;
use App\Models\Parts\Supplier;
use App\Models\Workshop;
use App\Plan\PartsNeeded;
use App\Record\Moments;
use Illuminate\Database\Query\Builder as Query;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\Stock\Offer;
use Ustrel\Core\Parts\Stock\OrderState;
use Ustrel\Core\Parts\Stock\ShelfMove;
use Ustrel\Core\Parts\Stock\Stock;
use Ustrel\Core\Parts\Stock\StockMoveKind;
use Ustrel\Core\Parts\Stock\Supply;

/** Reads the shelf of a workshop against what its decisions need. A part that is fitted comes from the shelf by itself. */
final readonly class StoreQuery
{
    public function __construct(private PartsNeeded $needed)
    {
    }

    /** @return list<OnShelf> what is to be ordered first, the most pressing before the rest */
    public function of(Workshop $workshop): array
    {
        $moves = self::moves($workshop);
        $needs = $this->needed->of($workshop);
        $coming = self::coming($workshop);
        $offers = self::offers($workshop);
        $today = $workshop->today();
        $shelf = PartType::query()->where('workshop_id', $workshop->id)->orderBy('name')->get()
            ->map(static fn (PartType $type): OnShelf => new OnShelf($type, Stock::of($moves[$type->id] ?? []), $needs[$type->id] ?? [], $coming[OrderState::Ordered->value][$type->id] ?? 0, $coming[OrderState::Draft->value][$type->id] ?? 0, $offers[$type->id] ?? [], $today))
            ->all();
        usort($shelf, static fn (OnShelf $a, OnShelf $b): int => [$a->toOrder() === 0, $a->orderBy()->iso ?? '9999', $a->type->name] <=> [$b->toOrder() === 0, $b->orderBy()->iso ?? '9999', $b->type->name]);

        return $shelf;
    }

    /** @return array<string, array<int, int>> what has not come, by state of its order and part type */
    private static function coming(Workshop $workshop): array
    {
        $coming = [];
        foreach (Order::query()->where('workshop_id', $workshop->id)->whereIn('state', [OrderState::Draft, OrderState::Ordered])->get() as $order) {
            $of = $order->state->value;
            foreach ($order->lines as $line) {
                $coming[$of][$line['part_type_id']] = ($coming[$of][$line['part_type_id']] ?? 0) + max(0, $line['quantity'] - $line['received']);
            }
        }

        return $coming;
    }

    /** @return array<int, Supply> what there is to come of each part type, by its id */
    public function supplies(Workshop $workshop): array
    {
        $ordered = [];
        foreach (Order::query()->where('workshop_id', $workshop->id)->where('state', OrderState::Ordered)->orderBy('id')->get() as $order) {
            foreach ($order->lines as $line) {
                $ordered[$line['part_type_id']][] = [$order, max(0, $line['quantity'] - $line['received'])];
            }
        }
        $supplies = [];
        foreach ($this->of($workshop) as $of) {
            $lead = $of->leadDays();
            $arrives = static fn (Order $order): ?Day => $order->expected_on ?? ($lead === null ? null : $order->ordered_on?->plusDays($lead));
            $supplies[$of->type->id] = new Supply(
                max(0, (int) $of->stock->onHand),
                array_map(static fn (array $line): array => [$arrives($line[0]), $line[1]], $ordered[$of->type->id] ?? []),
                $lead === null ? null : $workshop->today()->plusDays($lead),
            );
        }

        return $supplies;
    }

    /** @return array<int, list<Offer>> by part type */
    private static function offers(Workshop $workshop): array
    {
        $offers = [];
        foreach (Supplier::query()->where('workshop_id', $workshop->id)->orderBy('id')->get() as $supplier) {
            foreach ($supplier->offers($workshop->time_zone) as $type => $offer) {
                $offers[$type][] = $offer;
            }
        }

        return $offers;
    }

    /** @return array<int, list<ShelfMove>> by part type */
    private static function moves(Workshop $workshop): array
    {
        $moves = [];
        foreach (StoredMove::current($workshop->id)->toBase()->selectRaw('id, part_type_id, kind, quantity, '.Moments::sql('happened_at').' AS at')->get() as $row) {
            $moves[$row->part_type_id][] = new ShelfMove($row->id, StockMoveKind::from($row->kind), $row->quantity, Moment::ofMilliseconds($row->at));
        }
        $fitted = LedgerEvent::query()
            ->whereIn('part_type_id', array_keys($moves))->whereIn('planter_id', $workshop->ownPlanters()->select('id'))
            ->where('kind', LedgerEventKind::Fitted->value)->where('used', false)->where('withdrawn', false)
            ->whereNotIn('ledger_events.id', static fn (Query $later): Query => $later->from('ledger_events AS later')->whereNotNull('later.supersedes')->whereColumn('later.planter_id', 'ledger_events.planter_id')->select('later.supersedes'))
            // A piece that moves from one row to another is taken from the shelf once.
            ->toBase()->selectRaw('min(ledger_events.id::text) AS id, part_type_id, min('.Moments::sql('happened_at').') AS at')->groupByRaw('part_type_id, coalesce(part_id, ledger_events.id)')->get();
        foreach ($fitted as $row) {
            $moves[$row->part_type_id][] = new ShelfMove($row->id, StockMoveKind::Used, 1, Moment::ofMilliseconds($row->at));
        }

        return $moves;
    }
}
