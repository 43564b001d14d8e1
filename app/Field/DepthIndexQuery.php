<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Walk\Walk;
use App\Walk\Board\Board;
use App\Walk\Board\BoardQuery;
use App\Walk\DepthAims;
use Ustrel\Core\Field\BladeDepth;
use Ustrel\Core\Field\DepthIndex;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

/** Reads at which notch each row's depth stop was found on a walk, and holds the rows against each other. */
final readonly class DepthIndexQuery
{
    /** Notches, where the spec sheet has no such check. */
    private const TOLERANCE = 1.0;

    public function __construct(private BoardQuery $boards)
    {
    }

    public function of(Walk $walk): DepthStops
    {
        $board = $this->boards->ofWalk($walk, $walk->planter);
        $check = $board->sheet->check(CheckKey::from('depth_stop_notch'));
        $allowed = $check?->figures['tolerance']->quantity;
        $rows = $check->rows ?? range(1, $board->rowCount);
        $tolerance = $allowed === null ? self::TOLERANCE : Unit::Notch->valueOf($allowed);
        $read = static fn (string $at): ?Quantity => self::read($board, $at);
        $lifts = DepthAims::notches($rows, CheckKey::from('depth_stop_notch'), $read);
        $notch = Unit::Millimetre->valueOf($board->sheet->notch->quantity);
        $diameters = self::diameters($board);

        return new DepthStops(
            DepthIndex::isTold(count($lifts), count($rows)) ? DepthIndex::of($lifts, $tolerance, $walk->depth_school) : null,
            $walk->depth_school,
            $tolerance,
            $notch,
            DepthAims::notches($rows, CheckKey::from('depth_set_notch'), $read),
            array_map(Unit::Notch->valueOf(...), DepthAims::of($rows, $walk->depth_school, $read)),
            // What the wheels lift at has the blades in it already.
            $lifts !== [] || $diameters === [] ? [] : array_filter(BladeDepth::moves($diameters, $notch)),
            $lifts === [] ? [] : array_values(array_diff($rows, array_keys($lifts))),
        );
    }

    /** @return array<int, float> millimetres by row, the mean of both blades, of rows whose blades were both measured */
    private static function diameters(Board $board): array
    {
        $diameters = [];
        for ($row = 1; $row <= $board->rowCount; $row++) {
            [$left, $right] = array_map(static fn (Side $side): ?Quantity => self::read($board, (new Place($row, CheckKey::from('opener_blade_diameter'), $side))->key()), [Side::Left, Side::Right]);
            if ($left !== null && $right !== null) {
                $diameters[$row] = (Unit::Millimetre->valueOf($left) + Unit::Millimetre->valueOf($right)) / 2;
            }
        }

        return $diameters;
    }

    private static function read(Board $board, string $at): ?Quantity
    {
        return ($board->current[$at] ?? null)?->quantity();
    }
}
