<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Spec\Judging\Verdict;

/** What was looked at and is not sound: the worst first, then along the planter. */
final class Findings
{
    /**
     * @param  list<Place>  $places  in the order of the planter
     * @param  array<string, Verdict>  $verdicts  by place key
     * @return list<int> places in that list
     */
    public static function among(array $places, array $verdicts): array
    {
        $severities = [];
        foreach ($places as $at => $place) {
            $severity = ($verdicts[$place->key()] ?? Verdict::Unchecked)->severity();
            if ($severity >= Verdict::Watch->severity()) {
                $severities[$at] = $severity;
            }
        }
        uksort($severities, static fn (int $a, int $b): int => $severities[$b] <=> $severities[$a] ?: $places[$a]->row <=> $places[$b]->row ?: $a <=> $b);

        return array_keys($severities);
    }
}
