<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\People\Role;
use App\Models\Planter;
use App\Models\SpecSheet;
use App\Models\User;
use App\Models\Walk\Walk;
use App\Models\Workshop;
use App\Record\Affected;
use App\Record\Change;
use App\Walk\Board\StoredAnswer;
use App\Walk\StoredReason;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PDO;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/**
 * A made-up workshop of any size, for measuring: planters with walks, parts and acres of past seasons, brought in by
 * COPY. Its state is what the projectors would make of it.
 */
final class LargeWorkshop
{
    private const ROWS = [8, 16, 16, 20, 24];

    private const READING = [
        'id', 'walk_id', 'planter_id', 'row_number', 'check_key', 'side', 'result', 'entry', 'value', 'state', 'chips', 'typed', 'confirmed', 'taken_at', 'recorded_at', 'user_id',
    ];

    private const CELL = [
        'walk_id', 'row_number', 'check_key', 'side', 'planter_id', 'season', 'reading_id', 'result', 'value', 'state', 'chips', 'verdict', 'reasons', 'life_left', 'taken_at',
    ];

    private int $made = 0;

    public function __construct(private readonly Change $change)
    {
    }

    /**
     * @param  int  $readings  to stop at; the last planters may get fewer seasons
     * @param  Closure(int): void  $progress  told the readings so far
     */
    public function make(int $planters, int $seasons, int $readings, Closure $progress): int
    {
        $workshop = Workshop::query()->create(['name' => 'Large Row Works '.Str::random(6)]);
        $by = User::query()->create(['workshop_id' => $workshop->id, 'name' => 'Ash Moor', 'email' => Str::lower(Str::random(10)).'@large.example', 'password' => 'large-rows', 'role' => Role::Owner]);
        $sheet = SpecSheet::query()->whereNull('workshop_id')->where('type', 'vacuum')->firstOrFail();
        for ($number = 1; $number <= $planters && $this->made < $readings; $number++) {
            DB::transaction(fn () => $this->planter($number, $by, $sheet, $seasons, $readings));
            $progress($this->made);
        }
        DB::statement('ANALYZE');

        return $this->made;
    }

    private function planter(int $number, User $by, SpecSheet $sheet, int $seasons, int $most): void
    {
        $rows = self::ROWS[$number % count(self::ROWS)];
        $planter = Planter::query()->create([
            'workshop_id' => $by->workshop_id, 'spec_sheet_id' => $sheet->id, 'farm' => "Farm {$number}", 'name' => "Planter {$number}", 'row_count' => $rows,
            'spacing_mm' => '762.000000', 'spacing_typed' => '30 in', 'sections' => [$rows], 'planting_start' => CarbonImmutable::today()->addDays(20 + $number % 40)->toDateString(), 'planned_acres' => 40 * $rows,
        ]);
        $planter->load(['specSheet', 'workshop']);
        $counted = [];
        $start = CarbonImmutable::today()->addDays(20 + $number % 40);
        for ($season = 0; $season < $seasons && $this->made < $most; $season++) {
            $began = $start->subYears($seasons - 1 - $season)->subDays(70)->setTime(8, 0);
            $counted[] = $this->walk($planter, $by, $sheet, $season, $began, $season === $seasons - 1);
            if ($season < $seasons - 1) {
                $this->acres($planter, $by, $began->addDays(70));
            }
        }
        $this->blades($planter, $by, $start->subYears($seasons)->subDays(60));
        $this->change->of($planter, static function (Planter $planter, Affected $touched) use ($counted): void {
            $touched->rows = array_fill_keys(range(1, $planter->row_count), true);
            $touched->forecasts = $touched->ended = true;
            $touched->counted = array_fill_keys($counted, true);
        });
    }

    private function walk(Planter $planter, User $by, SpecSheet $sheet, int $season, CarbonImmutable $began, bool $open): string
    {
        $walk = (new Walk([
            'id' => (string) Str::uuid7(), 'planter_id' => $planter->id, 'season' => $began->addDays(70)->year, 'kind' => WalkKind::PreSeason, 'walk_order' => WalkOrder::RowByRow,
            'row_count' => $planter->row_count, 'sheet' => $sheet->sheet, 'started_by' => $by->id, 'started_at' => $began,
            'finished_by' => $open ? null : $by->id, 'finished_at' => $open ? null : $began->addHours(8),
        ]))->countPlaces();
        $walk->save();
        $checks = $walk->readSheet()->checks;
        $readings = $cells = [];
        foreach (Route::through($walk->readSheet(), $planter->row_count, WalkOrder::RowByRow)->places as $turn => $place) {
            [$reading, $cell] = self::lines($walk, $by, $checks[$place->check->value], $place, $season, $began->addSeconds(15 * $turn)->format('Y-m-d H:i:sP'));
            $readings[] = $reading;
            $cells[] = $cell;
        }
        self::copy('readings', self::READING, $readings);
        self::copy('cells', self::CELL, $cells);
        $this->made += count($readings);

        return $walk->id;
    }

    /** @return array{list<mixed>, list<mixed>} a row of the table readings, and of the table cells */
    private static function lines(Walk $walk, User $by, Check $check, Place $place, int $season, string $at): array
    {
        $answer = self::answer($check, $place, $season);
        // Checks that compare rows read alike on all of them.
        $judgement = $check->judge($answer, Background::of(median: $check->comparesRows() ? $answer->quantity : null, aim: $check->hasAims() ? $answer->quantity : null));
        $columns = StoredAnswer::columns($answer);
        $id = (string) Str::uuid7();
        $life = $answer->quantity === null ? null : $check->rule->lifeLeft($answer->quantity);
        $reasons = json_encode(array_map(StoredReason::of(...), $judgement->reasons), JSON_THROW_ON_ERROR);

        return [
            [
                $id, $walk->id, $walk->planter_id, $place->row, $place->check->value, $place->side->value, 'recorded', 'typed', $columns['value'], $columns['state'], $columns['chips'],
                $answer->quantity === null ? null : '', 'f', $at, $at, $by->id,
            ],
            [
                $walk->id, $place->row, $place->check->value, $place->side->value, $walk->planter_id, $walk->season, $id, 'recorded', $columns['value'], $columns['state'], $columns['chips'],
                $judgement->verdict->value, $reasons, $life === null ? null : round($life, 4), $at,
            ],
        ];
    }

    private static function answer(Check $check, Place $place, int $season): Answer
    {
        if (! $check->kind->takesFigure()) {
            return Answer::state($check->kind->states()[0]);
        }
        $path = $check->wear();
        if ($path === null) {
            return Answer::figure($check->rule->marks()['aim'] ?? $check->unit->quantityOf(2));
        }
        // A tenth of the allowance a season, more on some rows, and read to a sixteenth.
        $room = $path->allowance * (1 - $season * (0.1 + 0.01 * (($place->row * 7 + $season * 3) % 9)));
        $sixteenths = (int) round($path->size($room) * 16 / 25.4);

        return Answer::figure(Length::ofSixteenths(max(0, $sixteenths)));
    }

    private function acres(Planter $planter, User $by, CarbonImmutable $start): void
    {
        $lines = [];
        for ($day = 0; $day < 10; $day++) {
            $lines[] = [(string) Str::uuid7(), $planter->id, $start->addDays($day)->toDateString(), "Field {$day}", 4 * $planter->row_count, 1, 'f', '{}', 'f', $start->format('Y-m-d H:i:sP'), $by->id];
        }
        self::copy('acres_log', ['id', 'planter_id', 'day', 'field', 'acres', 'severity', 'own_severity', 'shares', 'withdrawn', 'recorded_at', 'user_id'], $lines);
    }

    private function blades(Planter $planter, User $by, CarbonImmutable $at): void
    {
        $moment = $at->format('Y-m-d H:i:sP');
        $lines = [];
        for ($row = 1; $row <= $planter->row_count; $row++) {
            foreach ([Side::Left, Side::Right] as $side) {
                $id = (string) Str::uuid7();
                $size = $planter->readSheet()->checks['opener_blade_diameter']->wear()?->new;
                $lines[] = [$id, $planter->id, 'fitted', $row, 'opener_blade', $side->value, $id, $size, $moment, $moment, $by->id];
            }
        }
        self::copy('ledger_events', ['id', 'planter_id', 'kind', 'row_number', 'slot', 'side', 'part_id', 'size', 'happened_at', 'recorded_at', 'user_id'], $lines);
    }

    /**
     * @param  list<string>  $columns
     * @param  list<list<mixed>>  $rows
     */
    private static function copy(string $table, array $columns, array $rows): void
    {
        $lines = array_map(
            static fn (array $row): string => implode("\t", array_map(static fn (mixed $value): string => $value === null ? '\\N' : addcslashes((string) $value, "\\\t\n\r"), $row)),
            $rows,
        );
        /** @var PDO $pdo the driver of PostgreSQL */
        $pdo = DB::getPdo();
        $pdo->pgsqlCopyFromArray($table, $lines, "\t", '\\\\N', implode(',', $columns));
    }
}
