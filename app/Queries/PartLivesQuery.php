<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\PartType;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Wear\Life;

/** Reads how far each part of a type has run on all planters of its workshop, and whether that was its end. */
final class PartLivesQuery
{
    /** @return list<Life> in furrow metres, one for each part wherever it has been */
    public function of(PartType $type): array
    {
        return DB::table('fittings')
            ->join('planters', 'planters.id', '=', 'fittings.planter_id')
            ->join('ledger_events', 'ledger_events.id', '=', 'fittings.id')
            ->where('fittings.part_type_id', $type->id)
            ->where('planters.workshop_id', $type->workshop_id)
            ->groupBy('fittings.part_id')
            ->selectRaw('sum(fittings.run_m) + max(ledger_events.ran_before_m) AS ran, bool_or(fittings.removal_reason IN (?, ?)) AS ended', [RemovalReason::Worn->value, RemovalReason::Failed->value])
            ->get()
            ->map(static fn (stdClass $part): Life => new Life(round((float) $part->ran, 1), $part->ended === true))
            ->all();
    }
}
