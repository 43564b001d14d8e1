<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Walk;
use App\Record\Affected;
use App\Wear\WearRecord;
use Carbon\CarbonImmutable;
use DateTimeZone;
use Illuminate\Support\Str;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/** The finished walk of a past season that readings from files go into: one for each season, judged as the shop judges. */
final readonly class PastWalk
{
    public function __construct(
        private Planter $planter,
        private User $by,
        private Affected $affected,
    ) {
    }

    /**
     * @param  Day  $first  of the readings that it is to hold besides those it has
     * @param  Day  $last  of them
     */
    public function of(int $season, Day $first, Day $last): Walk
    {
        $zone = $this->planter->workshop->zone();
        $began = self::midnight($first, $zone);
        $ended = self::midnight($last, $zone)->endOfDay();
        $walk = $this->planter->walks()->where('season', $season)->where('imported', true)->first() ?? $this->made($season, $began, $ended);
        $walk->started_at = $walk->started_at->min($began);
        $walk->finished_at = ($walk->finished_at ?? $ended)->max($ended);
        $moved = ! $walk->exists || $walk->isDirty('started_at');
        $walk->save();
        if ($moved) {
            $this->affected->walks[$walk->id] = true;
            // The one before says how things stand no longer than until this one.
            $before = $this->planter->walks()->where('started_at', '<', $walk->started_at)->latest('started_at')->value('id');
            if ($before !== null) {
                $this->affected->walks[$before] = true;
            }
        }

        return $walk->setRelation('planter', $this->planter);
    }

    private static function midnight(Day $day, DateTimeZone $zone): CarbonImmutable
    {
        return CarbonImmutable::parse($day->iso, $zone);
    }

    private function made(int $season, CarbonImmutable $began, CarbonImmutable $ended): Walk
    {
        $record = new WearRecord($this->planter);
        $planted = $record->planted();

        return (new Walk([
            'id' => (string) Str::uuid7(),
            'planter_id' => $this->planter->id,
            'season' => $season,
            'kind' => WalkKind::PreSeason,
            'walk_order' => WalkOrder::RowByRow,
            // What is parked now may have planted then.
            ...['parked_rows' => []] + $this->planter->asWalked(),
            'started_by' => $this->by->id,
            'finished_by' => $this->by->id,
            'started_at' => $began,
            'finished_at' => $ended,
            // What the season did bring is what it was to bring, as far as anybody can still tell.
            'planned_acres' => $planted->in($season) ?: $planted->lastBefore($season) ?? $this->planter->planned_acres,
            ...$this->planter->workshop->ofWalk(),
            'imported' => true,
        ]))->countPlaces();
    }
}
