<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\Fitting;
use App\Models\Parts\PartType;
use stdClass;
use Ustrel\Core\Parts\Life\Life;
use Ustrel\Core\Parts\RemovalReason;

/** Reads how far each part of a type has run on all planters of its workshop, and whether that was its end. */
final class PartLivesQuery
{
    /**
     * In furrow metres, one life for each part wherever it has been. Left out are those of which it is not known how far
     * they had run: used parts of unknown use, and parts that ended without any acres on record.
     */
    public function of(PartType $type): PartLives
    {
        $parts = Fitting::query()
            ->join('planters', 'planters.id', '=', 'fittings.planter_id')
            ->join('ledger_events', 'ledger_events.id', '=', 'fittings.id')
            ->where('fittings.part_type_id', $type->id)
            ->where('planters.workshop_id', $type->workshop_id)->where('planters.is_sample', false)
            ->groupBy('fittings.part_id')
            ->toBase()
            ->selectRaw(<<<'SQL'
                sum(fittings.run_m) AS ran, max(ledger_events.ran_before_m) AS before,
                coalesce(bool_or(fittings.removal_reason IN (?, ?)), false) AS ended,
                (array_agg(ledger_events.used ORDER BY fittings.fitted_at))[1] AS came_used
                SQL, [RemovalReason::Worn->value, RemovalReason::Failed->value])
            ->get();
        $known = $parts->reject(static fn (stdClass $part): bool => ($part->came_used && (float) $part->before === 0.0) || ($part->ended && (float) $part->ran === 0.0));

        return new PartLives(
            array_values($known->map(static fn (stdClass $part): Life => new Life(
                round((float) $part->before + (float) $part->ran, 1), $part->ended, round((float) $part->before, 1),
            ))->all()),
            $parts->count() - $known->count(),
        );
    }
}
