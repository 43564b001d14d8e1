<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Planter;
use App\Models\User;
use App\Record\Outcome;
use App\Record\RecordProjector;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use stdClass;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Ustrel\Core\Parts\FitRule;
use Ustrel\Core\Parts\ImpossibleLedger;

/**
 * Writes into a planter's ledger what was fitted, taken out or moved: all of it, or nothing. Sending it again changes
 * nothing.
 */
final readonly class RecordEvents
{
    /** What makes an event what it is; when and by whom it was recorded does not. */
    private const CONTENT = [
        'planter_id', 'kind', 'row_number', 'slot', 'side', 'part_id', 'part_type_id', 'size_typed', 'fitting_id', 'reason', 'shims', 'pairs', 'contact_before', 'cost', 'note', 'supersedes',
    ];

    public function __construct(private RecordProjector $projector)
    {
    }

    /**
     * @param  list<array<string, mixed>>  $items  validated; shape of each: the LedgerEntry schema of the OpenAPI document
     *
     * @throws ConflictHttpException where an id is taken by an event with other content
     */
    public function __invoke(Planter $planter, User $by, array $items): Outcome
    {
        return DB::transaction(function () use ($planter, $by, $items): Outcome {
            $planter = Planter::query()->with(['specSheet', 'workshop'])->lockForUpdate()->findOrFail($planter->id);
            $intake = new EventIntake($planter, $by);
            $known = DB::table('ledger_events')->whereIn('id', array_map(static fn (array $item): string => strtolower($item['id']), $items))->get()->keyBy('id');
            $since = null;
            $new = [];
            foreach ($items as $index => $item) {
                $row = $intake->row($index, $item);
                $earlier = $known->get($row['id']);
                if ($earlier !== null) {
                    self::saysTheSame($earlier, $row) || throw new ConflictHttpException(__('refused.id_taken'));
                } else {
                    $this->supersede($index, $row);
                    DB::table('ledger_events')->insert($row);
                    $new[] = $row;
                    $since = self::earliest($since, $row);
                }
            }
            if ($new === []) {
                return Outcome::Known;
            }
            $this->project($planter, $since, $items, $new);

            return Outcome::Stored;
        });
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  list<array<string, mixed>>  $new
     */
    private function project(Planter $planter, ?CarbonImmutable $since, array $items, array $new): void
    {
        try {
            $this->projector->project($planter, $since);
        } catch (ImpossibleLedger $impossible) {
            $index = array_search($impossible->event, array_map(static fn (array $item): string => strtolower($item['id']), $items), true);

            throw ValidationException::withMessages([$index === false ? 'events' : "events.{$index}.happened_at" => self::worded($impossible)]);
        }
        $this->keepFitRules($planter, array_unique(array_column($new, 'row_number')));
    }

    public static function worded(ImpossibleLedger $impossible): string
    {
        $place = $impossible->place;

        return __("ledger.{$impossible->fault->value}", [
            'row' => $place->row ?? '?',
            'slot' => $place === null ? '?' : trim(__("slot.{$place->slot->value}").' '.__("side.{$place->side->value}")),
            'other' => substr($impossible->other ?? '', 0, 10),
        ]);
    }

    /** @param  array<string, mixed>  $row */
    private function supersede(int $index, array $row): void
    {
        if ($row['supersedes'] === null) {
            return;
        }
        $isOpen = DB::table('ledger_events AS old')
            ->where('old.id', $row['supersedes'])
            ->where('old.planter_id', $row['planter_id'])
            ->whereNotExists(static fn ($later) => $later->from('ledger_events AS later')->whereColumn('later.supersedes', 'old.id'))
            ->exists();
        if (! $isOpen) {
            throw ValidationException::withMessages(["events.{$index}.supersedes" => __('ledger.event_gone')]);
        }
        // What came out of a fitting that is corrected still came out of it.
        if ($row['kind'] === 'withdrawn' && DB::table('ledger_events')->where('fitting_id', $row['supersedes'])->exists()) {
            throw ValidationException::withMessages(["events.{$index}.supersedes" => __('ledger.withdraw_removal_first')]);
        }
    }

    /**
     * @param  array<string, mixed>  $row
     */
    private static function earliest(?CarbonImmutable $since, array $row): CarbonImmutable
    {
        $moments = [CarbonImmutable::parse($row['happened_at'])];
        if ($row['supersedes'] !== null) {
            $moments[] = CarbonImmutable::parse(DB::table('ledger_events')->where('id', $row['supersedes'])->value('happened_at'));
        }

        return min(array_filter([$since, ...$moments]));
    }

    /**
     * Parts that do not go together are not recorded together.
     *
     * @param  array<int>  $rows
     */
    private function keepFitRules(Planter $planter, array $rows): void
    {
        $fitted = DB::table('fittings')
            ->join('part_types', 'part_types.id', '=', 'fittings.part_type_id')
            ->where('fittings.planter_id', $planter->id)
            ->whereIn('fittings.row_number', $rows)
            ->whereNull('fittings.removed_at')
            ->whereIn('fittings.slot', ['opener_blade', 'seed_tube_guard'])
            ->get(['fittings.row_number', 'fittings.slot', 'part_types.heavy', 'part_types.clearance'])
            ->groupBy('row_number');
        foreach ($fitted as $row => $parts) {
            $guard = $parts->firstWhere('slot', 'seed_tube_guard');
            $clearance = $guard === null ? (bool) ($planter->equipment['clearance_guard'] ?? false) : $guard->clearance;
            foreach (FitRule::brokenByParts($parts->where('slot', 'opener_blade')->contains('heavy', true), $clearance) as $broken) {
                throw ValidationException::withMessages(['events' => __('ledger.fit_rule', ['row' => $row, 'rule' => __("fit.{$broken->value}")])]);
            }
        }
    }

    /** @param  array<string, mixed>  $row */
    private static function saysTheSame(stdClass $earlier, array $row): bool
    {
        foreach (self::CONTENT as $column) {
            if ((string) $earlier->{$column} !== (string) $row[$column]) {
                return false;
            }
        }

        return CarbonImmutable::parse($earlier->happened_at)->equalTo(CarbonImmutable::parse($row['happened_at']));
    }
}
