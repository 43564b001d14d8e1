<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\Fitting;
use App\Record\Affected;
use App\Record\BulkWrite;
use App\Record\Projector;
use App\Wear\WearRecord;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\ImpossibleLedger;
use Ustrel\Core\Parts\Installed;

/** Plays the ledger of a planter back: what is and was where, and how far it ran there. */
final class FittingProjector implements Projector
{
    public static function draws(): array
    {
        return [Fitting::class];
    }

    /**
     * @throws ImpossibleLedger
     * @throws BrokenFitRule
     */
    public function project(WearRecord $record, Affected $affected, BulkWrite $lines): void
    {
        $all = $affected->everything || $affected->acresSince !== null;
        if (! $all && $affected->rows === []) {
            return;
        }
        $isTouched = static fn (Installed $part): bool => isset($affected->rows[$part->fitting->place->row]) || isset($affected->parts[$part->fitting->part]);
        $played = $all ? $record->installed() : array_filter($record->installed(), $isTouched);
        FitRulesHeld::hold($record, $affected);
        if ($affected->superseded !== []) {
            // Before what takes its place comes in: two parts are never in one slot.
            Fitting::query()->whereIn('id', array_keys($affected->superseded))->delete();
        }
        // What came out first, for the same reason.
        usort($played, static fn (Installed $a, Installed $b): int => (int) $a->fitting->isOpen() <=> (int) $b->fitting->isOpen());
        $lines->put(Fitting::class, array_map(static fn (Installed $part): array => self::line($record, $part), $played));
    }

    /** @return array<string, mixed> */
    private static function line(WearRecord $record, Installed $part): array
    {
        $fitting = $part->fitting;
        $use = $fitting->stretch()->use($record->log(), Moment::endOfTime());

        return [
            'id' => $fitting->id,
            'planter_id' => $record->planter->id,
            'row_number' => $fitting->place->row,
            'slot' => $fitting->place->slot->value,
            'side' => $fitting->place->side->value,
            'part_id' => $fitting->part,
            'part_type_id' => $record->typeOf($fitting),
            'fitted_at' => $fitting->from->toIso(),
            'removed_at' => $fitting->until?->toIso(),
            'removal_reason' => $fitting->reason?->value,
            // To the millimetre: sums in another order come to the same.
            'run_m' => round($use->metres, 3),
            'run_effective_m' => round($use->effective, 3),
        ];
    }
}
