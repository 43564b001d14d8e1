<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\People\Role;
use App\Models\Planter;
use App\Models\SpecSheet;
use App\Models\User;
use App\Models\Walk\Note;
use App\Models\Walk\Reading;
use App\Models\Walk\Walk;
use App\Models\Workshop;
use App\Record\Affected;
use App\Record\Change;
use App\Walk\Board\StoredAnswer;
use App\Wear\LearnMeasuring;
use App\Yard\FirstDay\FirstDay;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Result;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/**
 * The made-up workshop that a new installation shows: four planters with three seasons behind them, one of them walked half,
 * and one with its work half done. The same on every load of the same day.
 */
final readonly class DemoScenario
{
    public const WORKSHOP = 'Tollgate Row Works';

    public const EMAIL = 'wren@tollgate.example';

    public const PASSWORD = 'tollgate-rows';

    /** Seasons of walks before the one that is being prepared. */
    private const PAST_SEASONS = 3;

    private const SECONDS_A_READING = 15;

    /** Of the planter that is walked half. */
    private const ROWS_DECIDED = 5;

    public function __construct(
        private Change $change,
        private LearnMeasuring $learn,
        private DemoWork $work,
        private DemoBench $bench,
        private DemoField $field,
        private FirstDay $firstDay,
    ) {
    }

    public function load(CarbonImmutable $today): void
    {
        DB::transaction(function () use ($today): void {
            $tollgate = $this->workshop(self::WORKSHOP, [
                ['Wren Ashdown', self::EMAIL, Role::Owner], ['Idris Vale', 'idris@tollgate.example', Role::Technician], ['Pim Larkspur', 'pim@tollgate.example', Role::Helper],
            ]);
            DemoHistory::catalogue($tollgate->workshop_id);
            DemoSeason::shop($tollgate->workshop);
            DemoSeason::store($tollgate, $today);
            DemoBench::seed($tollgate);
            foreach (DemoPlanter::ofTollgate() as $planter) {
                $this->planter($planter, $tollgate, $today);
            }
            $lowmoor = $this->workshop('Lowmoor Planter Services', [['Sable Thorne', 'sable@lowmoor.example', Role::Owner]]);
            foreach (DemoPlanter::ofLowmoor() as $planter) {
                $this->planter($planter, $lowmoor, $today);
            }
        });
        // As when their last walks were finished.
        Workshop::query()->orderBy('id')->get()->each(fn (Workshop $workshop) => ($this->learn)($workshop->id));
        $worked = Planter::query()->where('name', DemoPlanter::WORKED)->firstOrFail();
        $wren = User::query()->where('email', self::EMAIL)->firstOrFail();
        $this->work->decideFirstRows(Planter::query()->where('name', DemoPlanter::BENCHED)->firstOrFail(), $wren, self::ROWS_DECIDED);
        $this->bench->load(Planter::query()->where('name', DemoPlanter::BENCHED)->firstOrFail(), $wren);
        $this->work->load($worked, $wren);
        $this->field->load($wren);
    }

    /** @param  non-empty-list<array{string, string, Role}>  $people names, emails and roles, the one who walks first */
    private function workshop(string $name, array $people): User
    {
        $workshop = Workshop::query()->create(['name' => $name, 'is_demo' => true]);
        $this->firstDay->skipAll($workshop);
        foreach ($people as [$person, $email, $role]) {
            User::query()->create([
                'workshop_id' => $workshop->id, 'name' => $person, 'email' => $email, 'password' => self::PASSWORD, 'role' => $role,
            ]);
        }

        return User::query()->where('workshop_id', $workshop->id)->orderBy('id')->firstOrFail();
    }

    /** A planter to play with in a shop of its own. */
    public function sample(User $user, CarbonImmutable $today): Planter
    {
        return $this->planter(DemoPlanter::sample(), $user, $today, true);
    }

    private function planter(DemoPlanter $demo, User $technician, CarbonImmutable $today, bool $isSample = false): Planter
    {
        $sheet = SpecSheet::query()->whereNull('workshop_id')->where('type', $demo->type->value)->firstOrFail();
        $planter = Planter::query()->create([
            'workshop_id' => $technician->workshop_id,
            'spec_sheet_id' => $sheet->id,
            'farm' => $demo->farm,
            'name' => $demo->name,
            'row_count' => array_sum($demo->sections),
            'spacing_mm' => Length::ofSixteenths(16 * $demo->spacingInches)->toMillimetres(),
            'spacing_typed' => "{$demo->spacingInches} in",
            'sections' => $demo->sections,
            'equipment' => $demo->equipment->toArray(),
            'planting_start' => $today->addDays($demo->daysToPlanting)->toDateString(),
            'planned_acres' => $demo->acres,
            'planting_days' => 12,
            'is_sample' => $isSample,
        ]);
        $history = new DemoHistory($planter, $technician, $demo);

        for ($ago = self::PAST_SEASONS; $ago > 0; $ago--) {
            $began = $today->addDays($demo->daysToPlanting)->subYears($ago)->subDays(24)->setTime(8, 20);
            $this->walk($planter, $sheet, $technician, $demo, $began, self::PAST_SEASONS - $ago, array_sum($demo->sections));
        }
        if ($demo->rowsWalked > 0) {
            $this->walk($planter, $sheet, $technician, $demo, $today->subDay()->setTime(13, 10), self::PAST_SEASONS, $demo->rowsWalked);
        }
        $history->write(self::PAST_SEASONS);
        if ($demo->isHalfWalked() && ! $isSample) {
            DemoSeason::plan($planter, $technician, $today);
        }
        $this->change->of($planter, static function (Planter $planter, Affected $touched): void {
            $touched->everything = true;
        });

        return $planter;
    }

    /** @param  int  $seasonsRun since the blades were new */
    private function walk(
        Planter $planter, SpecSheet $sheet, User $technician, DemoPlanter $demo, CarbonImmutable $began, int $seasonsRun, int $rows,
    ): void {
        $finished = $rows === $planter->row_count;
        $season = $planter->season() - (self::PAST_SEASONS - $seasonsRun);
        $walk = new Walk([
            'id' => self::uuid("{$planter->id} {$season}"),
            'planter_id' => $planter->id,
            'season' => $season,
            'kind' => WalkKind::PreSeason,
            'pack' => __('pack.yearly'),
            'walk_order' => WalkOrder::RowByRow,
            ...$planter->asWalked(),
            'checks' => null,
            'cautions_acknowledged_at' => $began,
            'planned_acres' => $demo->acres,
            'started_by' => $technician->id,
            'started_at' => $began,
            'finished_by' => $finished ? $technician->id : null,
            'finished_at' => $finished ? $began->addHours(7) : null,
        ]);
        $walk->countPlaces()->save();

        $readings = [];
        foreach ($demo->readings($walk->readSheet(), $seasonsRun, $rows) as $turn => $reading) {
            $at = $began->addSeconds(self::SECONDS_A_READING * ($turn + 1));
            $readings[] = [
                'id' => self::uuid("{$walk->id} {$turn}"),
                'walk_id' => $walk->id,
                'planter_id' => $planter->id,
                'row_number' => $reading['place']->row,
                'check_key' => $reading['place']->check->value,
                'side' => $reading['place']->side->value,
                'result' => Result::Recorded->value,
                'entry' => Entry::Typed->value,
                ...StoredAnswer::columns($reading['answer']),
                'typed' => $reading['typed'],
                'confirmed' => false,
                'taken_at' => $at,
                'recorded_at' => $at,
                'user_id' => $technician->id,
            ];
        }
        foreach (array_chunk($readings, 1000) as $chunk) {
            Reading::query()->insert($chunk);
        }
        if ($seasonsRun === self::PAST_SEASONS - 1 && $demo->isHalfWalked() && ! $planter->is_sample) {
            $this->hardJoint($walk, $technician);
        }
    }

    /** Last year's trouble, of which this year's walk warns. */
    private function hardJoint(Walk $walk, User $technician): void
    {
        Note::query()->insert([
            'id' => self::uuid("{$walk->id} joint"),
            'walk_id' => $walk->id,
            'planter_id' => $walk->planter_id,
            'row_number' => 10,
            'check_key' => 'gauge_bearing',
            'side' => Side::Left->value,
            'kind' => 'hard_joint',
            'text' => 'Gauge wheel bolt seized. Penetrating oil the day before, then heat: 40 minutes.',
            'taken_at' => $walk->started_at->addHours(2),
            'recorded_at' => $walk->started_at->addHours(2),
            'user_id' => $technician->id,
        ]);
    }

    /** The same id for the same thing on every load. */
    public static function uuid(string $of): string
    {
        $hash = md5("ustrel demo {$of}");

        return Str::lower(sprintf(
            '%s-%s-7%s-8%s-%s', substr($hash, 0, 8), substr($hash, 8, 4), substr($hash, 13, 3), substr($hash, 17, 3), substr($hash, 20, 12),
        ));
    }
}
