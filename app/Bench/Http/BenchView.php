<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;
use App\Models\Bench\BenchRun;
use App\Models\Planter;
use App\Record\Moments;
use App\Spec\ShopAims;
use DateTimeInterface;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Meter\MeterStrategy;
use Ustrel\Core\Meter\SeedsNeeded;
use Ustrel\Core\Meter\Stage;

final readonly class BenchView extends Schema
{
    public function __construct(
        /** @var list<array{id: string, row: int, stage: Stage, places: int, skips: int, doubles: int, seed: string, disc: string, by: string, happened_at: DateTimeInterface}> Turns of a disc by hand, looked at: they are no runs */
        public array $looks,
        /** When meters are due */
        public MeterStrategy $school,
        /** @var list<array{row: int, seeds: list<string>}> Lots of the season that rows were not run with yet, where each size is to be */
        public array $due,
        /** @var list<BenchRunView> Of this season, the newest first */
        public array $runs,
        /**
         * The newest of each row in the seasons before
         *
         * @var list<array{
         *     row: int,
         *     season: int,
         *     singulation: MeterShareView,
         *     air: float|null, // Inches of water
         *     seed: string,
         * }>
         */
        public array $before,
        /** @var list<int> Rows that are really worse than the others, by the newest runs on the seed that was run last */
        public array $worse,
        /** @var list<int> */
        public array $better,
        /** That two meters need each, so that 98% is told from 99% */
        public int $seeds_to_tell,
    ) {
    }

    /**
     * @param  Collection<int, BenchRun>  $looks
     * @param  Planter  $planter  with its spec sheet and workshop
     * @param  Collection<int, BenchRun>  $runs  of this season, the newest first
     * @param  array<int, array{BenchRun, int}>  $before  the newest of each row in the seasons before, with the season
     * @param  array<int, bool>  $differing  rows that differ: true where it is worse
     * @param  array<string, true>  $unsound  places that are known to be not sound, by key
     * @param  array<int, list<string>>|null  $due  lots by row, as BenchQuery::due() says
     */
    public static function of(Collection $looks, Planter $planter, Collection $runs, array $before, array $differing, array $unsound, ?array $due, ShopAims $aims): self
    {
        $sheet = $planter->readSheet();

        return new self(
            looks: self::looks($looks),
            runs: array_values($runs->map(static fn (BenchRun $run): BenchRunView => BenchRunView::of($run, $sheet->at($run->row_number)->checks, $unsound, $aims->forLot($run->seedLot), $planter->plantedSpacingAt(Moments::of($run->happened_at))->toInches()))->all()),
            before: array_values(array_map(static fn (array $of): array => [
                'row' => $of[0]->row_number, 'season' => $of[1], 'singulation' => MeterShareView::singulation($of[0]->counts()), 'air' => $of[0]->air === null ? null : (float) $of[0]->air, 'seed' => $of[0]->lotName(),
            ], $before)),
            worse: array_keys($differing, true, true),
            better: array_keys($differing, false, true),
            school: $planter->workshop->meter_school,
            due: array_map(static fn (int $row, array $seeds): array => ['row' => $row, 'seeds' => $seeds], array_keys($due ?? []), $due ?? []),
            seeds_to_tell: SeedsNeeded::toTell(0.98, 0.99),
        );
    }

    /**
     * @param  Collection<int, BenchRun>  $looks
     * @return list<array{id: string, row: int, stage: Stage, places: int, skips: int, doubles: int, seed: string, disc: string, by: string, happened_at: DateTimeInterface}>
     */
    private static function looks(Collection $looks): array
    {
        return array_values($looks->map(static fn (BenchRun $of): array => [
            'id' => $of->id, 'row' => $of->row_number, 'stage' => $of->stage, 'places' => $of->places, 'skips' => $of->skips, 'doubles' => $of->doubles, 'seed' => $of->lotName(), 'disc' => $of->disc, 'by' => $of->user->name, 'happened_at' => $of->happened_at,
        ])->all());
    }
}
