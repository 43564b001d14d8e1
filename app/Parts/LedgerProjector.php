<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Planter;
use App\Record\Instant;
use App\Wear\UseQuery;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Parts\Fitted;
use Ustrel\Core\Parts\Fitting;
use Ustrel\Core\Parts\ImpossibleLedger;
use Ustrel\Core\Parts\Ledger;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Removed;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Wear\RowUse;

/** Plays the ledger of a planter back into the table fittings: what is and was where, and how far it ran there. */
final readonly class LedgerProjector
{
    /** After any event that could be on record. */
    private const END_OF_TIME = '9999-12-31';

    public function __construct(private UseQuery $uses)
    {
    }

    /** @throws ImpossibleLedger */
    public function project(Planter $planter): void
    {
        $events = LedgerQuery::events($planter)
            ->whereIn('kind', ['fitted', 'removed'])
            ->selectRaw('id, kind, row_number, slot, side, part_id, part_type_id, ran_before_m, fitting_id, reason, '.Instant::sql('happened_at').' AS at')
            ->get();
        $corrected = DB::table('ledger_events')->where('planter_id', $planter->id)->whereNotNull('supersedes')->pluck('id', 'supersedes')->all();
        $types = $events->pluck('part_type_id', 'id');
        $log = $this->uses->log($planter);

        $lines = [];
        foreach (Ledger::play($events->map(static fn (stdClass $event): Fitted|Removed => self::event($event, $corrected))->all()) as $fitting) {
            $use = $fitting->stretch()->use($log, self::END_OF_TIME);
            $lines[] = self::line($planter, $fitting, $types[$fitting->id], $use);
        }
        DB::table('fittings')->where('planter_id', $planter->id)->delete();
        foreach (array_chunk($lines, 1000) as $chunk) {
            DB::table('fittings')->insert($chunk);
        }
    }

    /** @param  array<string, string>  $corrected  by id of the event that was corrected, the one that took its place */
    private static function event(stdClass $event, array $corrected): Fitted|Removed
    {
        while (isset($corrected[$event->fitting_id ?? ''])) {
            $event->fitting_id = $corrected[$event->fitting_id];
        }
        $reason = RemovalReason::tryFrom($event->reason ?? '') ?? RemovalReason::Other;

        return $event->kind === 'removed'
            ? new Removed($event->id, $event->fitting_id, $event->at, $reason)
            : new Fitted($event->id, new SlotPlace($event->row_number, Slot::from($event->slot), Side::from($event->side)), $event->part_id, $event->at, $reason);
    }

    /** @return array<string, mixed> */
    private static function line(Planter $planter, Fitting $fitting, ?int $type, RowUse $use): array
    {
        return [
            'id' => $fitting->id,
            'planter_id' => $planter->id,
            'row_number' => $fitting->place->row,
            'slot' => $fitting->place->slot->value,
            'side' => $fitting->place->side->value,
            'part_id' => $fitting->part,
            'part_type_id' => $type,
            'fitted_at' => $fitting->from,
            'removed_at' => $fitting->until,
            'removal_reason' => $fitting->reason?->value,
            // To the millimetre: sums in another order come to the same.
            'run_m' => round($use->metres, 3),
            'run_effective_m' => round($use->effective, 3),
        ];
    }
}
