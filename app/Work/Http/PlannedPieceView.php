<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use Ustrel\Core\Measure\Day;

final readonly class PlannedPieceView extends Schema
{
    public function __construct(
        #[Inlined] public WorkPieceView $piece,
        /** Index of people */
        public int $person,
        /** @var list<int> Who does it together with that one */
        public array $with,
        /** As the shop’s clock has it */
        public string $starts,
        public string $ends,
        /** @var list<array{day: Day, from: int, to: int}> When it is worked on: a stretch for each day, in minutes of the day */
        public array $hours,
        /** Minutes of work by which it may begin later */
        public int $slack,
        /** When it has to begin at the latest */
        public string $latest,
        /** Somebody has set it there */
        public bool $by_hand,
        /** It was set before its parts are there, or what comes before it is done */
        public bool $too_early,
    ) {
    }
}
