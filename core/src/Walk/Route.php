<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Side;

/** The way through a walk: every place of a planter, in the order in which they are looked at. */
final readonly class Route
{
    /** @param  list<Place>  $places */
    private function __construct(public array $places)
    {
    }

    /** @param  int  $rows 1 to 64 */
    public static function through(Sheet $sheet, int $rows, WalkOrder $order): self
    {
        $checks = array_values($sheet->ofRows());
        $out = range(1, $rows);
        $places = match ($order) {
            WalkOrder::RowByRow => array_merge(...array_map(static fn (int $row): array => self::along($sheet, $checks, [$row]), $out)),
            WalkOrder::StationByStation => self::along($sheet, $checks, $out),
            WalkOrder::Snake => self::snake($sheet, $checks, $out),
        };

        return new self([...$places, ...self::along($sheet, array_values($sheet->ofPlanter()), [Place::WHOLE_PLANTER])]);
    }

    /**
     * Each check over all the rows that have it, both sides of a row together.
     *
     * @param  list<Check>  $checks
     * @param  list<int>  $rows
     * @param  list<Side>|null  $only
     * @return list<Place>
     */
    private static function along(Sheet $sheet, array $checks, array $rows, ?array $only = null): array
    {
        $places = [];
        foreach ($checks as $check) {
            foreach ($rows as $row) {
                foreach ($sheet->at($row)->check($check->key)->sides ?? [] as $side) {
                    if ($only === null || in_array($side, $only, true)) {
                        $places[] = new Place($row, $check->key, $side);
                    }
                }
            }
        }

        return $places;
    }

    /**
     * @param  list<Check>  $checks
     * @param  list<int>  $out
     * @return list<Place>
     */
    private static function snake(Sheet $sheet, array $checks, array $out): array
    {
        $stations = [];
        foreach ($checks as $check) {
            $stations[$check->station->value][] = $check;
        }

        $places = [];
        foreach ($stations as $ofStation) {
            foreach ($out as $row) {
                array_push($places, ...self::along($sheet, $ofStation, [$row], [Side::Left, Side::Centre]));
            }
            foreach (array_reverse($out) as $row) {
                array_push($places, ...self::along($sheet, $ofStation, [$row], [Side::Right]));
            }
        }

        return $places;
    }
}
