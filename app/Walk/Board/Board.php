<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk\Walk;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Walk\Place;

/** A planter's face: a walk of it, or none yet this season, with what each place reads now and read last time. */
final class Board
{
    /** @var array<string, list<array{int, Quantity}>> rows with what they read, by check key; worked out when first asked for */
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

    /** @return list<Quantity> the figures that the walk reads now at a check, on the rows that have it so */
    public function figuresOf(Check $check): array
    {
        $this->figures ??= $this->collectFigures();
        $read = array_filter($this->figures[$check->key->value] ?? [], static fn (array $of): bool => $check->rows === null || in_array($of[0], $check->rows, true));

        return array_column($read, 1);
    }

    /** @return list<Check> what some rows have otherwise than most, each with its rows */
    public function rowChecks(): array
    {
        return array_merge(...array_map(fn (string $key): array => array_slice($this->sheet->variantsOf($key), 1), array_keys($this->sheet->ofRows())));
    }

    /** @return array<string, Verdict> by place key */
    public function verdicts(): array
    {
        return array_map(static fn (CurrentReading $reading): Verdict => $reading->verdict, $this->current);
    }

    /** @return array<string, list<array{int, Quantity}>> */
    private function collectFigures(): array
    {
        $figures = [];
        foreach ($this->current as $key => $reading) {
            $quantity = $reading->quantity();
            if ($quantity !== null) {
                $place = Place::fromKey($key);
                $figures[$place->check->value][] = [$place->row, $quantity];
            }
        }

        return $figures;
    }
}
