<?php

declare(strict_types=1);

namespace App\Queries;

use Illuminate\Support\Facades\DB;
use Ustrel\Core\Walk\Result;

/** Looks up "last time": earlier seasons' readings, by place. */
final class LastReadings
{
    /**
     * @param  list<int>|null  $rows  only these rows
     * @return array<string, LastReading> by place key
     */
    public function before(int $planterId, int $season, ?array $rows = null): array
    {
        $found = DB::table('cells')
            ->selectRaw('DISTINCT ON (row_number, check_key, side) row_number, check_key, side, value, state, chips, season')
            ->where('planter_id', $planterId)
            ->where('season', '<', $season)
            ->where('result', Result::Recorded->value)
            ->when($rows !== null, static fn ($cells) => $cells->whereIn('row_number', $rows))
            ->orderByRaw('row_number, check_key, side, season DESC, taken_at DESC')
            ->get();

        $last = [];
        foreach ($found as $cell) {
            $answer = StoredAnswer::of($cell);
            if ($answer !== null) {
                $last["{$cell->row_number}:{$cell->check_key}:{$cell->side}"] = new LastReading($answer, $cell->season);
            }
        }

        return $last;
    }
}
