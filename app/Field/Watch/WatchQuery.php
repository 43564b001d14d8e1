<?php

declare(strict_types=1);

namespace App\Field\Watch;

use App\Models\Field\WatchAlarm;
use App\Models\Field\WatchPass;
use App\Models\Field\WatchRun;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Collection;

/** Reads how a planter is watched now, and how it was. */
final readonly class WatchQuery
{
    private const MOST_RUNS = 20;

    private const MOST_ALARMS = 60;

    private const MOST_PASSES = 12;

    /** The run that is under way, or was last. */
    public function newest(Planter $planter): ?WatchRun
    {
        return WatchRun::query()->toShow()->where('planter_id', $planter->id)->orderByDesc('made_at')->orderByDesc('id')->first();
    }

    /** @return Collection<int, WatchAlarm> the newest first */
    public function alarms(WatchRun $run): Collection
    {
        return $run->alarms()->with(['entries.user:id,name', 'backs'])->orderByDesc('at')->orderByDesc('id')->limit(self::MOST_ALARMS)->get();
    }

    /** @return Collection<int, WatchPass> the newest first */
    public function passes(WatchRun $run): Collection
    {
        return $run->passes()->orderByDesc('number')->limit(self::MOST_PASSES)->get();
    }

    /** @return Collection<int, WatchRun> that are over, the newest first, with how many passes and alarms they had and how many feet */
    public function before(Planter $planter): Collection
    {
        return WatchRun::query()->toShow()->where('planter_id', $planter->id)->where('state', 'ended')->withCount(['passes', 'alarms'])->withSum('passes', 'feet')->orderByDesc('made_at')->limit(self::MOST_RUNS)->get();
    }
}
