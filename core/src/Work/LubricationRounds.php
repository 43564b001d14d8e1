<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\Season;

/** In which rounds of the year a point is lubricated. Worded under `lube_rounds.<value>`. */
enum LubricationRounds: string
{
    case BeforePlanting = 'before_planting';
    case AfterPlanting = 'after_planting';
    case Both = 'both';

    /**
     * Its rounds that have begun, the latest first: this one and the one before it. What is done once a season may be done at any time of it.
     *
     * @return array{array{Day, bool}, array{Day, bool}} from when on what is done counts for each, and whether it is the one after planting
     */
    public function begun(Season $seasons, Day $today): array
    {
        $rounds = [];
        $season = $seasons->of($today);
        foreach (range($season - 3, $season + 1) as $of) {
            $before = $seasons->roundBeforeBegins($of);
            $rounds[] = [$before, $this === self::Both ? $before : $seasons->begins($of), false];
            $rounds[] = [$after = $seasons->roundAfterBegins($of), $after, true];
        }
        $begun = array_filter($rounds, fn (array $round): bool => ! $today->isBefore($round[0]) && ($this === self::Both || $round[2] === ($this === self::AfterPlanting)));
        usort($begun, static fn (array $one, array $other): int => $other[0]->iso <=> $one[0]->iso);

        return [array_slice($begun[0], 1), array_slice($begun[1], 1)];
    }
}
