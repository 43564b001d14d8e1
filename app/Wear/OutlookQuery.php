<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use App\Models\Walk;
use App\Record\Instant;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Outlook;
use Ustrel\Core\Spec\SpecSheet;

/** Says from which size on a reading would not last the season, by place. */
final readonly class OutlookQuery
{
    public function __construct(private UseQuery $uses)
    {
    }

    /**
     * Of a walk, as it was reckoned when it began.
     *
     * @param  list<int>|null  $rows  only these rows
     * @return array<string, Outlook> by place key
     */
    public function kept(Walk $walk, ?array $rows = null): array
    {
        $turns = DB::table('outlooks')
            ->where('walk_id', $walk->id)
            ->when($rows !== null, static fn ($outlooks) => $outlooks->whereIn('row_number', $rows))
            ->get()
            ->mapWithKeys(static fn (stdClass $line): array => ["{$line->row_number}:{$line->check_key}:{$line->side}" => (float) $line->turns_at])
            ->all();

        return self::outlooks($turns, $walk->watch_chance);
    }

    /** @return array<string, Outlook> of a walk, by what was known when it began */
    public function reckoned(Walk $walk): array
    {
        $walk->loadMissing('planter');

        return self::outlooks(
            $this->turns($walk->planter, $walk->readSheet(), $walk->planned_acres, $walk->watch_chance, $walk->season, $walk->started_at, $walk),
            $walk->watch_chance,
        );
    }

    /** @return array<string, Outlook> of the walk that would be started now */
    public function ofPlanter(Planter $planter): array
    {
        $planter->loadMissing(['specSheet', 'workshop']);
        $chance = $planter->workshop->watch_chance;

        return self::outlooks(
            $this->turns($planter, $planter->readSheet(), $this->uses->plannedAcres($planter), $chance, $planter->season(), CarbonImmutable::now()),
            $chance,
        );
    }

    /** @return array<string, float> millimetres, by place key */
    private function turns(Planter $planter, SpecSheet $sheet, float|string|null $acres, string $chance, int $season, CarbonImmutable $asOf, ?Walk $walk = null): array
    {
        $log = $this->uses->log($planter);
        $plan = $this->uses->plan($planter, $log, $acres === null ? null : (float) $acres, $season, $asOf);
        if ($plan === null) {
            return [];
        }
        $wearing = Wearing::checks($sheet);
        $record = WearRecord::of($planter, array_keys($wearing), $walk);
        $turns = [];
        foreach ($wearing as $check) {
            $path = $check->wear();
            $items = Wearing::items($record->traces($check), $log, $path, Instant::of($asOf));
            foreach (Wearing::forecaster($check, $path, $chance)->of($items, $plan->effectiveLeft()) as $key => $forecast) {
                if ($forecast->watchUnder !== null && $forecast->watchUnder > 0) {
                    $turns[$key] = $path->size($forecast->watchUnder);
                }
            }
        }

        return $turns;
    }

    /**
     * @param  array<string, float>  $turns  millimetres
     * @return array<string, Outlook>
     */
    private static function outlooks(array $turns, string $chance): array
    {
        $percent = Unit::Percent->quantityOf(round(100 * (float) $chance, 1));

        // To the nanometre, as it is kept.
        return array_map(static fn (float $size): Outlook => new Outlook(Unit::Millimetre->quantityOf($size), $percent), $turns);
    }
}
