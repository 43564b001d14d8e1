<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Planter;
use App\Record\Instant;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Reads the ledger of a planter. An event that was superseded, or taken back, is left out. */
final class LedgerQuery
{
    /** The events that hold, in the order in which they happened. */
    public static function events(Planter $planter): Builder
    {
        return DB::table('ledger_events')
            ->where('ledger_events.planter_id', $planter->id)
            ->where('ledger_events.kind', '!=', 'withdrawn')
            ->whereNotIn('ledger_events.id', static fn (Builder $later): Builder => $later->from('ledger_events AS later')->where('later.planter_id', $planter->id)->whereNotNull('later.supersedes')->select('later.supersedes'))
            ->orderBy('ledger_events.happened_at')
            ->orderBy('ledger_events.id');
    }

    /** @return Collection<int, stdClass> */
    public static function shimMoves(Planter $planter, ?CarbonImmutable $until = null): Collection
    {
        return self::events($planter)
            ->where('ledger_events.kind', 'shims_moved')
            ->when($until !== null, static fn (Builder $events): Builder => $events->where('ledger_events.happened_at', '<', $until))
            ->join('users', 'users.id', '=', 'ledger_events.user_id')
            ->selectRaw('ledger_events.id, row_number, pairs, contact_before, note, users.name AS by, '.Instant::sql('happened_at').' AS at')
            ->get();
    }

    /**
     * The parts that came off a planter before their end and are fitted nowhere.
     *
     * @return Collection<int, stdClass> the last fitting of each
     */
    public static function shelf(Planter $planter): Collection
    {
        return self::fittings($planter)
            ->whereNotNull('fittings.removed_at')
            ->whereNotIn('fittings.removal_reason', ['worn', 'failed'])
            ->whereNotExists(static fn (Builder $later): Builder => $later->from('fittings AS later')
                ->whereColumn('later.part_id', 'fittings.part_id')
                ->whereColumn('later.fitted_at', '>', 'fittings.fitted_at'))
            ->get();
    }

    /**
     * What is fitted on a planter, or was.
     *
     * @return Builder of fittings, the newest first, with their part types and what was recorded when they began
     */
    public static function fittings(Planter $planter): Builder
    {
        return DB::table('fittings')
            ->join('ledger_events', 'ledger_events.id', '=', 'fittings.id')
            ->join('users', 'users.id', '=', 'ledger_events.user_id')
            ->leftJoin('part_types', 'part_types.id', '=', 'fittings.part_type_id')
            ->where('fittings.planter_id', $planter->id)
            ->orderByDesc('fittings.fitted_at')
            ->orderByDesc('fittings.id')
            ->select([
                'fittings.*', 'part_types.name AS part_name', 'part_types.own_number', 'ledger_events.used', 'ledger_events.size', 'ledger_events.size_typed', 'ledger_events.ran_before_m',
                'ledger_events.shims', 'ledger_events.cost', 'ledger_events.note', 'users.name AS fitted_by',
            ])
            // Wherever the piece has been until it left this slot, and what it had run before it was first fitted.
            ->selectRaw('ledger_events.ran_before_m + (SELECT sum(spans.run_m) FROM fittings AS spans WHERE spans.part_id = fittings.part_id AND spans.fitted_at <= fittings.fitted_at) AS part_ran_m');
    }
}
