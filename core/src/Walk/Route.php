<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Spec\SpecSheet;

/** The way through a walk: every place of a planter, in the order in which they are measured. */
final readonly class Route
{
    /** @param  list<Place>  $places */
    private function __construct(public array $places)
    {
    }

    /** @param  int  $rows 1 to 48 */
    public static function through(SpecSheet $sheet, int $rows, WalkOrder $order): self
    {
        $places = [];
        if ($order === WalkOrder::RowByRow) {
            for ($row = 1; $row <= $rows; $row++) {
                foreach ($sheet->checks as $check) {
                    foreach ($check->sides as $side) {
                        $places[] = new Place($row, $check->key, $side);
                    }
                }
            }

            return new self($places);
        }

        foreach ($sheet->checks as $check) {
            for ($row = 1; $row <= $rows; $row++) {
                foreach ($check->sides as $side) {
                    $places[] = new Place($row, $check->key, $side);
                }
            }
        }

        return new self($places);
    }
}
