<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\Dig;
use App\Models\Planter;
use App\Models\Walk\Cell;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Diagnosis\DigSymptoms;
use Ustrel\Core\Field\Diagnosis\Evidence;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Field\Dig\DugRows;
use Ustrel\Core\Spec\Judging\ReasonCode;
use Ustrel\Core\Walk\Place;

/** Reads what a row's own record says of it. */
final readonly class DiagnosisQuery
{
    public function __construct(private FirstPassQuery $digs)
    {
    }

    /** @return array<string, Evidence> by check, of the row and of the whole planter: of two sides the worse, by the walk that matters */
    public function record(Planter $planter, int $row): array
    {
        $walk = $planter->walkThatMatters();
        $record = [];
        foreach ($walk === null ? [] : Cell::query()->where('walk_id', $walk->id)->whereIn('row_number', [Place::WHOLE_PLANTER, $row])->get() as $cell) {
            $evidence = Evidence::of($cell->verdict);
            $before = $record[$cell->check_key->value] ?? null;
            if ($evidence !== null && ($before === null || $before === Evidence::Sound || $evidence === Evidence::Amiss)) {
                $record[$cell->check_key->value] = $evidence;
                foreach ($evidence === Evidence::Sound ? [] : $cell->reasons as ['code' => $code]) {
                    $end = ReasonCode::tryFrom($code)?->end();
                    $record += $end === null ? [] : ["{$cell->check_key->value} {$end}" => $evidence, "{$cell->check_key->value} ".($end === 'low' ? 'high' : 'low') => Evidence::Sound];
                }
            }
        }

        return $record;
    }

    /** What the last dig of a row says; null where it was not dug this season. */
    public function dug(Planter $planter, int $row): ?DigSymptoms
    {
        $digs = $this->digs->digs($planter)[$planter->season()] ?? new Collection;
        $last = $digs->firstWhere('row_number', $row);
        if ($last === null) {
            return null;
        }
        $pass = $digs->where('pass', $last->pass)->unique('row_number')->keyBy('row_number');
        $differs = (new DugRows($pass->map(static fn (Dig $dig): DugRow => $dig->dug())->all()))->differing()[$row] ?? null;

        return DigSymptoms::of($last->dug(), array_map(DigSign::from(...), $last->seen), $differs === null ? null : $differs > 0, $last->spacing === null ? null : (float) $last->spacing, FoundRates::aims($planter, $last->field)->spacingCv);
    }
}
