<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\BenchRun;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Meter\Differing;

/** Reads the runs of a planter's meters, and which meters are really worse or better than the others. */
final readonly class BenchQuery
{
    /** @return Collection<int, BenchRun> of this season, the newest first */
    public function of(Planter $planter): Collection
    {
        return BenchRun::held($planter->id)->where('happened_at', '>=', now()->subYear())->with('user')->orderByDesc('happened_at')->orderByDesc('id')->get()
            ->filter(static fn (BenchRun $run): bool => $planter->seasonAt($run->happened_at->toIso8601String()) === $planter->season())->values();
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
        $counts = $runs->filter(static fn (BenchRun $run): bool => $run->seed === $last?->seed)->unique('row_number')
            ->mapWithKeys(static fn (BenchRun $run): array => [$run->row_number => $run->counts()])->all();

        return Differing::among($counts);
    }
}
