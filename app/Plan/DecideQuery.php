<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Plan\Decision;
use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Models\Walk\Walk;
use App\Models\Wear\RenewedPart;
use App\Record\Moments;
use App\Walk\Board\BoardQuery;
use App\Walk\Board\CurrentReading;
use App\Walk\StoredReason;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Plan\Finding;
use Ustrel\Core\Plan\Proposals;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Walk\Findings;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/** Reads what there is to decide on a planter. */
final readonly class DecideQuery
{
    public function __construct(private PlanRecord $record)
    {
    }

    /** @param  Planter  $planter  with its spec sheet and workshop */
    public function of(Planter $planter): Decisions
    {
        $walk = $planter->walkThatMatters()?->setRelation('planter', $planter);
        $sheet = $walk === null ? $planter->readSheet() : $walk->readSheet();
        $readings = $walk === null ? [] : BoardQuery::unsound($walk);
        $findings = self::findings($sheet, $walk, $readings);
        $now = $this->record->of($planter, array_map(static fn (Finding $finding): CheckKey => $finding->place->check, $findings));
        $proposals = Proposals::of($findings, $now);
        $decisions = Decision::current($planter->id)->with(['user', 'walk'])->orderBy('recorded_at')->orderBy('id')->get();
        $ofWalk = $before = [];
        foreach ($decisions as $decision) {
            if ($decision->walk_id === $walk?->id) {
                $ofWalk[$decision->place()->key()] = $decision;
            } else {
                $before[$decision->place()->key()] = $decision;
            }
        }
        $hands = WorkLogRecord::of($planter, $ofWalk);
        $found = [];
        foreach ($proposals as $key => $proposal) {
            $found[] = new Found($proposal->place, $readings[$key] ?? null, $proposal, $ofWalk[$key] ?? null, self::ifCarried($before[$key] ?? null), $hands->done($key), $hands->couldNot($key));
        }

        return new Decisions($planter, $walk, $found, self::carried($planter, $walk, [...$before, ...$ofWalk], $now->acresDone), $now);
    }

    private static function ifCarried(?Decision $decision): ?Decision
    {
        return $decision?->look_when === null ? null : $decision;
    }

    /**
     * @param  array<string, CurrentReading>  $readings  by place key
     * @return list<Finding> the worst first
     */
    private static function findings(Sheet $sheet, ?Walk $walk, array $readings): array
    {
        if ($walk === null) {
            return [];
        }
        $places = Route::through($sheet, $walk->row_count, WalkOrder::RowByRow)->places;
        $findings = [];
        foreach (Findings::among($places, array_map(static fn (CurrentReading $reading): Verdict => $reading->verdict, $readings)) as $at) {
            $place = $places[$at];
            $check = $sheet->checkAt($place);
            $reading = $readings[$place->key()] ?? null;
            if ($check !== null && $reading !== null) {
                $findings[] = new Finding($place, $check, $reading->verdict, array_map(StoredReason::read(...), $reading->reasons()), $reading->answer());
            }
        }

        return $findings;
    }

    /**
     * What was carried over and is not seen to: it comes back by itself.
     *
     * @param  array<string, Decision>  $decisions  the newest at each place
     * @return list<CarriedOver>
     */
    private static function carried(Planter $planter, ?Walk $walk, array $decisions, float $planted): array
    {
        $carried = array_filter($decisions, static fn (Decision $decision): bool => $decision->look_when !== null);
        if ($carried === []) {
            return [];
        }
        $since = self::lookedAtSince($planter, $carried);
        $walks = $planter->walks()->where('imported', false)->get(['id', 'kind', 'started_at']);
        $list = [];
        foreach ($carried as $key => $decision) {
            $at = Moment::ofMilliseconds($decision->happened_at->getTimestampMs());
            if (isset($since[$key]) && $since[$key]->isAfter($at)) {
                continue;
            }
            $later = $walks->filter(static fn (Walk $of): bool => $of->began()->isAfter($at));
            $isDue = $decision->lookAgain()?->isDue($planted, $later->isNotEmpty(), $later->contains('kind', WalkKind::RainDay)) ?? false;
            $list[] = new CarriedOver($decision, $isDue);
        }
        usort($list, static fn (CarriedOver $one, CarriedOver $other): int => [$other->isDue, $one->decision->row_number, $one->decision->id] <=> [$one->isDue, $other->decision->row_number, $other->decision->id]);

        return $list;
    }

    /**
     * @param  array<string, Decision>  $carried  by place key
     * @return array<string, Moment> when each place was last read, or given another part
     */
    private static function lookedAtSince(Planter $planter, array $carried): array
    {
        $place = Place::KEY_IN_SQL;
        $at = [];
        foreach ([[Cell::query()->where('planter_id', $planter->id), 'taken_at'], [RenewedPart::query()->whereIn('walk_id', $planter->walks()->select('id')), 'happened_at']] as [$query, $column]) {
            $rows = $query->whereIn('check_key', array_unique(array_map(static fn (Decision $decision): string => $decision->check_key->value, $carried)))
                ->toBase()->selectRaw("{$place} AS place, max(".Moments::sql($column).') AS at')->groupByRaw('row_number, check_key, side')->get();
            foreach ($rows as $row) {
                $moment = Moment::ofMilliseconds($row->at);
                $at[$row->place] = isset($at[$row->place]) && $at[$row->place]->isAfter($moment) ? $at[$row->place] : $moment;
            }
        }

        return $at;
    }
}
