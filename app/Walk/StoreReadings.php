<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\User;
use App\Models\Walk;
use App\Record\Receipt;
use App\Walk\Board\LastReadings;
use App\Wear\ForecastProjector;
use Illuminate\Support\Facades\DB;

/**
 * Keeps a batch of readings: each is stored, known, doubted or refused on its own, and all that are stored are stored
 * together with the walk's new state. Sending a batch again changes nothing.
 */
final readonly class StoreReadings
{
    public function __construct(
        private LastReadings $lastReadings,
        private WalkProjector $projector,
        private ForecastProjector $forecasts,
    ) {
    }

    /**
     * @param  list<mixed>  $items  shape of each: the Reading schema of the OpenAPI document
     * @return list<Receipt> one for each item, in the same order
     */
    public function __invoke(Walk $walk, User $by, array $items): array
    {
        return DB::transaction(function () use ($walk, $by, $items): array {
            // Two people on one walk take turns here, so that each sees the other's readings.
            $walk = Walk::query()->lockForUpdate()->findOrFail($walk->id);
            $intake = new ReadingIntake($walk, $by, $this->lastReadings->beforeWalk($walk), $items);
            $receipts = [];
            foreach ($items as $index => $item) {
                $receipts[] = $intake->take($index, $item);
            }

            $rows = $intake->accepted();
            if ($rows !== []) {
                DB::table('readings')->insert($rows);
                $this->projector->project($walk, array_values(array_unique(array_column($rows, 'row_number'))));
                $this->projector->projectLater($walk);
                $this->forecasts->project($walk->planter->load(['specSheet', 'workshop']), array_values(array_unique(array_column($rows, 'check_key'))));
            }

            return $receipts;
        });
    }
}
