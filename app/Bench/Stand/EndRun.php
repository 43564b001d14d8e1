<?php

declare(strict_types=1);

namespace App\Bench\Stand;

use App\Bench\BenchRuns;
use App\Models\Bench\StandRun;
use App\Models\Planter;
use App\Record\NotTaken;
use App\Record\TakeWhole;
use Carbon\CarbonImmutable;
use Ustrel\Core\Meter\BadCells;
use Ustrel\Core\Meter\InvalidRun;
use Ustrel\Core\Meter\RunFigures;

/** Ends a run: what its seeds tell goes into the record, once; a run that is too short to tell anything is kept as it is. */
final readonly class EndRun
{
    public function __construct(private TakeWhole $take)
    {
    }

    public function __invoke(StandRun $run): StandRun
    {
        StandRun::query()->whereKey($run->id)->whereIn('state', ['waiting', 'running'])->update(['state' => 'ending', 'heard_at' => CarbonImmutable::now()]);
        $run = $run->refresh();
        if ($run->state !== 'ending') {
            return $run;
        }
        $figures = self::figures($run);
        if ($figures === null || $figures->counts->places < BenchRuns::FEWEST_STREAMED) {
            $run->update(['state' => 'short', 'figures' => null]);

            return $run;
        }
        try {
            ($this->take)($run->planter, $run->user, static fn (Planter $of): BenchRuns => new BenchRuns($of, BenchRuns::FEWEST_STREAMED), [[
                'id' => $run->id, 'row' => $run->row_number, 'stage' => $run->stage->value, 'seed' => $run->seed, 'disc' => $run->disc, 'note' => $run->note,
                'air' => $run->air === null ? null : (float) $run->air, 'cells' => $run->cells, 'places' => $figures->counts->places, 'skips' => $figures->counts->skips, 'doubles' => $figures->counts->doubles,
                'partial' => $figures->counts->places < min(0.98 * $run->places, $run->places - 10), 'happened_at' => ($run->started_at ?? $run->made_at)->toIso8601ZuluString('millisecond'),
            ]]);
        } catch (NotTaken $notTaken) {
            // Such as where the planter has lost that row meanwhile.
            $run->update(['state' => 'short', 'refused' => (string) $notTaken->receipts[0]->message]);

            return $run;
        }
        $run->update(['state' => 'ended', 'figures' => [
            'multiple_index' => round($figures->multipleIndex, 4), 'miss_index' => round($figures->missIndex, 4), 'feed_index' => round($figures->feedIndex, 4),
            'precision' => $figures->precision === null ? null : round($figures->precision, 4), 'every' => round($figures->every, 3),
            'skipping' => self::cells($figures->skipping), 'doubling' => self::cells($figures->doubling), 'seeds_to_name' => $figures->skipping->seedsToName,
        ]]);

        return $run;
    }

    /** What the seeds tell so far; null where they are too few. */
    public static function figures(StandRun $run): ?RunFigures
    {
        try {
            return RunFigures::of($run->times(), $run->every(), $run->cells, BenchRuns::MOST);
        } catch (InvalidRun) {
            return null;
        }
    }

    /** @return list<array{cell: int, wrong: int, turns: int}> cells counted from 1 at the first seed */
    private static function cells(BadCells $of): array
    {
        return array_map(static fn (int $cell, array $counts): array => ['cell' => $cell + 1, 'wrong' => $counts[0], 'turns' => $counts[1]], array_keys($of->cells), $of->cells);
    }
}
