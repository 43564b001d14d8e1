<?php

declare(strict_types=1);

namespace App\Bench\Meters;

use App\Models\Bench\BenchRun;
use App\Models\Bench\MeterMove;
use App\Models\Workshop;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Meter\Places\MeterStay;
use Ustrel\Core\Meter\Places\MeterStays;

/** Reads where a workshop's meters are and were, and which runs on the stand are whose. */
final readonly class MetersQuery
{
    /** @return array<int, non-empty-list<MeterStay>> by meter, the earliest first */
    public function stays(int $workshopId): array
    {
        return MeterStays::of(array_values(MeterMove::current($workshopId)->get()->map(static fn (MeterMove $move) => $move->move())->all()));
    }

    /**
     * @param  array<int, non-empty-list<MeterStay>>  $stays
     * @return array<int, list<BenchRun>> of real meters, by meter: the newest first
     */
    public function runs(Workshop $workshop, array $stays): array
    {
        $runs = [];
        $held = BenchRun::query()->whereIn('planter_id', $workshop->planters()->select('id'))->where('withdrawn', false)->where('is_look', false)
            ->whereNotIn('id', BenchRun::query()->whereIn('planter_id', $workshop->planters()->select('id'))->whereNotNull('supersedes')->select('supersedes'))->with(['standRun:id,practice', 'seedLot:id,name'])->get();
        foreach ($held as $run) {
            $meter = ! $run->isPractice() ? MeterStays::meterOf($stays, [$run->planter_id, $run->row_number], Moment::of($run->happened_at->toIso8601ZuluString('millisecond'))) : null;
            if ($meter !== null) {
                $runs[$meter][] = $run;
            }
        }

        return array_map(static function (array $of): array {
            usort($of, static fn (BenchRun $one, BenchRun $other): int => [$other->happened_at, $other->id] <=> [$one->happened_at, $one->id]);

            return $of;
        }, $runs);
    }
}
