<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Bench\BenchRun;
use App\Models\Bench\SeedLot;
use App\Models\Planter;
use App\Spec\ShopAims;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Meter\PastRun;
use Ustrel\Core\Meter\StartSettings;
use Ustrel\Core\Spec\MeterType;

/** Reads what the shop's runs of other seasons and planters say of the singulator and the air for a seed lot on a disc. */
final readonly class StartSettingsQuery
{
    /** The newest tell enough. */
    private const MOST = 200;

    public function of(Planter $planter, int $row, SeedLot $lot, string $disc): ?StartSettings
    {
        $seed = $lot->seed();
        $lots = SeedLot::query()->where('workshop_id', $planter->workshop_id)->get()->filter(static fn (SeedLot $of): bool => $of->id === $lot->id || $of->seed()->sizedLike($seed) !== null)->keyBy('id');
        $runs = $this->runs($planter, $row, $lots, $disc)->map(static fn (BenchRun $run): PastRun => new PastRun(
            $run->lotKey(), $lots->findOrFail($run->seed_lot_id)->seed(), $run->singulator, $run->air === null ? null : (float) $run->air, $run->counts(),
        ));

        return StartSettings::of("#{$lot->id}", $seed, array_values($runs->all()), ShopAims::of($planter->workshop_id)->forLot($lot)->singulation);
    }

    /**
     * @param  Collection<int, SeedLot>  $lots  by id
     * @return Collection<int, BenchRun> whole runs of real meters of the same kind, on any of the shop's planters, the newest first
     */
    private function runs(Planter $planter, int $row, Collection $lots, string $disc): Collection
    {
        $planters = $planter->workshop->planters()->where('is_sample', $planter->is_sample)->with('specSheet')->get()->keyBy('id');
        $meter = $planter->units()->at($row)->meter;
        $units = [];
        $meterOf = static function (BenchRun $run) use ($planters, &$units): ?MeterType {
            $of = $units[$run->planter_id] ??= $planters->findOrFail($run->planter_id)->units();

            return $run->row_number > $of->rows ? null : $of->at($run->row_number)->meter;
        };

        return BenchRun::current(...$planters->modelKeys())->whereIn('seed_lot_id', $lots->modelKeys())->whereRaw('lower(disc) = lower(?)', [$disc])
            ->where(['is_partial' => false, 'is_look' => false])
            ->whereDoesntHave('standRun', static fn (Builder $of): Builder => $of->whereNotNull('practice'))
            ->orderByDesc('happened_at')->orderByDesc('id')->limit(self::MOST)->get()
            ->filter(static fn (BenchRun $run): bool => $meterOf($run) === $meter)->values();
    }
}
