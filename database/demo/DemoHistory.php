<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\Parts\LedgerEvent;
use App\Models\Parts\PartType;
use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Reading;
use App\Models\Wear\AcresEntry;
use App\Walk\Board\StoredAnswer;
use Carbon\CarbonImmutable;
use Ustrel\Core\Field\Log\RateUnit;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Result;

/** What a made-up planter has planted and what was fitted on it, season by season. */
final class DemoHistory
{
    private const BLADE = 'Opener blade 15 in, plain';

    private const PLAIN_TUBE = 'Seed tube, plain';

    private const HARD_TUBE = 'Seed tube, hard lip';

    /** Names of fields with the share of a season's acres; each planted on one day. */
    private const FIELDS = [
        'Long Acre' => 0.14, 'Over the Brook' => 0.11, 'Kiln Piece' => 0.08, 'North Forty' => 0.13, 'Church Field' => 0.07,
        'Far Down' => 0.12, 'Pond Ground' => 0.09, 'Stony Bank' => 0.1, 'Lower Meadow' => 0.09, 'Gallops' => 0.07,
    ];

    /** When planting is to start. */
    private readonly CarbonImmutable $start;

    /** @var array<string, int> ids by name; none where the workshop has no catalogue */
    private readonly array $types;

    public function __construct(
        private readonly Planter $planter,
        private readonly User $technician,
        private readonly DemoPlanter $demo,
    ) {
        $this->start = CarbonImmutable::parse($planter->planting_start->iso ?? 'today');
        $this->types = PartType::query()->where('workshop_id', $planter->workshop_id)->pluck('id', 'name')->all();
    }

    public static function catalogue(int $workshopId): void
    {
        $miles = static fn (int $miles): float => round(FurrowDistance::ofMiles($miles)->metres, 1);
        $inches = static fn (string $inches, int $sixteenths): array => ['new_size' => Length::ofSixteenths($sixteenths)->toMillimetres(), 'new_size_typed' => "{$inches} in"];
        foreach ([
            [self::BLADE, 'T-101', [Slot::from('opener_blade')], 2, 38.5, 9, $miles(800), $inches('15', 240)],
            ['Opener blade 15 in, heavy', 'T-102', [Slot::from('opener_blade')], 2, 47, 12, $miles(950), $inches('15', 240) + ['heavy' => true, 'notes' => 'Large rivets: only with the guard that has clearance.']],
            ['Seed tube guard', 'T-120', [Slot::from('seed_tube_guard')], 1, 21, 7, $miles(1000), $inches('7/8', 14)],
            ['Seed tube guard with clearance', 'T-121', [Slot::from('seed_tube_guard')], 1, 26, 10, $miles(1000), $inches('7/8', 14) + ['clearance' => true]],
            [self::PLAIN_TUBE, 'T-130', [Slot::from('seed_tube')], 1, 44, 7, $miles(500), []],
            [self::HARD_TUBE, 'T-131', [Slot::from('seed_tube')], 1, 61, 14, $miles(900), []],
            ['Gauge wheel tire', 'T-140', [Slot::from('gauge_tyre')], 2, 33, 7, null, []],
            ['Gauge wheel arm bushing kit', 'T-141', [Slot::from('gauge_arm_bushing')], 2, 28, 9, $miles(1500), []],
            ['Fertilizer blade 16 in', 'T-150', [Slot::from('fertilizer_blade')], 1, 52, 12, $miles(1200), $inches('16', 256)],
            ['Fertilizer boot', 'T-151', [Slot::from('fertilizer_boot')], 1, 34.5, 12, null, []],
            ['Fertilizer tube', 'T-152', [Slot::from('fertilizer_tube')], 1, null, null, null, []],
            ['Row cleaner wheel', 'T-110', [Slot::from('row_cleaner_wheel')], 2, 46, 10, null, []],
            ['Parallel arm bushing kit', 'T-170', [Slot::from('arm_bushings')], 1, 39, 16, $miles(1500), []],
            ['Ball bearing, two-row', 'T-160', [Slot::from('opener_bearing'), Slot::from('gauge_bearing'), Slot::from('closing_bearing')], 6, 14.5, 5, null, []],
        ] as [$name, $number, $slots, $perRow, $price, $leadDays, $life, $more]) {
            PartType::query()->create([
                'workshop_id' => $workshopId, 'name' => $name, 'own_number' => $number, 'slots' => array_map(static fn (Slot $slot): string => $slot->value, $slots),
                'per_row' => $perRow, 'price' => $price, 'lead_days' => $leadDays, 'life_m' => $life,
            ] + $more);
        }
    }

    /** @param  int  $seasons  before the one that is being prepared */
    public function write(int $seasons): void
    {
        for ($ago = $seasons; $ago > 0; $ago--) {
            $this->acres($this->start->subYears($ago));
        }
        $this->blades($this->start->subYears($seasons)->subDays(30));
        $this->tubes($seasons);
        foreach ($this->demo->shimmed as $row) {
            $this->shims($row, $this->start->subYears(1)->subDays(24)->setTime(8, 20));
        }
    }

    private function acres(CarbonImmutable $start): void
    {
        $lines = [];
        foreach (array_keys(self::FIELDS) as $turn => $field) {
            $ground = $this->demo->ground;
            $lines[] = [
                'id' => DemoScenario::uuid("{$this->planter->id} {$start->year} {$field}"),
                'planter_id' => $this->planter->id,
                'day' => $start->addDays($turn)->toDateString(),
                'field' => $field,
                'crop' => $turn % 2 === 0 ? 'popcorn' : 'soybeans',
                'acres' => round($this->demo->acres * self::FIELDS[$field], 1),
                'mph' => 5.0,
                'soil' => ($field === 'Stony Bank' ? 'stony' : $ground->soil?->value),
                'residue' => $ground->residue?->value,
                'tillage' => $ground->tillage?->value,
                'severity' => $field === 'Stony Bank' ? 1.7 : $ground->severity(),
                'own_severity' => $field === 'Stony Bank',
                // Point rows: the last section is shut off for part of it.
                'shares' => $field === 'Gallops' && count($this->demo->sections) > 1 ? json_encode((object) array_fill_keys(range($this->planter->row_count - 1, $this->planter->row_count), 0.5)) : '{}',
                ...$this->told($turn, $start->year),
                'recorded_at' => $start->addDays($turn)->setTime(19, 0),
                'user_id' => $this->technician->id,
            ];
        }
        AcresEntry::query()->insert($lines);
    }

    /**
     * Seed and products of a field.
     *
     * @return array{lot: string, populations: string, products: string, note: string}
     */
    private function told(int $turn, int $year): array
    {
        $isPopcorn = $turn % 2 === 0;
        $populations = [['from' => 0.0, 'population' => $isPopcorn ? 28_000 : 140_000], ...($turn === 2 ? [['from' => 12.0, 'population' => 26_000]] : [])];

        return [
            'lot' => ($isPopcorn ? 'Popcorn' : 'Soybeans').", lot of {$year}",
            'populations' => json_encode($populations, JSON_THROW_ON_ERROR),
            'products' => json_encode($isPopcorn ? [['name' => 'starter', 'rate' => 6.0, 'unit' => RateUnit::GallonsAnAcre->value]] : [], JSON_THROW_ON_ERROR),
            'note' => $turn === 2 ? 'thinner on the sand behind the kiln' : '',
        ];
    }

    /** All blades were new before the first of the seasons on record. */
    private function blades(CarbonImmutable $at): void
    {
        $sides = $this->planter->specSheet->read()->check(CheckKey::from('opener_blade_diameter'))->sides ?? [];
        $events = [];
        for ($row = 1; $row <= $this->planter->row_count; $row++) {
            foreach ($sides as $side) {
                $events[] = $this->fitted("blade {$row} {$side->value}", $row, Slot::from('opener_blade'), $side, self::BLADE, $at, ['size' => '381.000000', 'size_typed' => '15 in', 'cost' => 38.5, 'shims' => 3]);
            }
        }
        LedgerEvent::query()->insert($events);
    }

    /** Seed tubes wear through on some rows every spring; from the second on the shop tries the hard-lipped ones. */
    private function tubes(int $seasons): void
    {
        if (! isset($this->types[self::PLAIN_TUBE])) {
            return;
        }
        $events = [];
        for ($row = 1; $row <= $this->planter->row_count; $row++) {
            $first = $this->start->subYears($seasons)->subDays(29);
            $events[] = $this->fitted("tube {$row}", $row, Slot::from('seed_tube'), Side::Centre, self::PLAIN_TUBE, $first, ['cost' => 44]);
            for ($ago = $seasons - 1; $ago >= 0; $ago--) {
                $luck = $this->demo->random("tube {$row} {$ago}")->getInt(0, 99);
                if ($luck < 34) {
                    $at = $this->start->subYears($ago)->subDays(26 + $luck % 3);
                    $type = $luck % 2 === 0 ? self::HARD_TUBE : self::PLAIN_TUBE;
                    $events[] = $this->fitted("tube {$row} {$ago}", $row, Slot::from('seed_tube'), Side::Centre, $type, $at, ['cost' => $type === self::HARD_TUBE ? 61 : 44, 'reason' => RemovalReason::Worn->value]);
                }
            }
        }
        LedgerEvent::query()->insert(array_values(array_filter($events, static fn (array $event): bool => $event['happened_at'] < CarbonImmutable::now())));
    }

    /** A shim was taken out on each side once the walk had been through, and the contact measured again. */
    private function shims(int $row, CarbonImmutable $walked): void
    {
        $at = $walked->addHours(5);
        $before = Reading::query()
            ->where(['planter_id' => $this->planter->id, 'row_number' => $row, 'check_key' => 'blade_contact_length'])
            ->whereBetween('taken_at', [$walked, $at])
            ->firstOrFail();
        // The walk reads what was there before.
        $short = (float) $before->value - 25.4 * DemoPlanter::TAKEN_OUT;
        $read = $before->getAttributes();
        Reading::query()->where('id', $before->id)->delete();
        Reading::query()->insert(['value' => $short, 'typed' => sprintf('%d mm', round($short))] + $read);
        LedgerEvent::query()->insert([
            'id' => DemoScenario::uuid("{$this->planter->id} shims {$row}"), 'planter_id' => $this->planter->id, 'kind' => 'shims_moved', 'row_number' => $row,
            'slot' => 'opener_blade', 'side' => Side::Centre->value, 'pairs' => -1, 'contact_before' => $short,
            'happened_at' => $at, 'recorded_at' => $at, 'user_id' => $this->technician->id,
        ]);
        $after = Length::ofMillimetres((float) $before->value);
        Reading::query()->insert([
            'id' => DemoScenario::uuid("{$before->id} after"), 'typed' => sprintf('%d mm', round($after->toMillimetres())), 'taken_at' => $at->addMinutes(10), 'recorded_at' => $at->addMinutes(10),
            'result' => Result::Recorded->value, 'entry' => Entry::Typed->value, 'confirmed' => true, 'walk_id' => $before->walk_id, 'planter_id' => $this->planter->id, 'row_number' => $row,
            'check_key' => $before->check_key->value, 'side' => $before->side->value, 'user_id' => $this->technician->id,
        ] + StoredAnswer::columns(Answer::figure($after)));
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed> a row of the table ledger_events
     */
    private function fitted(string $what, int $row, Slot $slot, Side $side, string $type, CarbonImmutable $at, array $more): array
    {
        $id = DemoScenario::uuid("{$this->planter->id} {$what}");

        return $more + [
            'id' => $id, 'planter_id' => $this->planter->id, 'kind' => 'fitted', 'row_number' => $row, 'slot' => $slot->value, 'side' => $side->value,
            'part_id' => $id, 'part_type_id' => $this->types[$type] ?? null, 'reason' => null, 'happened_at' => $at->setTime(10, 0), 'recorded_at' => $at->setTime(18, 0), 'user_id' => $this->technician->id,
        ];
    }
}
