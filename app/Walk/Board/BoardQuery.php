<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Models\Walk\Walk;
use App\Models\Walk\WalkRow;
use App\Models\Wear\RenewedPart;
use App\Record\Moments;
use App\Wear\ExpectedRows;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\WalkOrder;

/** Reads the board of a planter: the walk that matters now, or one that is asked for. */
final readonly class BoardQuery
{
    public function __construct(private LastReadings $lastReadings)
    {
    }

    /** With last time only where this walk has not found a place sound: what is sound is quiet. */
    public function glanceAt(Walk $walk, Planter $planter): Board
    {
        $current = self::current($walk);
        $unsettled = static fn (Place $place): bool => ($current[$place->key()] ?? null)?->verdict !== Verdict::Sound;

        return self::board($walk, $planter, $current, fn (array $places): array => $this->lastReadings->at(array_values(array_filter($places, $unsettled)), $walk, $planter));
    }

    public function ofWalk(Walk $walk, Planter $planter): Board
    {
        return self::board($walk, $planter, self::current($walk), fn (): array => $this->lastReadings->beforeWalk($walk, $planter));
    }

    /**
     * @param  array<string, CurrentReading>  $current  by place key
     * @param  callable(list<Place>): array<string, LastReading>  $last  by place key
     */
    private static function board(Walk $walk, Planter $planter, array $current, callable $last): Board
    {
        $sheet = $walk->readSheet();
        $places = self::places($sheet, $walk->row_count);
        $read = WalkRow::query()->where('walk_id', $walk->id)->get();

        return new Board(
            $planter, $walk, $sheet, $walk->scope(), $walk->row_count, $walk->season, $places, $current, $last($places),
            RibbonRow::all($walk->row_count, $read, $walk->isFinished() ? [] : ExpectedRows::ofOne($planter), $walk->parked_rows), RibbonRow::ofWholePlanter($read),
        );
    }

    /** The planter before any walk of its season. */
    public function unwalked(Planter $planter): Board
    {
        $sheet = $planter->readSheet();

        return new Board(
            $planter, null, $sheet, $sheet, $planter->row_count, $planter->season(), self::places($sheet, $planter->row_count), [],
            $this->lastReadings->before($planter, $planter->season(), Moments::now()),
            RibbonRow::all($planter->row_count, [], ExpectedRows::ofOne($planter), $planter->parked_rows), RibbonRow::ofWholePlanter([]),
        );
    }

    /** @return list<Place> */
    private static function places(Sheet $sheet, int $rows): array
    {
        return Route::through($sheet, $rows, WalkOrder::RowByRow)->places;
    }

    /** @return array<string, CurrentReading> what a walk has found and is not sound, by place key */
    public static function unsound(Walk $walk): array
    {
        return array_filter(self::current($walk), static fn (CurrentReading $reading): bool => $reading->verdict->severity() >= Verdict::Watch->severity());
    }

    /** @return array<string, CurrentReading> by place key */
    private static function current(Walk $walk): array
    {
        $place = Place::KEY_IN_SQL;
        $current = [];
        $cells = Cell::query()->where('walk_id', $walk->id)->where('result', '!=', Result::Withdrawn->value)->toBase()
            ->selectRaw("{$place} AS place, check_key, reading_id, result, value, state, chips, verdict, reasons, taken_at AS at");
        $renewals = RenewedPart::query()->where('walk_id', $walk->id)->toBase()
            ->selectRaw("{$place} AS place, check_key, NULL AS reading_id, result, value, NULL AS state, '[]' AS chips, verdict, reasons, happened_at AS at");
        foreach ([...$cells->get(), ...$renewals->get()] as $row) {
            $current[$row->place] = new CurrentReading(
                $row->reading_id, Result::from($row->result), new StoredAnswer($row->check_key, $row->value, $row->state, $row->chips), Verdict::from($row->verdict), $row->reasons, $row->at,
            );
        }

        return $current;
    }
}
