<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Spec\Verdict;

/** What was looked at and is not sound: the worst first, then along the planter. */
final class Findings
{
    /**
     * @param  list<Place>  $places  in the order of the planter
     * @param  array<string, Verdict>  $verdicts  by place key
     * @return list<Place>
     */
    public static function among(array $places, array $verdicts): array
    {
        $severity = static fn (Place $place): int => ($verdicts[$place->key()] ?? Verdict::Unchecked)->severity();
        $found = array_filter($places, static fn (Place $place): bool => $severity($place) >= Verdict::Watch->severity());
        usort($found, static fn (Place $a, Place $b): int => $severity($b) <=> $severity($a) ?: $a->row <=> $b->row);

        return $found;
    }
}
