<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Planter;
use App\Models\Walk;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\SpecSheet;

/** A planter's face: a walk of it, or none yet this season, with what each place reads now and read last time. */
final readonly class Board
{
    /**
     * @param  array<string, CurrentReading>  $current  by place key
     * @param  array<string, LastReading>  $last  by place key
     * @param  list<RibbonRow>  $ribbon  one for each row, from the left
     * @param  RibbonRow  $wholePlanter  the checks that belong to no row, as row 0
     */
    public function __construct(
        public Planter $planter,
        public ?Walk $walk,
        /** All checks that the planter has. */
        public SpecSheet $sheet,
        /** The checks that are walked today. */
        public SpecSheet $scope,
        public int $rowCount,
        public int $season,
        public array $current,
        public array $last,
        public array $ribbon,
        public RibbonRow $wholePlanter,
    ) {
    }

    /** @return array<string, list<Quantity>> the figures that the walk reads now, by check key */
    public function figures(): array
    {
        $figures = [];
        foreach ($this->current as $key => $reading) {
            $quantity = $reading->quantity();
            if ($quantity !== null) {
                $figures[explode(':', $key)[1]][] = $quantity;
            }
        }

        return $figures;
    }
}
