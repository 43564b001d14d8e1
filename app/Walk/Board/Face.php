<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk\Walk;

/** What every screen of a planter shows: which it is, and how its rows stand by the walk that matters now. */
final readonly class Face
{
    /** @param  list<RibbonRow>  $ribbon  one for each row, from the left */
    public function __construct(
        public Planter $planter,
        public ?Walk $walk,
        public int $season,
        public array $ribbon,
        /** The checks that belong to no row, as row 0. */
        public RibbonRow $wholePlanter,
    ) {
    }
}
