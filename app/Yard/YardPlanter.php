<?php

declare(strict_types=1);

namespace App\Yard;

use App\Models\Planter;
use App\Models\Walk\Walk;
use App\Walk\Board\RibbonRow;

/** One planter as the yard shows it. */
final readonly class YardPlanter
{
    /** @param  list<RibbonRow>  $ribbon of this season's newest walk; all unchecked where there is none */
    public function __construct(
        public Planter $planter,
        /** The newest walk of any season. */
        public ?Walk $newestWalk,
        /** Whether that walk is of the season that is being prepared. */
        public bool $walkedThisSeason,
        public array $ribbon,
        /** 0 to 1. */
        public float $shareWalked,
        public int $rowsToChange,
        /** Places past their limit or failed, and not seen to since. */
        public int $toDecide,
        /** Places changed since they were read. */
        public int $toMeasureAgain,
        public ?int $daysToPlanting,
        public float $urgency,
    ) {
    }
}
