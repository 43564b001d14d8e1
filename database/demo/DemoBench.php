<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Bench\BenchRuns;
use App\Bench\Stand\EndRun;
use App\Bench\Stand\Ingest;
use App\Models\Bench\Disc;
use App\Models\Bench\Meter;
use App\Models\Bench\MeterMove;
use App\Models\Bench\SeedLot;
use App\Models\Bench\SeedMove;
use App\Models\Bench\StandRun;
use App\Models\Planter;
use App\Models\User;
use App\Record\TakeWhole;
use Carbon\CarbonImmutable;
use Ustrel\Core\Meter\Places\MeterTo;
use Ustrel\Core\Meter\PracticeMeter;
use Ustrel\Core\Meter\RunFigures;
use Ustrel\Core\Parts\Stock\StockMoveKind;

/** Runs of a planter's meters on the stand: three seasons of final tests, and this season's, half way through. */
final readonly class DemoBench
{
    public const LOT = 'Popcorn, lot 7';

    private const DISC = '60 cells, 3.2 mm';

    /** Units that came. */
    private const ON_HAND = [self::LOT => 130, 'Soybeans, lot 12' => 340];

    private const SEASONS = 3;

    private const CELLS = 60;

    private const TURNS = 30.0;

    private const SEED_MM = 8.0;

    private const AIR = 13.0;

    public function __construct(
        private TakeWhole $take,
        private Ingest $ingest,
        private EndRun $end,
    ) {
    }

    /** What the workshop has of seed, and the discs that it goes through. */
    public static function seed(User $technician): void
    {
        $of = $technician->workshop_id;
        foreach ([['40 cells, 4.5 mm', 40, 4.5, 9.5, 13.0, 'Drawer 3'], [self::DISC, 60, 3.2, 6.5, 8.6, 'Drawer 1'], ['80 cells, 2 mm', 80, 2.0, 3.5, 6.4, 'Drawer 2'], ['Plate, 12 cells', 12, null, 4.5, 5.5, 'On the nail by the door']] as [$name, $cells, $hole, $from, $to, $kept]) {
            Disc::query()->create(['workshop_id' => $of, 'name' => $name, 'cells' => $cells, 'hole' => $hole, 'from_size' => $from, 'to_size' => $to, 'kept_in' => $kept]);
        }
        /** @var array<string, int> $lots */
        $lots = [];
        foreach ([[self::LOT, 'popcorn', 7.9, 'flat', 80_000, 0.95, 212.0], ['Soybeans, lot 12', 'soybeans', 6.6, 'round', 140_000, 0.9, 61.0], ['Popcorn, lot 9', 'popcorn', 9.1, 'large flat', 80_000, 0.96, 204.0]] as [$name, $crop, $size, $shape, $seeds, $germination, $price]) {
            $lots[$name] = SeedLot::query()->create([
                'workshop_id' => $of, 'name' => $name, 'crop' => $crop, 'size' => $size, 'shape' => $shape, 'seeds_per_unit' => $seeds, 'germination' => $germination, 'price' => $price,
                ...(str_contains($name, 'lot 12') ? ['seeds_per_pound' => 2_800, 'test_weight' => 58, 'unit_weight' => 50, 'units_per_box' => 40] : []),
                ...(str_contains($name, 'lot 9') ? ['ordered_from' => 'Quarry Road Seed', 'ordered_units' => 50, 'ordered_on' => CarbonImmutable::today()->subDays(6)->toDateString(), 'due_on' => CarbonImmutable::today()->addDays(12)->toDateString()] : []),
                'treatment' => $crop === 'popcorn' ? 'treated: gloves, dust' : '', 'lubricant' => 'talc and graphite, 80:20, a cup a unit',
            ])->id;
        }
        foreach (self::ON_HAND as $name => $units) {
            SeedMove::query()->create(['id' => DemoScenario::uuid("seed {$name}"), 'workshop_id' => $of, 'seed_lot_id' => $lots[$name], 'kind' => StockMoveKind::Received, 'tenths' => 10 * $units, 'happened_at' => CarbonImmutable::today()->subDays(9), 'recorded_at' => now(), 'user_id' => $technician->id]);
        }
    }

    public function load(Planter $planter, User $technician): void
    {
        $planter->load(['specSheet', 'workshop']);
        $today = CarbonImmutable::today()->setTime(8, 0);
        for ($ago = self::SEASONS; $ago > 0; $ago--) {
            for ($row = 1; $row <= $planter->row_count; $row++) {
                $this->counted($planter, $technician, $row, 'final', $today->subYears($ago)->addMinutes(12 * $row), self::AIR, 0.0);
            }
        }
        // Row 5 came with a seal that is gone, and goes back with a new one; row 3 is run at one air after the other.
        foreach ([1, 2, 4, 5, 6, 7] as $row) {
            $this->counted($planter, $technician, $row, 'pre', $today->subDays(2)->addMinutes(12 * $row), self::AIR, $row === 5 ? 0.5 : 0.0);
        }
        $this->counted($planter, $technician, 5, 'final', $today->subDay(), self::AIR, 0.0);
        foreach ([10.5, 15.0, 12.0, 13.0] as $turn => $air) {
            $this->counted($planter, $technician, 3, 'pre', $today->subDay()->addMinutes(20 + 10 * $turn), $air, 0.0);
        }
        $this->streamed($planter, $technician, 8, $today->subDay()->setTime(16, 0));
        self::meters($planter, $technician, $today);
    }

    /** By number, one in each row; that of row 7 changed places with that of row 8 two years ago, and one of row 11 is out. */
    private static function meters(Planter $planter, User $technician, CarbonImmutable $today): void
    {
        $move = static function (int $meter, MeterTo $to, ?int $row, CarbonImmutable $at, string $place = '') use ($planter, $technician): void {
            MeterMove::query()->create([
                'id' => DemoScenario::uuid("meter {$meter} {$at->toIso8601String()}"), 'workshop_id' => $technician->workshop_id, 'meter_id' => $meter, 'to' => $to, 'planter_id' => $row === null ? null : $planter->id,
                'row_number' => $row, 'place' => $place, 'happened_at' => $at, 'recorded_at' => now(), 'user_id' => $technician->id,
            ]);
        };
        $meters = [];
        for ($row = 1; $row <= $planter->row_count; $row++) {
            $meters[$row] = Meter::query()->create(['workshop_id' => $technician->workshop_id, 'serial' => sprintf('M-%02d', $row)])->id;
            $move($meters[$row], MeterTo::Row, $row, $today->subYears(self::SEASONS)->subMonth());
        }
        $move($meters[7], MeterTo::Row, 8, $today->subYears(2));
        $move($meters[8], MeterTo::Row, 7, $today->subYears(2));
        $move($meters[11], MeterTo::Out, null, $today->subDays(4), 'Ardle Stand, back on Friday');
    }

    private function counted(Planter $planter, User $technician, int $row, string $stage, CarbonImmutable $at, float $air, float $leak): void
    {
        $counts = RunFigures::of($this->drops($row, $at, $air, $leak), null, self::CELLS, BenchRuns::MOST)->counts;
        ($this->take)($planter, $technician, static fn (Planter $of): BenchRuns => new BenchRuns($of), [[
            'id' => DemoScenario::uuid("bench {$planter->id} {$row} {$at->toIso8601String()}"), 'row' => $row, 'stage' => $stage, 'places' => $counts->places, 'skips' => $counts->skips, 'doubles' => $counts->doubles,
            'seed' => self::LOT, 'disc' => self::DISC, 'air' => $air, 'happened_at' => $at->toIso8601ZuluString('millisecond'),
        ]]);
    }

    /** One that the stand told drop by drop, with a cell that is plugged. */
    private function streamed(Planter $planter, User $technician, int $row, CarbonImmutable $at): void
    {
        $run = StandRun::query()->create([
            'id' => DemoScenario::uuid("stand {$planter->id}"), 'planter_id' => $planter->id, 'user_id' => $technician->id, 'row_number' => $row, 'stage' => 'pre', 'seed' => self::LOT, 'disc' => self::DISC,
            'cells' => self::CELLS, 'turns' => self::TURNS, 'air' => self::AIR, 'places' => 500, 'state' => 'waiting', 'made_at' => $at, 'started_at' => $at,
        ]);
        $lines = array_map(static fn (int $seed, float $ms): string => (string) json_encode(['seq' => $seed + 1, 'ms' => round($ms, 1)]), array_keys($drops = $this->drops($row, $at, self::AIR, 0.0, [23 => 1.0])), $drops);
        ($this->ingest)($run, implode("\n", $lines));
        ($this->end)($run);
    }

    /**
     * @param  array<int, float>  $missing
     * @return list<float>
     */
    private function drops(int $row, CarbonImmutable $at, float $air, float $leak, array $missing = []): array
    {
        return (new PracticeMeter(self::CELLS, self::TURNS, $air, self::SEED_MM, 0.1, 0.4 * self::SEED_MM, leak: $leak, missing: $missing))->drops(500, crc32("{$row} {$at->toDateString()} {$air}"));
    }
}
