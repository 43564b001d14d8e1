<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Plan\Decision;
use App\Models\Planter;
use Ustrel\Core\Plan\Action;

/** Reads what was carried over on one row, and why: the newest at each place, whatever came of it since. */
final class CarriedQuery
{
    /** @return list<Decision> the newest first */
    public static function ofRow(Planter $planter, int $row): array
    {
        $newest = [];
        foreach (Decision::current($planter->id)->where('row_number', $row)->with(['user', 'walk'])->orderByDesc('happened_at')->orderByDesc('id')->get() as $decision) {
            $newest[$decision->place()->key()] ??= $decision;
        }

        return array_values(array_filter($newest, static fn (Decision $decision): bool => $decision->action === Action::CarryOver));
    }
}
