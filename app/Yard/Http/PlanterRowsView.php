<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Api\Schema;

/** What a planter's form takes of a table of rows. */
final readonly class PlanterRowsView extends Schema
{
    public function __construct(
        public int $spec_sheet_id,
        /** @var array<string, string|bool|int|null> What most rows carry, and the planter as a whole */
        public array $equipment,
        /**
         * @var list<array{
         *     rows: list<int>,
         *     spec_sheet_id: int|null,
         *     equipment: array<string, string|bool|int|null>,
         * }>
         */
        public array $other_rows,
        /** @var list<int> */
        public array $parked_rows,
    ) {
    }
}
