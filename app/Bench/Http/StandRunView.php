<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Stand\EndRun;
use App\Http\Api\Schema;
use App\Models\Bench\StandRun;
use Ustrel\Core\Meter\Stage;

final readonly class StandRunView extends Schema
{
    private const LINE = 48;

    public function __construct(
        public string $id,
        public int $row,
        public Stage $stage,
        /** @var 'waiting'|'running'|'ending'|'ended'|'short' short: over with too few seeds to tell anything */
        public string $state,
        public string $seed,
        public string $disc,
        /** Of the disc or plate */
        public int $cells,
        /** A minute */
        public ?float $turns,
        /** Inches of water, as it is set */
        public ?float $air,
        /** A minute, as the stand tells */
        public ?float $turns_seen,
        /** Inches of water, as the stand tells */
        public ?float $air_seen,
        /** That are to be run */
        public int $places,
        /** The made-up stand */
        public bool $practice,
        /** That dropped so far */
        public int $seeds,
        /** @var array{places: int, skips: int, doubles: int, singulation: MeterShareView}|null So far; null as long as there are too few */
        public ?array $counts,
        /** Places that came past */
        public ?float $seeds_a_second,
        /** As it is set up */
        public ?float $seeds_due_a_second,
        /** @var list<float> Where the last seeds dropped, in places from the first of them on */
        public array $line,
        /** That could not be read */
        public int $refused_lines,
        /** Why, the last of them */
        public string $refused,
        public ?RunFiguresView $figures,
    ) {
    }

    public static function of(StandRun $run): self
    {
        $times = $run->times();
        $figures = EndRun::figures($run);
        $every = $run->every();
        $last = array_slice($times, -self::LINE);

        return new self(
            id: $run->id, row: $run->row_number, stage: $run->stage, state: $run->state, seed: $run->seed, disc: $run->disc,
            cells: $run->cells, turns: self::number($run->turns), air: self::number($run->air), air_seen: self::number($run->air_seen), turns_seen: self::number($run->turns_seen), places: $run->places,
            practice: $run->practice !== null, seeds: count($times),
            counts: $figures === null ? null : [
                'places' => $figures->counts->places, 'skips' => $figures->counts->skips, 'doubles' => $figures->counts->doubles,
                'singulation' => MeterShareView::singulation($figures->counts),
            ],
            seeds_a_second: $figures === null ? null : round(1000 / $figures->every, 1), seeds_due_a_second: $every === null ? null : round(1000 / $every, 1),
            line: $figures === null ? [] : array_map(static fn (float $ms): float => round(($ms - $last[0]) / $figures->every, 2), $last),
            refused_lines: $run->refused_lines, refused: $run->refused, figures: RunFiguresView::of($run->figures),
        );
    }

    private static function number(?string $of): ?float
    {
        return $of === null ? null : (float) $of;
    }
}
