<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Planter;
use App\Models\Walk;
use Ustrel\Core\Spec\SpecSheet;

/** A planter's face: a walk of it, or none yet this season, with what each place reads now and read last time. */
final readonly class Board
{
    /**
     * @param  array<string, CurrentReading>  $current  by place key
     * @param  array<string, LastReading>  $last  by place key
     * @param  list<RibbonRow>  $ribbon  one for each row, from the left
     */
    public function __construct(
        public Planter $planter,
        public ?Walk $walk,
        public SpecSheet $sheet,
        public int $rowCount,
        public int $season,
        public array $current,
        public array $last,
        public array $ribbon,
    ) {
    }
}
