<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\Fitting;
use App\Models\Parts\LedgerEvent;
use App\Models\Planter;
use App\Record\Moments;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Query;
use stdClass;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\RemovalReason;

/** Reads what is and was fitted on a planter. */
final class LedgerQuery
{
    /** @return list<FittedPart> what is fitted now */
    public static function fitted(Planter $planter): array
    {
        return self::read($planter, static fn (Builder $fittings): Builder => $fittings->whereNull('fittings.removed_at'));
    }

    /** @return list<FittedPart> what is fitted on a row, and was, newest first */
    public static function ofRow(Planter $planter, int $row): array
    {
        return self::read($planter, static fn (Builder $fittings): Builder => $fittings->where('fittings.row_number', $row));
    }

    /** Where a piece was last; null where it was never on this planter. */
    public static function part(Planter $planter, string $id): ?FittedPart
    {
        return self::read($planter, static fn (Builder $fittings): Builder => $fittings->where('fittings.part_id', $id)->limit(1))[0] ?? null;
    }

    /** @return list<FittedPart> the parts that came off before their end and are fitted nowhere, each as it was last */
    public static function shelf(Planter $planter): array
    {
        return self::read($planter, static fn (Builder $fittings): Builder => $fittings
            ->whereNotNull('fittings.removed_at')
            ->whereNotIn('fittings.removal_reason', [RemovalReason::Worn->value, RemovalReason::Failed->value])
            ->whereNotExists(static fn (Query $later): Query => $later->from('fittings AS later')
                ->whereColumn('later.part_id', 'fittings.part_id')
                ->whereColumn('later.fitted_at', '>', 'fittings.fitted_at')));
    }

    /** @return list<MovedShims> of a row, oldest first */
    public static function shimMoves(Planter $planter, int $row): array
    {
        return array_values(LedgerEvent::current($planter->id)
            ->where('kind', LedgerEventKind::ShimsMoved->value)
            ->where('row_number', $row)
            ->join('users', 'users.id', '=', 'ledger_events.user_id')
            ->orderBy('happened_at')
            ->orderBy('ledger_events.id')
            ->toBase()
            ->selectRaw('ledger_events.id, row_number, side, pairs, contact_before, note, users.name AS by, '.Moments::sql('happened_at').' AS at')
            ->get()
            ->map(static fn (stdClass $move): MovedShims => new MovedShims(
                $move->id, $move->row_number, $move->side, $move->pairs, $move->contact_before === null ? null : (float) $move->contact_before, $move->note, Moment::ofMilliseconds($move->at)->toIso(), $move->by,
            ))
            ->all());
    }

    /**
     * @param  callable(Builder<Fitting>): Builder<Fitting>  $which
     * @return list<FittedPart> the newest first
     */
    private static function read(Planter $planter, callable $which): array
    {
        $fittings = Fitting::query()
            ->join('ledger_events', 'ledger_events.id', '=', 'fittings.id')
            ->join('users', 'users.id', '=', 'ledger_events.user_id')
            ->leftJoin('part_types', 'part_types.id', '=', 'fittings.part_type_id')
            ->where('fittings.planter_id', $planter->id)
            ->orderByDesc('fittings.fitted_at')
            ->orderByDesc('fittings.id');

        return array_values($which($fittings)
            ->toBase()
            ->select([
                'fittings.*', 'part_types.name AS part_name', 'ledger_events.used', 'ledger_events.size', 'ledger_events.ran_before_m',
                'ledger_events.shims', 'ledger_events.cost', 'ledger_events.note', 'users.name AS fitted_by',
            ])
            // Wherever the piece has been until it left this slot, and what it had run before it was first fitted.
            ->selectRaw('ledger_events.ran_before_m + (SELECT sum(spans.run_m) FROM fittings AS spans WHERE spans.part_id = fittings.part_id AND spans.fitted_at <= fittings.fitted_at) AS part_ran_m')
            ->get()
            ->map(static fn (stdClass $row): FittedPart => new FittedPart(
                $row->id, $row->row_number, $row->slot, $row->side, $row->part_id, $row->part_type_id, $row->part_name, $row->used, $row->size, $row->ran_before_m,
                $row->shims, $row->cost, $row->note, $row->fitted_at, $row->fitted_by, $row->removed_at, $row->removal_reason, (float) $row->run_m, (float) $row->part_ran_m,
            ))
            ->all());
    }
}
