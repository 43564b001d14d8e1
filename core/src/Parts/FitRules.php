<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\RowUnits;

/** Holds what was on a row together against the rules of what goes together. */
final class FitRules
{
    /**
     * The part that went in last of the first that do not go together and were in at one of the moments.
     *
     * @param  list<array{PartFitting, PartKind}>  $parts  blades and guards, with what is known of their kind
     * @param  list<Moment>  $moments
     * @param  RowUnits  $units  what the rows are said to carry where no guard is on record
     * @return array{PartFitting, FitRule}|null
     */
    public static function broken(array $parts, array $moments, RowUnits $units): ?array
    {
        foreach ($moments as $moment) {
            $blades = $guards = [];
            foreach ($parts as [$fitting, $kind]) {
                if ($fitting->stretch()->holds($moment)) {
                    match ($fitting->place->slot->value) {
                        'opener_blade' => $kind->heavy ? $blades[$fitting->place->row] = $fitting : null,
                        'seed_tube_guard' => $guards[$fitting->place->row] = [$fitting, $kind],
                        default => null,
                    };
                }
            }
            foreach ($blades as $row => $blade) {
                [$guard, $kind] = $guards[$row] ?? [null, new PartKind(clearance: $units->at($row)->has('clearance_guard'))];
                foreach (FitRule::brokenByParts(true, $kind->clearance) as $rule) {
                    return [$guard !== null && $guard->from->isAfter($blade->from) ? $guard : $blade, $rule];
                }
            }
        }

        return null;
    }
}
