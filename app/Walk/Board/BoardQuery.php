<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Walk\Result;

/** Reads the board of a planter: the walk that matters now, or one that is asked for. */
final readonly class BoardQuery
{
    private const CELL = ['row_number', 'check_key', 'side', 'reading_id', 'result', 'value', 'state', 'chips', 'verdict', 'reasons', 'taken_at'];

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
        $current = [];
        $cells = DB::table('cells')->where('walk_id', $walk->id)->where('result', '!=', Result::Withdrawn->value)->get(self::CELL);
        foreach ($cells as $cell) {
            $current["{$cell->row_number}:{$cell->check_key}:{$cell->side}"] = CurrentReading::fromRow($cell);
        }
        foreach (DB::table('renewals')->where('walk_id', $walk->id)->get() as $renewal) {
            $current["{$renewal->row_number}:{$renewal->check_key}:{$renewal->side}"] = CurrentReading::ofRenewal($renewal);
        }

        $read = DB::table('walk_rows')->where('walk_id', $walk->id)->get();

        return new Board(
            $planter,
            $walk,
            $walk->readSheet(),
            $walk->scope(),
            $walk->row_count,
            $walk->season,
            $current,
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
            $this->lastReadings->before($planter->id, $planter->season(), CarbonImmutable::now()),
            RibbonRow::all($planter->row_count, []),
            RibbonRow::ofWholePlanter([]),
        );
    }
}
