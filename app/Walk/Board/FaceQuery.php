<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk\WalkRow;
use App\Wear\ExpectedRows;

final class FaceQuery
{
    /** @param  Planter  $planter  with its spec sheet and workshop */
    public function of(Planter $planter): Face
    {
        $walk = $planter->walkThatMatters();
        $read = $walk === null ? [] : WalkRow::query()->where('walk_id', $walk->id)->get();

        return new Face(
            $planter,
            $walk,
            $walk->season ?? $planter->season(),
            RibbonRow::all($walk->row_count ?? $planter->row_count, $read, $walk?->isFinished() === true ? [] : ExpectedRows::ofOne($planter), $walk->parked_rows ?? $planter->parked_rows),
            RibbonRow::ofWholePlanter($read),
        );
    }
}
