<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Plan\Decision;
use App\Models\Walk\Cell;
use App\Models\Walk\Walk;
use App\Models\Wear\RenewedPart;
use Illuminate\Database\Eloquent\Builder;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Result;

/** Counts what a walk has found that waits for a person, as columns of a query of walks. */
final class Waiting
{
    /**
     * @param  Builder<Walk>  $walks
     * @return Builder<Walk> with to_decide, the places found past their limit or failed and neither seen to nor decided
     *                       since, and to_measure_again, those changed since they were read
     */
    public static function countedOn(Builder $walks): Builder
    {
        $seenTo = RenewedPart::query()->whereRaw('(renewals.walk_id, renewals.row_number, renewals.check_key, renewals.side) = (cells.walk_id, cells.row_number, cells.check_key, cells.side)');
        $later = Decision::query()->from('decisions', 'later')->whereColumn('later.supersedes', 'decisions.id');
        $decided = Decision::query()
            ->whereRaw('(decisions.reading_id, decisions.verdict) = (cells.reading_id, cells.verdict)')
            ->where('decisions.withdrawn', false)
            ->whereNotExists($later->toBase());
        $toDecide = Cell::query()
            ->selectRaw('count(*)')
            ->whereColumn('cells.walk_id', 'walks.id')
            ->whereIn('verdict', [Verdict::Change->value, Verdict::Failed->value])
            ->where('result', '<>', Result::Withdrawn->value)
            ->whereNotExists($seenTo->toBase())
            ->whereNotExists($decided->toBase());
        $toMeasureAgain = RenewedPart::query()
            ->selectRaw('count(*)')
            ->whereColumn('renewals.walk_id', 'walks.id')
            ->where('result', Result::MeasureAgain->value);

        return $walks->addSelect(['to_decide' => $toDecide, 'to_measure_again' => $toMeasureAgain]);
    }
}
