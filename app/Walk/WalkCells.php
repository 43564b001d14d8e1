<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Cell;
use App\Models\Reading;
use App\Models\Walk;
use App\Record\Moments;
use App\Walk\Board\StoredAnswer;
use Illuminate\Database\Query\Builder;
use stdClass;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Background;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judgement;
use Ustrel\Core\Spec\Outlook;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** Judges what a walk reads, place by place. */
final class WalkCells
{
    /**
     * Every place that was read.
     *
     * @param  array<string, Outlook>  $outlooks  by place key
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
     * @param  array<string, Outlook>  $outlooks  by place key
     * @return array<string, CellState> by place key
     */
    public function judge(Walk $walk, WalkScope $scope, array $outlooks): array
    {
        $sheet = $walk->readSheet();
        $kept = self::kept($walk);
        $readings = $scope->read === [] ? [] : self::newestAt($walk, $sheet, $scope->read);
        foreach ($kept as $key => $cell) {
            // The same reading, in the light of another outlook.
            if (isset($scope->reckoned[$cell->check_key])) {
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
     * @param  array<string, stdClass>  $readings  by place key
     * @param  array<string, stdClass>  $all  what the whole walk reads, by place key
     * @param  array<string, Outlook>  $outlooks
     * @return array<string, CellState>
     */
    private static function judged(Walk $walk, SpecSheet $sheet, array $readings, array $all, array $outlooks): array
    {
        $figures = self::figures($sheet, $all);
        $aims = null;
        $states = [];
        foreach ($readings as $key => $reading) {
            $place = self::place($reading);
            if (DepthAims::count($place->check, $walk->depth_school)) {
                $aims ??= DepthAims::of($walk->row_count, $walk->depth_school, static fn (string $at): ?Quantity => isset($all[$at]) ? self::stored($all[$at])->answer()?->quantity : null);
            }
            $background = Background::ofRows($outlooks[$key] ?? null, $figures[$reading->check_key] ?? [], self::otherSide($sheet, $place, $all), DepthAims::count($place->check, $walk->depth_school) ? $aims[$place->row] ?? null : null);
            $states[$key] = self::state($sheet, $reading, $background);
        }

        return $states;
    }

    /**
     * @param  array<string, stdClass>  $all  by place key
     * @return Quantity|null what the other side reads, where the two are held against each other
     */
    private static function otherSide(SpecSheet $sheet, Place $place, array $all): ?Quantity
    {
        $other = $sheet->check($place->check)?->comparesSides() === true ? $place->side->opposite() : null;
        $reading = $other === null ? null : $all[(new Place($place->row, $place->check, $other))->key()] ?? null;

        return $reading === null ? null : self::stored($reading)->answer()?->quantity;
    }

    private static function state(SpecSheet $sheet, stdClass $reading, Background $background): CellState
    {
        $answer = self::stored($reading)->answer();
        $place = self::place($reading);
        $check = $sheet->check($place->check);
        $result = Result::from($reading->result);
        $judgement = match (true) {
            // Withdrawn, or the check has since left the spec sheet.
            $check === null || $result === Result::Withdrawn => Judgement::of(Verdict::Unchecked),
            $result === Result::NotFitted => Judgement::notFitted(),
            $answer === null => Judgement::lookedSound(),
            default => $check->judge($answer, $background),
        };

        return new CellState(
            $place, $reading->reading_id, $result, $reading->value, $reading->state, json_decode($reading->chips, true), Moment::ofMilliseconds($reading->at),
            $judgement->verdict, array_map(ReasonShape::of(...), $judgement->reasons), $answer?->quantity === null ? null : $check?->rule->lifeLeft($answer->quantity), true,
        );
    }

    private static function asKept(stdClass $cell): CellState
    {
        return new CellState(
            self::place($cell), $cell->reading_id, Result::from($cell->result), $cell->value, $cell->state, [], Moment::ofMilliseconds($cell->at),
            Verdict::from($cell->verdict), [], $cell->life_left === null ? null : (float) $cell->life_left, false,
        );
    }

    private static function stored(stdClass $row): StoredAnswer
    {
        return new StoredAnswer($row->check_key, $row->value, $row->state, $row->chips);
    }

    private static function place(stdClass $row): Place
    {
        return new Place($row->row_number, CheckKey::from($row->check_key), Side::from($row->side));
    }

    /** @return array<string, stdClass> the cells of a walk, by place key */
    private static function kept(Walk $walk): array
    {
        return Cell::query()
            ->where('walk_id', $walk->id)
            ->toBase()
            ->selectRaw(Place::KEY_IN_SQL.' AS place, row_number, check_key, side, reading_id, result, value, state, chips, verdict, life_left, '.Moments::sql('taken_at').' AS at')
            ->get()
            ->keyBy('place')
            ->all();
    }

    /**
     * @param  array<string, Place>  $places
     * @return array<string, stdClass> the newest readings there, on their other sides where those are compared, and at the checks that compare rows, by place key
     */
    private static function newestAt(Walk $walk, SpecSheet $sheet, array $places): array
    {
        $checks = array_map(static fn (Place $place): string => $place->check->value, $places);
        $comparing = array_keys(array_filter($sheet->checks, static fn (Check $check): bool => $check->comparesRows() && array_intersect(self::comparedWith($check), $checks) !== []));
        $rows = array_values(array_unique(array_map(static fn (Place $place): int => $place->row, $places)));
        $found = self::newest($walk, static fn (Builder $readings): Builder => $readings->where(static fn (Builder $which): Builder => $which
            ->where(static fn (Builder $those): Builder => $those->whereIn('row_number', $rows)->whereIn('check_key', array_values(array_unique($checks))))
            ->orWhereIn('check_key', $comparing)));

        $read = $places;
        foreach ($places as $place) {
            $other = $sheet->check($place->check)?->comparesSides() === true ? $place->side->opposite() : null;
            if ($other !== null) {
                $read[(new Place($place->row, $place->check, $other))->key()] = $place;
            }
        }

        return array_filter($found, static fn (stdClass $reading, string $key): bool => isset($read[$key]) || in_array($reading->check_key, $comparing, true), ARRAY_FILTER_USE_BOTH);
    }

    /** @return list<string> the checks whose readings a row is held against */
    private static function comparedWith(Check $check): array
    {
        return in_array($check->key, DepthAims::CHECKS, true) ? array_column(DepthAims::CHECKS, 'value') : [$check->key->value];
    }

    /**
     * @param  callable(Builder): Builder  $which
     * @return array<string, stdClass> by place key
     */
    private static function newest(Walk $walk, callable $which): array
    {
        return $which(Reading::query()->where('walk_id', $walk->id)->toBase())
            ->selectRaw('DISTINCT ON (row_number, check_key, side) '.Place::KEY_IN_SQL.' AS place, id AS reading_id, row_number, check_key, side, result, value, state, chips, '.Moments::sql('taken_at').' AS at')
            ->orderByRaw('row_number, check_key, side, taken_at DESC, id DESC')
            ->get()
            ->keyBy('place')
            ->all();
    }

    /**
     * @param  array<string, stdClass>  $readings
     * @return array<string, list<Quantity>> what all rows read at the checks that compare them, by check
     */
    private static function figures(SpecSheet $sheet, array $readings): array
    {
        $figures = [];
        foreach ($readings as $reading) {
            $compares = $sheet->check(CheckKey::from($reading->check_key))?->comparesRows() ?? false;
            $quantity = $compares ? self::stored($reading)->answer()?->quantity : null;
            if ($quantity !== null) {
                $figures[$reading->check_key][] = $quantity;
            }
        }

        return $figures;
    }
}
