<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Cell;
use App\Models\Walk\Reading;
use App\Models\Walk\Walk;
use App\Record\Moments;
use Illuminate\Database\Query\Builder;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Judgement;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** Judges what a walk reads, place by place. */
final class WalkCells
{
    /**
     * Every place that was read.
     *
     * @param  array<string, SeasonOutlook>  $outlooks  by place key
     * @return array<string, CellState> by place key
     */
    public function judgeAll(Walk $walk, array $outlooks): array
    {
        $readings = self::newest($walk, static fn (Builder $readings): Builder => $readings);

        return self::judged($walk, $walk->readSheet(), $readings, $readings, $outlooks);
    }

    /**
     * Every place that was read, of which only those are judged again that the scope touches.
     *
     * @param  array<string, SeasonOutlook>  $outlooks  by place key
     * @return array<string, CellState> by place key
     */
    public function judge(Walk $walk, WalkScope $scope, array $outlooks): array
    {
        $sheet = $walk->readSheet();
        $kept = self::kept($walk);
        $readings = $scope->read === [] ? [] : self::newestAt($walk, $sheet, $scope->read);
        foreach ($kept as $key => $cell) {
            // The same reading, in the light of another outlook.
            if (isset($scope->reckoned[$cell->place->check->value])) {
                $readings[$key] ??= $cell;
            }
        }
        $states = self::judged($walk, $sheet, $readings, $readings + $kept, $outlooks);
        foreach ($kept as $key => $cell) {
            $states[$key] ??= self::asKept($cell);
        }

        return $states;
    }

    /**
     * @param  array<string, CellLine>  $readings  by place key
     * @param  array<string, CellLine>  $all  what the whole walk reads, by place key
     * @param  array<string, SeasonOutlook>  $outlooks
     * @return array<string, CellState>
     */
    private static function judged(Walk $walk, Sheet $sheet, array $readings, array $all, array $outlooks): array
    {
        $figures = self::figures($sheet, $all);
        $alike = static fn (Place $place): array => $figures[$place->check->value][self::variant($sheet, $place)] ?? [];
        $aims = [];
        $states = [];
        foreach ($readings as $key => $reading) {
            $place = $reading->place;
            $aim = null;
            if (DepthAims::count($place->check, $walk->depth_school)) {
                $aims[self::variant($sheet, $place)] ??= DepthAims::of($sheet->checkAt($place)->rows ?? range(1, $walk->row_count), $walk->depth_school, static fn (string $at): ?Quantity => ($all[$at] ?? null)?->quantity());
                $aim = $aims[self::variant($sheet, $place)][$place->row] ?? null;
            }
            $background = Background::ofRows($outlooks[$key] ?? null, $alike($place), self::otherSide($sheet, $place, $all), $aim);
            $states[$key] = self::state($sheet, $reading, $background);
        }

        return $states;
    }

    /**
     * @param  array<string, CellLine>  $all  by place key
     * @return Quantity|null what the other side reads, where the two are held against each other
     */
    private static function otherSide(Sheet $sheet, Place $place, array $all): ?Quantity
    {
        $other = $sheet->checkAt($place)?->comparesSides() === true ? $place->side->opposite() : null;
        $reading = $other === null ? null : $all[(new Place($place->row, $place->check, $other))->key()] ?? null;

        return $reading?->quantity();
    }

    private static function state(Sheet $sheet, CellLine $reading, Background $background): CellState
    {
        $answer = $reading->stored->answer();
        $check = $sheet->checkAt($reading->place);
        $judgement = match (true) {
            // Withdrawn, or the check has since left the spec sheet.
            $check === null || $reading->result === Result::Withdrawn => Judgement::of(Verdict::Unchecked),
            $reading->result === Result::NotFitted => Judgement::notFitted(),
            $answer === null => Judgement::lookedSound(),
            default => $check->judge($answer, $background),
        };

        return new CellState(
            $reading->place, $reading->reading, $reading->result, $reading->value, $reading->state, $reading->chips, $reading->at,
            $judgement->verdict, array_map(StoredReason::of(...), $judgement->reasons), $answer?->quantity === null ? null : $check?->rule->lifeLeft($answer->quantity), true,
        );
    }

    private static function asKept(CellLine $cell): CellState
    {
        return new CellState(
            $cell->place, $cell->reading, $cell->result, $cell->value, $cell->state, [], $cell->at,
            $cell->verdict ?? Verdict::Unchecked, [], $cell->lifeLeft, false,
        );
    }

    /** @return array<string, CellLine> the cells of a walk, by place key */
    private static function kept(Walk $walk): array
    {
        return Cell::query()
            ->where('walk_id', $walk->id)
            ->toBase()
            ->selectRaw(Place::KEY_IN_SQL.' AS place, row_number, check_key, side, reading_id, result, value, state, chips, verdict, life_left, '.Moments::sql('taken_at').' AS at')
            ->get()
            ->keyBy('place')
            ->map(CellLine::of(...))
            ->all();
    }

    /**
     * @param  array<string, Place>  $places
     * @return array<string, CellLine> the newest readings there, on their other sides where those are compared, and at the checks that compare rows, by place key
     */
    private static function newestAt(Walk $walk, Sheet $sheet, array $places): array
    {
        $checks = array_map(static fn (Place $place): string => $place->check->value, $places);
        $comparing = array_keys(array_filter($sheet->checks, static fn (Check $check): bool => $check->comparesRows() && array_intersect(self::comparedWith($check), $checks) !== []));
        $rows = array_values(array_unique(array_map(static fn (Place $place): int => $place->row, $places)));
        $found = self::newest($walk, static fn (Builder $readings): Builder => $readings->where(static fn (Builder $which): Builder => $which
            ->where(static fn (Builder $those): Builder => $those->whereIn('row_number', $rows)->whereIn('check_key', array_values(array_unique($checks))))
            ->orWhereIn('check_key', $comparing)));

        $read = $places;
        foreach ($places as $place) {
            $other = $sheet->checkAt($place)?->comparesSides() === true ? $place->side->opposite() : null;
            if ($other !== null) {
                $read[(new Place($place->row, $place->check, $other))->key()] = $place;
            }
        }

        return array_filter($found, static fn (CellLine $reading, string $key): bool => isset($read[$key]) || in_array($reading->place->check->value, $comparing, true), ARRAY_FILTER_USE_BOTH);
    }

    /** @return list<string> the checks whose readings a row is held against */
    private static function comparedWith(Check $check): array
    {
        return $check->key->is(...DepthAims::CHECKS) ? DepthAims::CHECKS : [$check->key->value];
    }

    /**
     * @param  callable(Builder): Builder  $which
     * @return array<string, CellLine> by place key
     */
    private static function newest(Walk $walk, callable $which): array
    {
        return $which(Reading::query()->where('walk_id', $walk->id)->toBase())
            ->selectRaw('DISTINCT ON (row_number, check_key, side) '.Place::KEY_IN_SQL.' AS place, id AS reading_id, row_number, check_key, side, result, value, state, chips, '.Moments::sql('taken_at').' AS at')
            ->orderByRaw('row_number, check_key, side, taken_at DESC, id DESC')
            ->get()
            ->keyBy('place')
            ->map(CellLine::of(...))
            ->all();
    }

    /**
     * @param  array<string, CellLine>  $readings
     * @return array<string, array<int, list<Quantity>>> what all rows read at the checks that compare them, by check and how the rows have it
     */
    private static function figures(Sheet $sheet, array $readings): array
    {
        $figures = [];
        foreach ($readings as $reading) {
            $quantity = $sheet->checkAt($reading->place)?->comparesRows() === true ? $reading->quantity() : null;
            if ($quantity !== null) {
                $figures[$reading->place->check->value][self::variant($sheet, $reading->place)][] = $quantity;
            }
        }

        return $figures;
    }

    /** Rows are held against rows that have a check as they do. */
    private static function variant(Sheet $sheet, Place $place): int
    {
        return $sheet->checkAt($place)->rows[0] ?? 0;
    }
}
