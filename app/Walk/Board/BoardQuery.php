<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Cell;
use App\Models\Planter;
use App\Models\Renewal;
use App\Models\Walk;
use App\Models\WalkRow;
use App\Record\Moments;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** Reads the board of a planter: the walk that matters now, or one that is asked for. */
final readonly class BoardQuery
{
    public function __construct(private LastReadings $lastReadings)
    {
    }

    /** The board of the open walk, or else of the season's newest; without a reading where there is none yet. */
    public function ofPlanter(Planter $planter): Board
    {
        $walk = $planter->openWalk()
            ?? $planter->walks()->where('season', '>=', $planter->season())->latest('started_at')->first();

        return $walk === null ? $this->unwalked($planter) : $this->ofWalk($walk, $planter);
    }

    public function ofWalk(Walk $walk, Planter $planter): Board
    {
        $read = WalkRow::query()->where('walk_id', $walk->id)->get();

        return new Board(
            $planter,
            $walk,
            $walk->readSheet(),
            $walk->scope(),
            $walk->row_count,
            $walk->season,
            self::current($walk),
            $this->lastReadings->beforeWalk($walk),
            RibbonRow::all($walk->row_count, $read),
            RibbonRow::ofWholePlanter($read),
        );
    }

    /** The planter before any walk of its season. */
    public function unwalked(Planter $planter): Board
    {
        $sheet = $planter->readSheet();

        return new Board(
            $planter,
            null,
            $sheet,
            $sheet,
            $planter->row_count,
            $planter->season(),
            [],
            $this->lastReadings->before($planter->id, $planter->season(), Moments::now()),
            RibbonRow::all($planter->row_count, []),
            RibbonRow::ofWholePlanter([]),
        );
    }

    /** @return array<string, CurrentReading> by place key */
    private static function current(Walk $walk): array
    {
        $place = Place::KEY_IN_SQL;
        $current = [];
        $cells = Cell::query()->where('walk_id', $walk->id)->where('result', '!=', Result::Withdrawn->value)->toBase()
            ->selectRaw("{$place} AS place, check_key, reading_id, result, value, state, chips, verdict, reasons, taken_at AS at");
        $renewals = Renewal::query()->where('walk_id', $walk->id)->toBase()
            ->selectRaw("{$place} AS place, check_key, NULL AS reading_id, result, value, NULL AS state, '[]' AS chips, verdict, reasons, happened_at AS at");
        foreach ([...$cells->get(), ...$renewals->get()] as $row) {
            $current[$row->place] = new CurrentReading(
                $row->reading_id, Result::from($row->result), new StoredAnswer($row->check_key, $row->value, $row->state, $row->chips), Verdict::from($row->verdict), $row->reasons, $row->at,
            );
        }

        return $current;
    }
}
