<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Paper;
use App\Models\Bench\BenchRun;
use App\Models\Parts\LedgerEvent;
use App\Models\Planter;
use App\Spec\ShopAims;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Meter\Air\AirAdvice;
use Ustrel\Core\Meter\Differing;
use Ustrel\Core\Meter\Stage;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Aims;
use Ustrel\Core\Spec\Station;

/** What an owner gets for each meter: how it came, how it goes back, what was changed, and the set-up to use. On paper, with a sheet for the cab. */
final readonly class OwnersReport
{
    public function __construct(private BenchQuery $bench)
    {
    }

    /** @param  Planter  $planter  with its spec sheet and workshop */
    public function pdf(Planter $planter): string
    {
        $changed = $this->changed($planter);
        $aims = ShopAims::of($planter->workshop_id);
        $lots = [];
        foreach ($this->bench->of($planter)->reject(static fn (BenchRun $run): bool => $run->isPractice())->groupBy(static fn (BenchRun $run): string => $run->lotKey()) as $runs) {
            $lots[] = [
                'lot' => $runs->firstOrFail()->lotName(),
                'meters' => $runs->groupBy('row_number')->sortKeys()->map(fn (Collection $of, int $row): array => $this->meter($of, $changed[$row] ?? [], $aims->forLot($of->first()?->seedLot)))->all(),
            ];
        }

        return Paper::pdf('print.bench', ['planter' => $planter, 'day' => $planter->workshop->dates()->full($planter->workshop->today()), 'lots' => $lots]);
    }

    /**
     * One meter with one lot: before and after are held against each other only where the same disc was in, the first of the runs made
     * before the work and the last of those made after it.
     *
     * @param  Collection<int, BenchRun>  $runs  of one row and lot, the newest first
     * @param  list<LedgerEvent>  $changed
     * @return array{before: BenchRun|null, after: BenchRun|null, last: BenchRun, isReal: bool, isCompared: bool, changed: list<string>, advice: AirAdvice|null}
     */
    private function meter(Collection $runs, array $changed, Aims $aims): array
    {
        $last = $runs->firstOrFail();
        $setUp = $runs->filter(static fn (BenchRun $run): bool => $run->disc === $last->disc);
        $before = $setUp->where('stage', Stage::Pre)->last();
        $after = $setUp->where('stage', Stage::Final)->first();
        $both = $before !== null && $after !== null && $before->happened_at < $after->happened_at ? [$before, $after] : null;
        $between = array_filter($changed, static fn (LedgerEvent $event): bool => $both !== null && $event->happened_at >= $both[0]->happened_at->startOfDay() && $event->happened_at <= $both[1]->happened_at);

        return [
            'before' => $before,
            'after' => $after,
            'last' => $last,
            'isReal' => $both !== null && Differing::chanceBetween($both[0]->counts(), $both[1]->counts()) < Differing::LUCK,
            'isCompared' => $both !== null,
            'changed' => array_values(array_unique(array_map(static fn (LedgerEvent $event): string => __("slot.{$event->slot->value}"), $between))),
            'advice' => BenchQuery::advice(BenchQuery::alikeAmong($runs), $aims),
        ];
    }

    /** @return array<int, list<LedgerEvent>> what was fitted to the meters this season, by row */
    private function changed(Planter $planter): array
    {
        $ofMeter = array_values(array_filter(Slot::cases(), static fn (Slot $slot): bool => $slot->station() === Station::Meter));
        $changed = [];
        foreach (LedgerEvent::current($planter->id)->where('kind', LedgerEventKind::Fitted)->whereIn('slot', array_column($ofMeter, 'value'))->where('happened_at', '>=', now()->subYear())->orderBy('happened_at')->get() as $event) {
            $changed[$event->row_number][] = $event;
        }

        return $changed;
    }
}
