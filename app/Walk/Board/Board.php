<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk\Walk;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Walk\Place;

/** A planter's face: a walk of it, or none yet this season, with what each place reads now and read last time. */
final class Board
{
    /** @var array<string, list<Quantity>> by check key; worked out when first asked for */
    private array $figures;

    /**
     * @param  list<Place>  $places  row by row, then the planter as a whole
     * @param  array<string, CurrentReading>  $current  by place key
     * @param  array<string, LastReading>  $last  by place key
     * @param  list<RibbonRow>  $ribbon  one for each row, from the left
     * @param  RibbonRow  $wholePlanter  the checks that belong to no row, as row 0
     */
    public function __construct(
        public readonly Planter $planter,
        public readonly ?Walk $walk,
        /** All checks that the planter has. */
        public readonly Sheet $sheet,
        /** The checks that are walked today. */
        public readonly Sheet $scope,
        public readonly int $rowCount,
        public readonly int $season,
        public readonly array $places,
        public readonly array $current,
        public readonly array $last,
        public readonly array $ribbon,
        public readonly RibbonRow $wholePlanter,
    ) {
    }

    /** @return array<string, list<Quantity>> the figures that the walk reads now, by check key */
    public function figures(): array
    {
        return $this->figures ??= $this->collectFigures();
    }

    /** @return array<string, Verdict> by place key */
    public function verdicts(): array
    {
        return array_map(static fn (CurrentReading $reading): Verdict => $reading->verdict, $this->current);
    }

    /** @return array<string, list<Quantity>> */
    private function collectFigures(): array
    {
        $figures = [];
        foreach ($this->current as $key => $reading) {
            $quantity = $reading->quantity();
            if ($quantity !== null) {
                $figures[Place::fromKey($key)->check->value][] = $quantity;
            }
        }

        return $figures;
    }
}
