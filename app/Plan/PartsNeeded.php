<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Plan\Decision;
use App\Models\Planter;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Query;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Work\WorkEventKind;

/** Reads which parts the decisions of a workshop need that are not done yet: what was changed since needs none any more. */
final class PartsNeeded
{
    /** The work begins so many days before planting. */
    private const WORK = 7;

    /** @return array<int, list<Needed>> by part type */
    public function of(Workshop $workshop): array
    {
        $places = $this->places($workshop);
        $needs = [];
        foreach (Planter::query()->whereKey(array_keys($places))->with('specSheet')->orderBy('name')->get() as $planter) {
            $types = PartPrices::of($planter)->types;
            $counts = [];
            foreach (array_keys($places[$planter->id]) as $place) {
                $type = $types[$place] ?? null;
                if ($type !== null) {
                    $counts[$type->id] = ($counts[$type->id] ?? 0) + 1;
                }
            }
            foreach ($counts as $type => $count) {
                $needs[$type][] = new Needed($planter->id, $planter->name, $count, $planter->planting_start?->plusDays(-self::WORK));
            }
        }

        return $needs;
    }

    /** @return array<int, array<string, true>> slot places that get a part, each once, by planter */
    private function places(Workshop $workshop): array
    {
        $places = [];
        $decisions = Decision::query()
            ->whereIn('planter_id', $workshop->ownPlanters()->select('id'))
            ->where('action', Action::Change)->where('withdrawn', false)
            ->whereNotIn('decisions.id', static fn (Query $later): Query => $later->from('decisions AS later')->whereNotNull('later.supersedes')->select('later.supersedes'))
            // Another part went in since, or somebody has read something else there.
            ->whereNotExists(static fn (Query $since): Query => $since->from('renewals')
                ->whereRaw('(renewals.walk_id, renewals.row_number, renewals.check_key, renewals.side) = (decisions.walk_id, decisions.row_number, decisions.check_key, decisions.side)'))
            ->where(static fn (Builder $still): Builder => $still->whereNull('reading_id')->orWhereExists(static fn (Query $now): Query => $now->from('cells')->whereColumn('cells.walk_id', 'decisions.walk_id')->whereColumn('cells.reading_id', 'decisions.reading_id')))
            // Somebody tried, and could not: it is decided about anew.
            ->whereNotExists(static fn (Query $since): Query => $since->from('work_events')->whereColumn('work_events.planter_id', 'decisions.planter_id')
                ->where('kind', WorkEventKind::CouldNot)->whereColumn('work_events.recorded_at', '>=', 'decisions.recorded_at')->where('work_events.withdrawn', false)
                ->whereRaw("places @> to_jsonb(concat_ws(':', decisions.row_number, decisions.check_key, decisions.side))")
                ->whereNotIn('work_events.id', static fn (Query $later): Query => $later->from('work_events AS later')->whereNotNull('later.supersedes')->select('later.supersedes')))
            ->whereNotExists(static fn (Query $since): Query => $since->from('walks')
                ->whereColumn('walks.planter_id', 'decisions.planter_id')->where('walks.imported', false)
                ->whereRaw('walks.started_at > (SELECT started_at FROM walks AS own WHERE own.id = decisions.walk_id)'))
            ->toBase()->get(['planter_id', 'parts']);
        foreach ($decisions as $decision) {
            foreach (json_decode($decision->parts, true) as $part) {
                $places[$decision->planter_id]["{$part['row']}:{$part['slot']}:{$part['side']}"] = true;
            }
        }

        return $places;
    }
}
