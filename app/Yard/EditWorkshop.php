<?php

declare(strict_types=1);

namespace App\Yard;

use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use App\Models\Workshop;
use App\Record\Affected;
use App\Record\Change;
use App\Record\ChangedMeanwhile;
use App\Record\Document;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Ustrel\Core\Wear\Acres\Ground;

/**
 * Sets what a shop goes by: its time zone, what it does about depth stops, over which odds a part is watched, how the ground
 * wears parts, how far it measures off. Open walks follow; finished ones keep their odds.
 */
final readonly class EditWorkshop
{
    /** What forecasts and open walks hang on. */
    private const OF_JUDGEMENT = ['watch_chance', 'time_zone', 'ground_factors', 'own_sd', 'depth_school'];

    public function __construct(private Change $change)
    {
    }

    /**
     * @param  array<string, mixed>  $columns  only those that are to be set
     * @param  array<string, string>  $seen  versions of those that were looked at before
     *
     * @throws ChangedMeanwhile
     */
    public function __invoke(int $workshopId, array $columns, array $seen = []): Workshop
    {
        return $this->change->ofYard($workshopId, static function (Workshop $workshop) use ($columns, $seen): ?Closure {
            Document::assertUntouched($workshop, $columns, $seen);
            $workshop->fill($columns);
            [$counts, $newZone, $newGround] = [$workshop->isDirty(self::OF_JUDGEMENT), $workshop->isDirty('time_zone'), $workshop->isDirty('ground_factors')];
            $workshop->save();

            return $counts ? static function (Planter $planter, Affected $affected) use ($newZone, $newGround): void {
                if ($newGround) {
                    self::weighAnew($planter, $affected);
                }
                $affected->everything = $newZone;
                $affected->figures($planter, $planter->workshop->ofWalk());
            } : null;
        });
    }

    /** What was said of each field stays; what it means to the parts follows the shop's figures. */
    private static function weighAnew(Planter $planter, Affected $affected): void
    {
        $factors = $planter->workshop->groundFactors();
        $said = ['soil', 'residue', 'tillage', 'downforce'];
        $lines = AcresEntry::query()->where('planter_id', $planter->id)->where('own_severity', false);
        $first = (clone $lines)->orderBy('day')->first();
        if ($first !== null) {
            $affected->acres($first->day);
        }
        foreach ((clone $lines)->select($said)->distinct()->get() as $line) {
            $ground = new Ground($line->soil, $line->residue, $line->tillage, downforce: $line->downforce);
            $of = clone $lines;
            foreach ($said as $kind) {
                $of->where(static fn (Builder $same): Builder => $line->{$kind} === null ? $same->whereNull($kind) : $same->where($kind, $line->{$kind}));
            }
            $of->update(['severity' => number_format($ground->severity($factors), 2, '.', '')]);
        }
    }
}
