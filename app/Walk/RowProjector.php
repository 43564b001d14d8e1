<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\RowSummary;

/** Sums the cells of a walk up by row: the table walk_rows, in which the planter as a whole is row 0. */
final class RowProjector
{
    /** @param  list<int>|null  $rows only these rows; all by default */
    public function project(Walk $walk, ?array $rows = null): void
    {
        $scope = $walk->scope();
        $cells = DB::table('cells')
            ->where('walk_id', $walk->id)
            ->when($rows !== null, static fn ($cells) => $cells->whereIn('row_number', $rows))
            ->get(['row_number', 'check_key', 'side', 'verdict', 'life_left']);
        $renewals = DB::table('renewals')
            ->where('walk_id', $walk->id)
            ->when($rows !== null, static fn ($renewals) => $renewals->whereIn('row_number', $rows))
            ->get(['row_number', 'check_key', 'side', 'verdict', 'life_left']);
        $place = static fn (stdClass $at): string => "{$at->row_number}:{$at->check_key}:{$at->side}";

        $lines = [];
        foreach ($cells->keyBy($place)->merge($renewals->keyBy($place))->groupBy('row_number') as $row => $ofRow) {
            $checked = $ofRow->where('verdict', '!=', Verdict::Unchecked->value);
            $summary = RowSummary::of(
                (int) $row,
                array_values($checked->map(static fn ($cell): Verdict => Verdict::from($cell->verdict))->all()),
                // PostgreSQL's driver hands a float out as text.
                array_values($checked->whereNotNull('life_left')->map(static fn ($cell): float => (float) $cell->life_left)->all()),
                $checked->filter(static fn ($cell): bool => isset($scope->checks[$cell->check_key]))->count(),
            );
            $lines[] = [
                'walk_id' => $walk->id,
                'row_number' => $summary->row,
                'verdict' => $summary->verdict->value,
                'life_left' => $summary->lifeLeft,
                'checked' => $summary->checked,
            ];
        }
        DB::table('walk_rows')->upsert($lines, ['walk_id', 'row_number']);
    }
}
