<?php

declare(strict_types=1);

use App\Models\Bench\Meter;
use App\Models\Bench\SeedLot;
use App\Models\Parts\LedgerEvent;
use App\Models\Parts\PartType;
use App\Models\Planter;
use App\Models\Walk\Walk;
use App\Record\Rebuild;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\EventKinds;

/** A shop that does anything in any order, also long afterwards: what it does is told by the draw alone. */
final class Whim
{
    public readonly Randomizer $random;

    /** @var array<string, list<array<string, mixed>>> what was taken in, by kind */
    private array $sent = ['ledger' => [], 'acres' => [], 'note' => []];

    public function __construct(int $seed, private readonly Planter $planter, private readonly PartType $type, private readonly SeedLot $lot, private readonly Meter $meter, private readonly string $run)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    private function day(): string
    {
        return sprintf('%d-%02d-%02d', $this->random->getInt(2023, 2025), $this->random->getInt(1, 12), $this->random->getInt(1, 28));
    }

    private function moment(): string
    {
        return sprintf('%sT%02d:%02d:00Z', $this->day(), $this->random->getInt(0, 23), $this->random->getInt(0, 59));
    }

    /** @return array{string, string, array<string, mixed>} what was done, the address and the body */
    public function next(): array
    {
        $walk = Walk::query()->where('planter_id', $this->planter->id)->whereNull('finished_at')->first();
        $planter = "/api/planters/{$this->planter->id}";

        return match ($this->random->getInt(0, 15)) {
            0, 1, 2 => $walk === null ? $this->start() : ['POST', "/api/walks/{$walk->id}/readings", ['readings' => array_map($this->reading(...), range(1, $this->random->getInt(1, 6)))]],
            3, 4 => ['POST', "{$planter}/ledger", ['events' => [$this->kept('ledger', $this->fitted())]]],
            5 => ['POST', "{$planter}/ledger", ['events' => [$this->kept('ledger', ['id' => (string) Str::uuid7(), 'kind' => 'shims_moved', 'row' => $this->random->getInt(1, 3), 'pairs' => [-2, -1, 1][$this->random->getInt(0, 2)], 'happened_at' => $this->moment()])]]],
            6, 7 => ['POST', "{$planter}/acres", $this->kept('acres', ['id' => (string) Str::uuid7(), 'day' => $this->random->getInt(0, 3) === 0 ? now()->toDateString() : $this->day(), 'field' => 'A', 'acres' => $this->random->getInt(5, 90), 'soil' => ['sand', 'clay', null][$this->random->getInt(0, 2)],
                'shut_off' => $this->random->getInt(0, 2) === 0 ? [['rows' => [2], 'share' => 0.4]] : []])],
            8 => $this->correction(),
            9 => $walk === null ? $this->start() : ['POST', "/api/walks/{$walk->id}/finish", ['with_unchecked' => true]],
            10 => $this->takenOut(),
            11, 12, 13, 14 => $this->other($walk),
            default => $this->edit(),
        };
    }

    /**
     * Kinds that are sent more rarely, or that nothing is drawn from: what they leave may not change what is.
     *
     * @return array<string, array{string, array<string, mixed>}> address and body of each, by the name of its kind
     */
    public function others(?Walk $walk): array
    {
        $planter = "/api/planters/{$this->planter->id}";
        $event = ['id' => (string) Str::uuid7(), 'happened_at' => $this->moment()];
        $row = ['row' => $this->random->getInt(1, 3)];
        $place = $row + ['check' => 'seed_tube', 'side' => 'centre'];
        $of = fn (string ...$words): string => $words[$this->random->getInt(0, count($words) - 1)];
        $ofWalk = $walk === null ? [] : [
            'NoteEvents' => ["/api/walks/{$walk->id}/notes", $place + ['id' => $event['id'], 'kind' => $of('note', 'hard_joint'), 'text' => 'Bolt seized', 'taken_at' => $event['happened_at']]],
            'DecisionEvents' => ["/api/walks/{$walk->id}/decisions", ['decisions' => [$event + $place + ['action' => $of('change', 'carry_over'), 'words' => 'so', 'look_when' => 'next_walk']]]],
        ];

        return $ofWalk + [
            'WorkEvents' => ["{$planter}/work/hands", ['events' => [$event + ['kind' => $of('ticked', 'finished'), 'minutes' => 20, 'targets' => [$of("off:{$row['row']}:lock:centre", "change:{$row['row']}:seed_tube:centre")]]]]],
            'OwnJobs' => ["{$planter}/work/own", $event + $row + ['title' => 'Weld it', 'minutes' => 30]],
            'BenchRuns' => ["{$planter}/bench", $event + $row + ['stage' => 'pre', 'places' => 500, 'skips' => $this->random->getInt(0, 9), 'doubles' => 3]],
            'SettingEvents' => ["{$planter}/settings", ['settings' => [$event + $row + ['key' => 'depth_mark', 'figure' => $this->random->getInt(1, 9)]]]],
            'DigEvents' => ["{$planter}/first-pass/digs", ['digs' => [$event + $row + ['pass' => 1, 'target' => '2', 'depths' => ['2', '1 3/4'], 'spacings' => []]]]],
            'StandCountEvents' => ["{$planter}/emergence", ['counts' => [$event + $row + ['field' => 'A', 'planted_on' => substr($event['happened_at'], 0, 10), 'plants' => 28, 'length' => 17.4]]]],
            'SignOffEvents' => ["{$planter}/first-pass/sign-offs", $event + ['kind' => 'hand_turned', 'rows' => []]],
            'PolicyChoices' => ["{$planter}/policy", $event + ['school' => $of('limit', 'set', 'like_new')]],
            'StockMoves' => ['/api/store/moves', ['moves' => [$event + ['part_type_id' => $this->type->id, 'kind' => $of('counted', 'received'), 'quantity' => $this->random->getInt(1, 9)]]]],
            'SeedMoves' => ['/api/seed/moves', ['moves' => [$event + ['seed_lot_id' => $this->lot->id, 'kind' => $of('counted', 'received'), 'units' => $this->random->getInt(1, 9)]]]],
            'MeterMoves' => ['/api/meters/moves', ['moves' => [$event + ['meter_id' => $this->meter->id] + ($of('row', 'shelf') === 'row' ? ['to' => 'row', 'planter_id' => $this->planter->id] + $row : ['to' => 'shelf'])]]],
            'WatchEntries' => ["{$planter}/watch/{$this->run}/entries", ['entries' => [$event + $row + ['kind' => $of('shut', 'opened')]]]],
        ];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function other(?Walk $walk): array
    {
        $others = array_values($this->others($walk));

        return ['POST', ...$others[$this->random->getInt(0, count($others) - 1)]];
    }

    /** @return array{string, string, array<string, mixed>} */
    private function start(): array
    {
        return ['POST', "/api/planters/{$this->planter->id}/walks", ['kind' => 'pre_season', 'order' => 'row_by_row', 'cautions_acknowledged' => true, 'started_at' => $this->moment(),
            'checks' => ['opener_blade_diameter', 'blade_contact_length', 'guard_width', 'seed_tube', 'depth_stop_notch', 'inner_shims']]];
    }

    /** @return array<string, mixed> */
    private function reading(): array
    {
        $base = ['id' => (string) Str::uuid7(), 'row' => $this->random->getInt(1, 3), 'confirmed' => true, 'taken_at' => $this->moment()];

        return $base + match ($this->random->getInt(0, 7)) {
            0, 1, 2 => ['check' => 'opener_blade_diameter', 'side' => ['left', 'right'][$this->random->getInt(0, 1)], 'typed' => sprintf('14 %d/16', $this->random->getInt(1, 15))],
            3 => ['check' => 'blade_contact_length', 'side' => 'centre', 'typed' => sprintf('%d/8', $this->random->getInt(4, 20))],
            4 => ['check' => 'guard_width', 'side' => 'centre', 'typed' => sprintf('%d/64', $this->random->getInt(44, 56))],
            5 => ['check' => 'seed_tube', 'side' => 'centre', 'state' => ['sound', 'change'][$this->random->getInt(0, 1)]],
            6 => ['check' => 'depth_stop_notch', 'side' => 'centre', 'typed' => (string) $this->random->getInt(3, 8)],
            default => ['check' => 'opener_blade_diameter', 'side' => 'left', 'result' => ['withdrawn', 'not_fitted'][$this->random->getInt(0, 1)]],
        };
    }

    /** @return array<string, mixed> */
    private function fitted(): array
    {
        $slot = [['opener_blade', 'left'], ['opener_blade', 'right'], ['seed_tube_guard', 'centre'], ['seed_tube', 'centre']][$this->random->getInt(0, 3)];
        $piece = $this->random->getInt(0, 3) === 0 ? $this->any(LedgerEvent::current($this->planter->id)->where('slot', $slot[0])->whereNotNull('part_id')->orderBy('happened_at')->pluck('part_id')->all()) : null;

        return array_filter([
            'id' => (string) Str::uuid7(), 'kind' => 'fitted', 'happened_at' => $this->moment(), 'row' => $this->random->getInt(1, 3), 'slot' => $slot[0], 'side' => $slot[1], 'part_id' => $piece,
            'part_type_id' => $slot[0] === 'opener_blade' && $piece === null ? $this->type->id : null, 'reason' => ['worn', 'failed', 'with_the_set'][$this->random->getInt(0, 2)],
        ]);
    }

    /** @return array{string, string, array<string, mixed>} */
    private function takenOut(): array
    {
        $fitting = $this->any(LedgerEvent::current($this->planter->id)->where('kind', 'fitted')->orderBy('happened_at')->pluck('id')->all()) ?? (string) Str::uuid7();

        return ['POST', "/api/planters/{$this->planter->id}/ledger", ['events' => [$this->kept('ledger', ['id' => (string) Str::uuid7(), 'kind' => 'removed', 'fitting_id' => $fitting, 'reason' => 'worn', 'happened_at' => $this->moment()])]]];
    }

    /** @param  list<string>  $of */
    private function any(array $of): ?string
    {
        return $of === [] ? null : $of[$this->random->getInt(0, count($of) - 1)];
    }

    /** @return array{string, string, array<string, mixed>} an earlier event put right, or taken back */
    private function correction(): array
    {
        $kind = ['ledger', 'acres'][$this->random->getInt(0, 1)];
        $earlier = $this->sent[$kind] === [] ? null : $this->sent[$kind][$this->random->getInt(0, count($this->sent[$kind]) - 1)];
        if ($earlier === null) {
            return $this->start();
        }
        $again = ['id' => (string) Str::uuid7(), 'supersedes' => $earlier['id']];
        $back = $this->random->getInt(0, 1) === 0;
        if ($kind === 'acres') {
            return ['POST', "/api/planters/{$this->planter->id}/acres", $this->kept('acres', $again + ($back ? ['withdrawn' => true] : ['acres' => $this->random->getInt(5, 90), 'day' => $this->day()]) + $earlier)];
        }

        return ['POST', "/api/planters/{$this->planter->id}/ledger", ['events' => [$this->kept('ledger', $back ? $again + ['kind' => 'withdrawn', 'happened_at' => now()->toIso8601ZuluString()] : $again + ['happened_at' => $this->moment()] + $earlier)]]];
    }

    /** @return array{string, string, array<string, mixed>} what the planter or the shop goes by, changed */
    private function edit(): array
    {
        return match ($this->random->getInt(0, 4)) {
            0 => ['PATCH', '/api/workshop', ['watch_chance' => $this->random->getInt(5, 50) / 100]],
            1 => ['PATCH', '/api/workshop', ['time_zone' => ['America/Chicago', 'UTC', 'Australia/Perth'][$this->random->getInt(0, 2)]]],
            2 => ['PATCH', '/api/workshop', ['ground_factors' => ['soil' => ['sand' => $this->random->getInt(100, 180) / 100], 'tillage' => ['no_till' => 1.3]]]],
            3 => ['PATCH', '/api/workshop', ['measuring_sd' => ['opener_blade_diameter' => $this->random->getInt(5, 30) / 10]]],
            default => ['PUT', "/api/planters/{$this->planter->id}", ['farm' => $this->planter->farm, 'name' => $this->planter->name, 'row_count' => 3, 'spacing' => '30 in', 'spec_sheet_id' => $this->planter->spec_sheet_id,
                'planting_start' => sprintf('2026-%02d-%02d', $this->random->getInt(3, 5), $this->random->getInt(1, 28)), 'planned_acres' => $this->random->getInt(50, 300), 'planting_days' => 10]],
        };
    }

    /**
     * @param  array<string, mixed>  $event
     * @return array<string, mixed>
     */
    private function kept(string $kind, array $event): array
    {
        $this->sent[$kind][] = $event;

        return $event;
    }
}

it('comes to the state that the record alone gives, after each of whatever is done in whatever order', function (int $seed): void {
    $planter = $this->planter(['row_count' => 3, 'planting_start' => '2026-04-20', 'planned_acres' => 200, 'planting_days' => 12]);
    $type = PartType::factory()->create(['workshop_id' => $this->technician->workshop_id]);
    $lot = SeedLot::query()->create(['workshop_id' => $planter->workshop_id, 'name' => 'Popcorn 7', 'seeds_per_unit' => 80_000]);
    $meter = Meter::query()->create(['workshop_id' => $planter->workshop_id, 'serial' => 'M-1']);
    $whim = new Whim($seed, $planter, $type, $lot, $meter, $this->watched($planter)['watchRun']);
    // It does everything but take pictures.
    expect([...array_keys($whim->others($this->openWalk($planter, null))), 'ReadingEvents', 'LedgerEvents', 'AcresEvents', 'PhotoEvents'])->toEqualCanonicalizing(array_keys(EventKinds::all()));
    $taken = 0;
    for ($turn = 0; $turn < (int) (getenv('HISTORY') ?: 60); $turn++) {
        [$method, $address, $body] = $whim->next();
        $answer = $this->actingAs($this->technician)->json($method, $address, $body);
        expect($answer->getStatusCode())->toBeLessThan(500, json_encode([$method, $address, $body]));
        if ($answer->getStatusCode() < 300) {
            $taken++;
            expect(app(Rebuild::class)($planter))->toBe(0, "seed {$seed}, turn {$turn}: ".json_encode([$method, $address, $body]));
        }
    }
    expect($taken)->toBeGreaterThan(15);
})->with(array_map(intval(...), explode(',', getenv('HISTORY_SEEDS') ?: '1,2,3')));
