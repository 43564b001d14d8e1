<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Wear\Standing;

/** A planter at a glance: one cell a station and row, in which the place stands that matters most. */
final class Glance
{
    /**
     * The worst verdict of each; what still has to be looked at comes before what is sound.
     *
     * @param  list<Place>  $places
     * @param  array<string, Verdict>  $verdicts  by place key
     * @param  Sheet  $scope  the checks that are walked: of the others none is missed
     * @return array<string, list<int|null>> by station, front to back: for each row from the left a place of the list; null where the row has none
     */
    public static function ofVerdicts(Sheet $sheet, Sheet $scope, array $places, int $rows, array $verdicts): array
    {
        return self::of($sheet, $places, $rows, static function (Place $place) use ($scope, $verdicts): float {
            $verdict = $verdicts[$place->key()] ?? null;

            return match (true) {
                // Said to be looked at again, or not yet looked at.
                $verdict === Verdict::Unchecked || ($verdict === null && $scope->checkAt($place) !== null) => 1.5,
                $verdict === null => 0.0,
                default => (float) $verdict->severity(),
            };
        });
    }

    /**
     * What will last the shortest of each: the worst standing, of those alike the greatest chance.
     *
     * @param  list<Place>  $places
     * @param  list<Standing>  $standings  of those places
     * @param  list<float|null>  $chances  of reaching the limit this season, 0 to 1, of those places
     * @return array<string, list<int|null>> by station, as of verdicts
     */
    public static function ofStandings(Sheet $sheet, array $places, int $rows, array $standings, array $chances): array
    {
        return self::of($sheet, $places, $rows, static fn (Place $place, int $at): float => $standings[$at]->severity() + 0.5 * ($chances[$at] ?? 0.0));
    }

    /**
     * @param  list<Place>  $places
     * @param  callable(Place, int): float  $weight  0 or more; of those alike the first stands
     * @return array<string, list<int|null>>
     */
    private static function of(Sheet $sheet, array $places, int $rows, callable $weight): array
    {
        $cells = $weights = [];
        foreach ($sheet->ofRows() as $check) {
            $cells[$check->station->value] ??= array_fill(1, $rows, null);
        }
        foreach ($places as $at => $place) {
            $station = ($sheet->checks[$place->check->value] ?? null)?->station->value;
            if ($place->row === Place::WHOLE_PLANTER || $place->row > $rows || $station === null) {
                continue;
            }
            $weighs = $weight($place, $at);
            if ($weighs > ($weights[$station][$place->row] ?? -1.0)) {
                $cells[$station][$place->row] = $at;
                $weights[$station][$place->row] = $weighs;
            }
        }

        return array_map(array_values(...), $cells);
    }
}
