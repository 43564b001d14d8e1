<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Api\Schema;
use App\Models\Planter;
use DateTimeInterface;

final readonly class WatchView extends Schema
{
    public function __construct(
        /** Acres of a planter to a false alarm */
        public int $usual_acres,
        /** @var list<SharedRowsView> */
        public array $shared,
        /** @var list<SharedRowsView> While nothing is said */
        public array $proposed,
        /**
         * @var list<array{
         *     id: string,
         *     field: string,
         *     practice: bool,
         *     made_at: DateTimeInterface,
         *     passes: int,
         *     alarms: int,
         *     acres: string, // In words
         * }>
         */
        public array $before,
    ) {
    }
}
