<?php

declare(strict_types=1);

namespace App\Yard;

use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Walk;
use App\Models\Walk\WalkRow;
use App\Walk\Board\RibbonRow;
use App\Walk\Board\Waiting;
use App\Wear\ExpectedRows;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Ustrel\Core\Walk\Urgency;

/** Reads the yard: every planter that somebody may look at with its ribbon, the most pressing first. */
final class YardQuery
{
    /** @return list<YardPlanter> */
    public function of(User $user): array
    {
        $planters = Planter::query()
            ->where('workshop_id', $user->workshop_id)
            ->when($user->planter_id !== null, static fn (Builder $planters): Builder => $planters->whereKey($user->planter_id))
            ->with('workshop')
            ->get();
        $walks = $this->newestWalks($planters);
        $read = WalkRow::query()
            ->whereIn('walk_id', $walks->pluck('id'))
            ->get()
            ->groupBy('walk_id');

        $unwalked = $planters->reject(function (Planter $planter) use ($walks): bool {
            $walk = $walks->get($planter->id);

            return $walk !== null && $this->isOfThisSeason($walk, $planter) && $walk->isFinished();
        });
        $expected = ExpectedRows::of($unwalked);

        return array_values($planters
            ->map(function (Planter $planter) use ($walks, $read, $expected): YardPlanter {
                $walk = $walks->get($planter->id);
                $thisSeason = $walk !== null && $this->isOfThisSeason($walk, $planter);
                $lines = $walk !== null && $thisSeason ? $read->get($walk->id, []) : [];
                $ribbon = RibbonRow::all($planter->row_count, $lines, $expected[$planter->id] ?? [], $planter->parked_rows);

                return $this->summary($planter, $walk, $thisSeason, $ribbon, RibbonRow::ofWholePlanter($lines));
            })
            ->sortBy([
                static fn (YardPlanter $a, YardPlanter $b): int => $a->planter->is_sample <=> $b->planter->is_sample,
                static fn (YardPlanter $a, YardPlanter $b): int => $b->urgency <=> $a->urgency,
                static fn (YardPlanter $a, YardPlanter $b): int => $a->planter->name <=> $b->planter->name,
            ])
            ->all());
    }

    /**
     * @param  Collection<int, Planter>  $planters
     * @return Collection<int, Walk> by planter
     */
    private function newestWalks(Collection $planters): Collection
    {
        $newest = Walk::query()
            ->selectRaw('DISTINCT ON (planter_id) id, planter_id, season, kind, row_count, row_places, planter_places, started_at, finished_at')
            ->whereIn('planter_id', $planters->pluck('id'))
            ->orderByRaw('planter_id, started_at DESC, id DESC');

        return Waiting::countedOn(Walk::query()->fromSub($newest, 'walks')->select('walks.*'))->get()->keyBy('planter_id');
    }

    private function isOfThisSeason(Walk $walk, Planter $planter): bool
    {
        return $walk->season >= $planter->season() || ! $walk->isFinished();
    }

    /** @param  list<RibbonRow>  $ribbon */
    private function summary(Planter $planter, ?Walk $walk, bool $thisSeason, array $ribbon, RibbonRow $wholePlanter): YardPlanter
    {
        $ofRows = $thisSeason ? $walk->row_places ?? [] : [];
        $places = $thisSeason ? (int) $walk?->places() : 0;
        $checked = $wholePlanter->checked + array_sum(array_map(static fn (RibbonRow $row): int => $row->checked, $ribbon));
        $toChange = count(array_filter($ribbon, static fn (RibbonRow $row): bool => $row->toChange()));
        $unwalked = count(array_filter($ribbon, static fn (RibbonRow $row): bool => ! $row->isParked && (array_sum($ofRows) === 0 || $row->checked < $ofRows[$row->row - 1])));
        $days = $planter->daysToPlanting();

        return new YardPlanter(
            $planter,
            $walk,
            $thisSeason,
            $ribbon,
            $places === 0 ? 0.0 : min(1.0, $checked / $places),
            $toChange,
            $thisSeason ? (int) $walk?->getAttribute('to_decide') : 0,
            $thisSeason ? (int) $walk?->getAttribute('to_measure_again') : 0,
            $days,
            Urgency::of($unwalked, $toChange, $days),
        );
    }
}
