<?php

declare(strict_types=1);

namespace App\Yard;

use App\Models\Planter;
use App\Models\Workshop;
use App\Record\Change;
use App\Record\Touched;
use Closure;
use Ustrel\Core\Field\DepthSchool;

/** Sets what a shop goes by: its time zone, what it does about depth stops, and over which odds a part is watched. Open walks follow; finished ones keep their odds. */
final readonly class EditWorkshop
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  float|null  $watchChance  between 0 and 1; null to leave it
     * @param  string|null  $timeZone  of the tz database; null to leave it
     * @param  DepthSchool|null  $depthSchool  null to leave it
     */
    public function __invoke(int $workshopId, ?float $watchChance, ?string $timeZone, ?DepthSchool $depthSchool): Workshop
    {
        return $this->change->ofWorkshop($workshopId, static function (Workshop $workshop, Closure $change) use ($watchChance, $timeZone, $depthSchool): Workshop {
            $workshop->fill(array_filter([
                'watch_chance' => $watchChance === null ? null : number_format($watchChance, 3, '.', ''),
                'time_zone' => $timeZone,
                'depth_school' => $depthSchool,
            ], static fn (mixed $value): bool => $value !== null));
            $newZone = $workshop->isDirty('time_zone');
            $workshop->save();
            foreach ($workshop->planters()->orderBy('id')->get() as $planter) {
                $change($planter, static function (Planter $planter, Touched $touched) use ($workshop, $newZone): void {
                    $touched->everything = $newZone;
                    $touched->forecasts = true;
                    $walk = $planter->openWalk();
                    if ($walk !== null) {
                        $walk->update(['watch_chance' => $workshop->watch_chance]);
                        $touched->walks[$walk->id] = true;
                    }
                });
            }

            return $workshop;
        });
    }
}
