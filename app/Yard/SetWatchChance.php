<?php

declare(strict_types=1);

namespace App\Yard;

use App\Models\Walk;
use App\Models\Workshop;
use App\Walk\WalkProjector;
use Illuminate\Support\Facades\DB;

/** Sets over which chance of reaching its limit within the season a shop watches a part. Open walks follow; finished ones keep theirs. */
final readonly class SetWatchChance
{
    public function __construct(private WalkProjector $projector)
    {
    }

    /** @param  float  $chance  between 0 and 1 */
    public function __invoke(Workshop $workshop, float $chance): void
    {
        DB::transaction(function () use ($workshop, $chance): void {
            $workshop->update(['watch_chance' => number_format($chance, 3, '.', '')]);
            $open = Walk::query()
                ->whereNull('finished_at')
                ->whereHas('planter', static fn ($planters) => $planters->where('workshop_id', $workshop->id))
                ->with('planter')
                ->lockForUpdate()
                ->get();
            foreach ($open as $walk) {
                $walk->update(['watch_chance' => $workshop->watch_chance]);
                $this->projector->project($walk);
            }
        });
    }
}
