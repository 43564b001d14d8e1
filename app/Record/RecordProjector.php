<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Planter;
use App\Models\Walk;
use App\Parts\ChangedParts;
use App\Parts\LedgerProjector;
use App\Walk\WalkProjector;
use App\Wear\ForecastProjector;
use Carbon\CarbonImmutable;
use Ustrel\Core\Parts\ImpossibleLedger;

/**
 * Draws up all that hangs on a planter's ledger and acres: fittings, the walks that were made since, forecasts. To be
 * called in the transaction that wrote the events.
 */
final readonly class RecordProjector
{
    public function __construct(
        private LedgerProjector $ledger,
        private WalkProjector $walks,
        private ForecastProjector $forecasts,
    ) {
    }

    /**
     * @param  CarbonImmutable|null  $since  when the earliest of what has changed happened; all walks by default
     *
     * @throws ImpossibleLedger
     */
    public function project(Planter $planter, ?CarbonImmutable $since = null): void
    {
        $planter->loadMissing(['specSheet', 'workshop']);
        $this->ledger->project($planter);
        $walks = Walk::query()
            ->where('planter_id', $planter->id)
            // A walk says how things stand until the next one is made.
            ->when($since !== null, static fn ($walks) => $walks->where('started_at', '>=', Walk::query()
                ->where('planter_id', $planter->id)
                ->where('started_at', '<', $since->startOfDay())
                ->max('started_at') ?? $since->startOfDay()))
            ->orderBy('started_at')
            ->get();
        foreach ($walks as $walk) {
            $this->walks->project($walk->setRelation('planter', $planter));
        }
        ChangedParts::mark($planter->id);
        $this->forecasts->project($planter);
    }
}
