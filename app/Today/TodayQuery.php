<?php

declare(strict_types=1);

namespace App\Today;

use App\Bench\Seed\SeedQuery;
use App\Models\Bench\SeedLot;
use App\Models\Field\WatchAlarm;
use App\Models\Parts\Order;
use App\Models\Planter;
use App\Models\User;
use App\Models\Workshop;
use App\Season\CountdownQuery;
use App\Season\SeasonQuery;
use App\Work\PlannedCard;
use App\Work\PlannedCards;
use App\Yard\YardPlanter;
use App\Yard\YardQuery;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\Cache;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Stock\OrderState;
use Ustrel\Core\Season\CountdownStep;
use Ustrel\Core\Season\Deadline;

/** Reads what somebody has to do today, across all planters of the shop: each thing once, where the record says it is open. */
final readonly class TodayQuery
{
    /** Days: orders that come within them are shown, and a countdown begins that long before planting. */
    private const AHEAD = 7;

    private const SEASON = 150;

    private const MOST_CARDS = 5;

    private const KEPT_SECONDS = 60;

    public function __construct(
        private YardQuery $yard,
        private SeasonQuery $seasons,
        private CountdownQuery $countdown,
        private PlannedCards $cards,
        private SeedQuery $seed,
    ) {
    }

    /** @return list<PlanterToday> those with something to do, the most pressing first */
    public function planters(User $user): array
    {
        $workshop = $user->workshop;
        $alarms = self::alarms($workshop);
        $cards = $this->cards($workshop, $user->name);
        $list = [];
        foreach ($this->yard->of($user) as $of) {
            if ($of->planter->is_sample) {
                continue;
            }
            $planter = $of->planter->setRelation('workshop', $workshop)->load('specSheet');
            $countdown = $this->countdown($planter, $of->daysToPlanting);
            $items = [
                ...isset($alarms[$planter->id]) ? [new TodayItem(TodayKind::Alarm, trans_choice('today.alarms', $alarms[$planter->id], ['count' => $alarms[$planter->id]]))] : [],
                ...$cards[$planter->id] ?? [],
                ...self::walk($of, $countdown),
                ...self::toDecide($of, $countdown),
                ...$of->toMeasureAgain === 0 ? [] : [new TodayItem(TodayKind::MeasureAgain, trans_choice('today.measure_again', $of->toMeasureAgain, ['count' => $of->toMeasureAgain]), __('today.changed'))],
                ...self::deadlines($countdown, $planter),
                ...$planter->planting_start === null ? [new TodayItem(TodayKind::NoDate, __('today.no_date'), __('today.no_date_detail'))] : [],
            ];
            if ($items !== []) {
                $list[] = new PlanterToday($planter, $of->daysToPlanting, $items);
            }
        }

        return $list;
    }

    /** @return list<TodayItem> orders that come within a week, or should have come */
    public function deliveries(Workshop $workshop): array
    {
        $today = $workshop->today();
        $orders = Order::query()->where('workshop_id', $workshop->id)->where('state', OrderState::Ordered)->whereNotNull('expected_on')
            ->where('expected_on', '<=', $today->plusDays(self::AHEAD)->iso)->with('supplier')->orderBy('expected_on')->orderBy('id')->get();

        return [...$this->seedToCome($workshop, $today), ...array_values(array_filter($orders->map(static function (Order $order) use ($today): ?TodayItem {
            $parts = array_sum(array_map(static fn (array $line): int => max(0, $line['quantity'] - $line['received']), $order->lines));

            return $parts === 0 ? null : new TodayItem(
                TodayKind::Delivery,
                $order->supplier === null ? trans_choice('today.delivery', $parts, ['count' => $parts]) : trans_choice('today.delivery_from', $parts, ['count' => $parts, 'supplier' => $order->supplier->name]),
                due: $order->expected_on,
                isLate: $order->expected_on?->isBefore($today) ?? false,
            );
        })->all()))];
    }

    /** @return list<TodayItem> seed on order that comes within a week, or should have come */
    private function seedToCome(Workshop $workshop, Day $today): array
    {
        $toCome = $this->seed->toCome($workshop);
        $lots = SeedLot::query()->whereKey(array_keys($toCome))->whereNotNull('due_on')->where('due_on', '<=', $today->plusDays(self::AHEAD)->iso)->orderBy('due_on')->orderBy('id')->get();

        return array_values($lots->map(static fn (SeedLot $lot): TodayItem => new TodayItem(
            TodayKind::Delivery,
            __($lot->ordered_from === '' ? 'today.seed' : 'today.seed_from', ['units' => $toCome[$lot->id] + 0, 'lot' => $lot->name, 'from' => $lot->ordered_from]),
            due: $lot->due_on,
            isLate: $lot->due_on?->isBefore($today) ?? false,
        ))->all());
    }

    /** @return array<int, int> alarms that nobody has seen, of rows that still are amiss, by planter */
    private static function alarms(Workshop $workshop): array
    {
        $open = WatchAlarm::query()
            ->whereHas('run', static fn (Builder $run): Builder => $run->where('state', 'running')->whereNull('practice')->whereIn('planter_id', $workshop->planters()->select('id')))
            ->with(['run:id,planter_id', 'entries', 'backs'])->get()
            ->filter(static fn (WatchAlarm $alarm): bool => $alarm->seen() === null && $alarm->open() !== []);

        return array_count_values($open->map(static fn (WatchAlarm $alarm): int => $alarm->run->planter_id)->all());
    }

    /**
     * What is planned up to the end of today, by the plans that are kept: of the one who asks, or of everybody where no such name is at work in the shop.
     *
     * @return array<int, list<TodayItem>> by planter
     */
    private function cards(Workshop $workshop, string $name): array
    {
        $cards = array_filter($this->cards->of($workshop), static fn (PlannedCard $of): bool => $of->start !== null);
        $isMe = static fn (string $person): bool => mb_strtolower($person) === mb_strtolower($name);
        $isMine = static fn (PlannedCard $of): bool => array_filter($of->people, $isMe) !== [];
        $isKnown = array_filter(array_column($workshop->crew, 'name'), $isMe) !== [];
        $items = [];
        foreach ($cards as $of) {
            if ($of->start < 1440 && (! $isKnown || $isMine($of))) {
                $parts = $of->parts === 0 ? '' : trans_choice('today.parts', $of->parts, ['count' => $of->parts]);
                $items[$of->planterId][] = new TodayItem(TodayKind::Card, $of->title, implode(' · ', array_filter([
                    __('today.minutes', ['count' => $of->minutes]), $parts, $isMe($of->people[0]) ? '' : $of->people[0],
                ])));
            }
        }

        return array_map(static fn (array $of): array => array_slice($of, 0, self::MOST_CARDS), $items);
    }

    /** @return array<string, Deadline> what is open of the countdown, by key; none long before planting, and none once it has begun */
    private function countdown(Planter $planter, ?int $days): array
    {
        if ($days === null || $days < 0 || $days > self::SEASON) {
            return [];
        }
        $version = implode(' ', [$planter->revision, $planter->workshop->updated_at?->getTimestamp(), $planter->workshop->today()->iso]);

        // It is costly, and stays as it is but for stock, orders and seed, which it follows within a minute.
        return Cache::remember("countdown:{$planter->id}:{$version}", self::KEPT_SECONDS, fn (): array => array_column(
            array_filter($this->countdown->of($this->seasons->of($planter)), static fn (Deadline $of): bool => ! $of->isDone), null, 'key',
        ));
    }

    /**
     * @param  array<string, Deadline>  $countdown
     * @return list<TodayItem>
     */
    private static function walk(YardPlanter $of, array $countdown): array
    {
        $deadline = $countdown[CountdownStep::Walk->value] ?? null;
        $isOpen = $of->newestWalk !== null && ! $of->newestWalk->isFinished();
        $today = $of->planter->workshop->today();
        if (! $isOpen && ($deadline === null || ! $deadline->isNear($today))) {
            return [];
        }

        return [new TodayItem(
            TodayKind::Walk,
            $isOpen ? __('today.walk_on') : __('today.walk'),
            $isOpen ? __('today.walked', ['share' => round(100 * $of->shareWalked)]) : '',
            $deadline?->due,
            $deadline->isLate ?? false,
        )];
    }

    /**
     * @param  array<string, Deadline>  $countdown
     * @return list<TodayItem>
     */
    private static function toDecide(YardPlanter $of, array $countdown): array
    {
        $deadline = $countdown[CountdownStep::Decisions->value] ?? null;
        if ($of->toDecide === 0) {
            // Nothing is past its limit, and the policy still asks for something.
            return $deadline !== null && $deadline->isNear($of->planter->workshop->today()) ? [new TodayItem(TodayKind::Decide, __('today.step.decisions'), '', $deadline->due, $deadline->isLate)] : [];
        }

        return [new TodayItem(
            TodayKind::Decide, trans_choice('today.decide', $of->toDecide, ['count' => $of->toDecide]), trans_choice('today.rows_to_change', $of->rowsToChange, ['count' => $of->rowsToChange]), $deadline?->due, $deadline->isLate ?? false,
        )];
    }

    /**
     * @param  array<string, Deadline>  $countdown
     * @return list<TodayItem> the first due first; walk and decisions have lines of their own
     */
    private static function deadlines(array $countdown, Planter $planter): array
    {
        $today = $planter->workshop->today();
        $titles = array_column(SeasonQuery::plan($planter)->own_items, 'title', 'id');
        $near = array_filter(
            array_diff_key($countdown, [CountdownStep::Walk->value => 1, CountdownStep::Decisions->value => 1]),
            static fn (Deadline $of): bool => $of->isNear($today),
        );
        usort($near, static fn (Deadline $one, Deadline $other): int => $one->due->iso <=> $other->due->iso);

        return array_map(static fn (Deadline $of): TodayItem => new TodayItem(
            TodayKind::Deadline, isset($titles[$of->key]) ? $titles[$of->key] : __("today.step.{$of->key}"), '', $of->due, $of->isLate,
        ), $near);
    }
}
