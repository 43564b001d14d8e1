<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Paper;
use App\Models\Bench\BenchRun;
use App\Models\Parts\LedgerEvent;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Meter\Air\AirAdvice;
use Ustrel\Core\Meter\Differing;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\Slot;
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
        $byRow = $this->bench->of($planter)->groupBy('row_number')->sortKeys();
        $changed = $this->changed($planter);

        return Paper::pdf('print.bench', [
            'planter' => $planter,
            'day' => $planter->workshop->today()->iso,
            'meters' => $byRow->map(fn (Collection $runs, int $row): array => $this->meter($planter, $row, $runs, $changed[$row] ?? []))->all(),
        ]);
    }

    /**
     * @param  Collection<int, BenchRun>  $runs  of one row, the newest first
     * @param  list<LedgerEvent>  $changed
     * @return array{before: BenchRun, after: BenchRun|null, isReal: bool, changed: list<string>, advice: AirAdvice|null}
     */
    private function meter(Planter $planter, int $row, Collection $runs, array $changed): array
    {
        /** @var BenchRun $before */
        $before = $runs->last();
        $after = $runs->count() > 1 ? $runs->first() : null;
        $between = array_filter($changed, static fn (LedgerEvent $event): bool => $after !== null && $event->happened_at >= $before->happened_at->startOfDay() && $event->happened_at <= $after->happened_at);

        return [
            'before' => $before,
            'after' => $after,
            'isReal' => $after !== null && Differing::chanceBetween($before->counts(), $after->counts()) < Differing::LUCK,
            'changed' => array_values(array_unique(array_map(static fn (LedgerEvent $event): string => __("slot.{$event->slot->value}"), $between))),
            'advice' => BenchQuery::advice($this->bench->alike($planter, $row)),
        ];
    }

    /** @return array<int, list<LedgerEvent>> what was fitted to the meters this season, by row */
    private function changed(Planter $planter): array
    {
        $ofMeter = array_values(array_filter(Slot::cases(), static fn (Slot $slot): bool => $slot->station() === Station::Meter));
        $changed = [];
        foreach (LedgerEvent::held($planter->id)->where('kind', LedgerEventKind::Fitted)->whereIn('slot', $ofMeter)->where('happened_at', '>=', now()->subYear())->orderBy('happened_at')->get() as $event) {
            $changed[$event->row_number][] = $event;
        }

        return $changed;
    }
}
