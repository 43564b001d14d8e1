<?php

declare(strict_types=1);

namespace App\Bench\Stand;

use App\Bench\BenchRuns;
use App\Models\Bench\StandRun;
use App\Models\Planter;
use App\Record\NotTaken;
use App\Record\TakeWhole;
use Carbon\CarbonImmutable;
use Ramsey\Uuid\Uuid;
use Ustrel\Core\Meter\BadCells;
use Ustrel\Core\Meter\InvalidRun;
use Ustrel\Core\Meter\RunFigures;
use Ustrel\Core\Meter\RunPart;

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
        $parts = self::parts($run);
        if ($parts === []) {
            $run->update(['state' => 'short', 'figures' => null]);

            return $run;
        }
        $figures = $parts[0][1];
        try {
            $this->record($run, $parts);
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

    /**
     * Each part is a run of its own, the first under the id of the whole. Sent again after a break they are the same.
     *
     * @param  non-empty-list<array{RunPart, RunFigures}>  $parts
     *
     * @throws NotTaken
     */
    private function record(StandRun $run, array $parts): void
    {
        $isWhole = count($parts) === 1;
        // Of a run in parts it is the whole that was cut short or was not, with what dropped while the vacuum moved.
        $isShort = (self::figures($run)->counts->places ?? 0) < min(0.98 * $run->places, $run->places - 10);
        foreach ($parts as $at => [$part, $figures]) {
            $air = $isWhole ? ($run->air === null ? $part->air : (float) $run->air) : $part->air;
            ($this->take)($run->planter, $run->user, static fn (Planter $of): BenchRuns => new BenchRuns($of, BenchRuns::FEWEST_STREAMED), [[
                'id' => $at === 0 ? $run->id : (string) Uuid::uuid5($run->id, "part {$at}"), 'part_of' => $at === 0 ? null : $run->id,
                'row' => $run->row_number, 'stage' => $run->stage->value, 'seed' => $run->seed, 'disc' => $run->disc, 'note' => $run->note, 'air' => $air, 'cells' => $run->cells,
                'population' => $run->population, 'mph' => $run->mph === null ? null : (float) $run->mph, 'singulator' => $run->singulator, 'lubricant' => $run->lubricant, 'run_in' => $run->run_in,
                'places' => $figures->counts->places, 'skips' => $figures->counts->skips, 'doubles' => $figures->counts->doubles,
                'partial' => $isShort, 'happened_at' => ($run->started_at ?? $run->made_at)->addMilliseconds($at)->toIso8601ZuluString('millisecond'),
            ]]);
        }
    }

    /** What the seeds tell so far; null where they are too few. */
    public static function figures(StandRun $run): ?RunFigures
    {
        return self::figuresOf($run, array_slice($run->times(), $run->run_in ?? 0));
    }

    /** @return list<array{RunPart, RunFigures}> that are long enough to tell something */
    private static function parts(StandRun $run): array
    {
        $parts = [];
        foreach (RunPart::of($run->seeds(), $run->run_in ?? 0) as $part) {
            $figures = self::figuresOf($run, $part->times);
            if ($figures !== null && $figures->counts->places >= BenchRuns::FEWEST_STREAMED) {
                $parts[] = [$part, $figures];
            }
        }

        return $parts;
    }

    /** @param  list<float>  $times */
    private static function figuresOf(StandRun $run, array $times): ?RunFigures
    {
        try {
            return RunFigures::of($times, $run->every(), $run->cells, BenchRuns::MOST);
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
