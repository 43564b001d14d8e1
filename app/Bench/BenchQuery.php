<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Bench\BenchRun;
use App\Models\Bench\SeedLot;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Models\Walk\Cell;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Meter\Air\AirAdvice;
use Ustrel\Core\Meter\Air\AirRun;
use Ustrel\Core\Meter\Differing;
use Ustrel\Core\Meter\MeterStrategy;
use Ustrel\Core\Meter\SizesDue;
use Ustrel\Core\Spec\Aims;
use Ustrel\Core\Spec\Judging\Verdict;

/** Reads the runs of a planter's meters, and which meters are really worse or better than the others. */
final readonly class BenchQuery
{
    /** @return Collection<int, BenchRun> of this season, the newest first */
    public function of(Planter $planter): Collection
    {
        return $this->held($planter)->where('is_look', false)->values();
    }

    /** @return Collection<int, BenchRun> turns of a disc by hand this season that somebody looked at, the newest first: they are no runs */
    public function looks(Planter $planter): Collection
    {
        return $this->held($planter)->where('is_look', true)->values();
    }

    /** @return Collection<int, BenchRun> of this season, the newest first */
    private function held(Planter $planter): Collection
    {
        return BenchRun::current($planter->id)->where('happened_at', '>=', now()->subYear())->with(['user', 'standRun:id,figures,practice', 'seedLot:id,name,crop,shape'])->orderByDesc('happened_at')->orderByDesc('id')->get()
            ->filter(static fn (BenchRun $run): bool => $planter->seasonAt($run->happened_at->toIso8601String()) === $planter->season())->values();
    }

    /**
     * The newest run of each row in the seasons before, whole and on a real meter.
     *
     * @param  Collection<int, BenchRun>  $runs  of this season
     * @return array<int, array{BenchRun, int}> by row, with the season
     */
    public function before(Planter $planter, Collection $runs): array
    {
        $before = BenchRun::current($planter->id)->whereNotIn('id', $runs->modelKeys())->where('is_partial', false)->where('is_look', false)->with(['standRun:id,practice', 'seedLot:id,name'])
            ->orderBy('row_number')->orderByDesc('happened_at')->orderByDesc('id')->distinct(['row_number'])->get()
            ->reject(static fn (BenchRun $run): bool => $run->isPractice());

        return $before->mapWithKeys(static fn (BenchRun $run): array => [$run->row_number => [$run, $planter->seasonAt($run->happened_at->toIso8601String())]])->all();
    }

    /**
     * The runs of a row's meter that were made as its newest one was, at whatever air: with the same seed, disc, singulator and lubricant, near in speed.
     *
     * @return Collection<int, BenchRun> the newest first; none where the newest has no air
     */
    public function alike(Planter $planter, int $row): Collection
    {
        return self::alikeAmong($this->of($planter)->where('row_number', $row)->values());
    }

    /**
     * @param  Collection<int, BenchRun>  $runs  of one row, the newest first
     * @return Collection<int, BenchRun> those made as the newest was, at whatever air
     */
    public static function alikeAmong(Collection $runs): Collection
    {
        $last = $runs->first();

        return $runs->filter(static fn (BenchRun $run): bool => $last?->air !== null && $run->air !== null && $run->isPractice() === $last->isPractice() && $run->setUp()->isLike($last->setUp()))->values();
    }

    /** @return array<string, true> places that the walk that matters reads as not sound, by key: what a run says does not go over them */
    public function unsound(Planter $planter): array
    {
        $walk = $planter->walkThatMatters();
        $cells = $walk === null ? [] : Cell::query()->where('walk_id', $walk->id)->whereIn('verdict', [Verdict::Watch, Verdict::Change, Verdict::Failed])->get();
        $unsound = [];
        foreach ($cells as $cell) {
            $unsound[$cell->place()->key()] = true;
        }

        return $unsound;
    }

    /** @param  Collection<int, BenchRun>  $runs  of one set-up, each with its air */
    public static function advice(Collection $runs, Aims $aims): ?AirAdvice
    {
        return $runs->isEmpty() ? null : AirAdvice::of(array_values($runs->map(static fn (BenchRun $run): AirRun => new AirRun((float) $run->air, $run->counts()))->all()), $aims->singulation);
    }

    /**
     * Where the shop runs meters for every size of seed: which of the season's lots each row has not been run with yet.
     *
     * @param  Collection<int, BenchRun>  $runs  of this season
     * @return array<int, list<string>>|null by row, of those that have some left; null where the shop goes by seasons, or no field of the season names a lot
     */
    public function due(Planter $planter, Collection $runs): ?array
    {
        $plan = $planter->workshop->meter_school === MeterStrategy::EverySize ? SeasonPlan::query()->where('planter_id', $planter->id)->where('season', $planter->season())->first() : null;
        $planned = [];
        foreach ($plan->fields ?? [] as $field) {
            if (($field['seed'] ?? null) !== null) {
                $planned[isset($field['seed_lot_id']) ? "#{$field['seed_lot_id']}" : mb_strtolower(trim($field['seed']))] = $field['seed'];
            }
        }
        if ($planned === []) {
            return null;
        }
        $lots = SeedLot::query()->where('workshop_id', $planter->workshop_id)->get();
        $sizes = $lots->mapWithKeys(static fn (SeedLot $of): array => ["#{$of->id}" => $of->size === null ? null : (float) $of->size])->all();
        $names = $lots->mapWithKeys(static fn (SeedLot $of): array => ["#{$of->id}" => $of->name])->all() + $planned;
        $whole = $runs->reject(static fn (BenchRun $run): bool => $run->is_partial || $run->isPractice())->groupBy('row_number');
        $due = [];
        foreach ($planter->runningRows() as $row) {
            $left = array_map(static fn (string $key): string => $names[$key] ?? $key, SizesDue::of(array_map(strval(...), array_keys($planned)), array_values($whole->get($row)?->map(static fn (BenchRun $run): string => $run->lotKey())->all() ?? []), $sizes));
            if ($left !== []) {
                $due[$row] = $left;
            }
        }

        return $due;
    }

    /**
     * By the newest run of each row, on the seed that was run last.
     *
     * @param  Collection<int, BenchRun>  $runs  the newest first
     * @return array<int, bool> rows that differ: true where it is worse
     */
    public function differing(Collection $runs): array
    {
        $last = $runs->first();
        $counts = $runs->filter(static fn (BenchRun $run): bool => $run->lotKey() === $last?->lotKey() && $run->isPractice() === $last->isPractice())->unique('row_number')
            ->mapWithKeys(static fn (BenchRun $run): array => [$run->row_number => $run->counts()])->all();

        return Differing::among($counts);
    }
}
