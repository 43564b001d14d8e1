<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Walk;
use App\Walk\Board\BoardQuery;
use Ustrel\Core\Field\DepthIndex;
use Ustrel\Core\Measure\Quantity;
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

    /** @return array{index: DepthIndex|null, tolerance: float, notch: Quantity} no index where no row was read */
    public function of(Walk $walk): array
    {
        $board = $this->boards->ofWalk($walk, $walk->planter);
        $allowed = $board->sheet->check(CheckKey::DepthStopNotch)?->figures['tolerance']->quantity;
        $tolerance = $allowed === null ? self::TOLERANCE : $allowed->unit()->valueOf($allowed);
        $notches = [];
        for ($row = 1; $row <= $board->rowCount; $row++) {
            $place = new Place($row, CheckKey::DepthStopNotch, Side::Centre);
            $notch = ($board->current[$place->key()] ?? null)?->quantity();
            if ($notch !== null) {
                $notches[$row] = $notch->unit()->valueOf($notch);
            }
        }

        return [
            'index' => $notches === [] ? null : DepthIndex::of($notches, $tolerance, $walk->planter->workshop->depth_school),
            'tolerance' => $tolerance,
            'notch' => $board->sheet->notch->quantity,
        ];
    }
}
