<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Aim;
use App\Models\Bench\Device;
use App\Models\Bench\Disc;
use App\Models\Bench\Meter;
use App\Models\Bench\SeedLot;
use App\Models\Bench\StandRun;
use App\Models\Field\WatchRun;
use App\Models\Manual;
use App\Models\Parts\Order;
use App\Models\Parts\PartType;
use App\Models\Parts\Supplier;
use App\Models\People\Role;
use App\Models\Planter;
use App\Models\Record\Import;
use App\Models\SpecSheet;
use App\Models\User;
use App\Models\Walk\Pack;
use App\Models\Walk\Photo;
use App\Models\Walk\Walk;
use App\Models\Work\WorkEvent;
use App\Models\Workshop;
use App\People\Invite;
use App\Spec\CopySpecSheet;
use App\Spec\LoadTypicalSheets;
use App\Spec\Manuals\KeepManual;
use App\Walk\Photos\PhotoFiles;
use App\Walk\Photos\PictureMaker;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\ParallelTesting;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Ustrel\Core\Work\Lubrication;

/** A test against the real PostgreSQL, with a workshop, its technician and the typical spec sheets. */
abstract class FeatureTestCase extends TestCase
{
    use RefreshDatabase;

    /** Commands really run, and answer with their exit code. */
    public $mockConsoleOutput = false;

    protected User $technician;

    protected function setUp(): void
    {
        parent::setUp();
        // A request that may take long sets a limit, which would go on counting over the tests behind it.
        set_time_limit(0);
        $this->keepFilesApart();
        app(LoadTypicalSheets::class)();
        $this->technician = $this->technicianOf('Tollgate Row Works');
        // Sanctum takes a request from its own origin as the client's.
        $this->withHeader('Referer', config('app.url'));
    }

    /** Of tests that run side by side each has a database of its own: what they keep in files by id is kept apart as well. */
    private function keepFilesApart(): void
    {
        $process = (string) ParallelTesting::token();
        if ($process !== '') {
            app()->useStoragePath(storage_path("process-{$process}"));
            File::ensureDirectoryExists(storage_path('app'));
            File::ensureDirectoryExists(storage_path('framework/cache'));
        }
    }

    protected function technicianOf(string $workshop): User
    {
        return User::factory()->for(Workshop::factory()->state(['name' => $workshop]))->create()->refresh();
    }

    public function typicalSheet(string $type = 'vacuum'): SpecSheet
    {
        return SpecSheet::query()->whereNull('workshop_id')->where('type', $type)->firstOrFail();
    }

    /** Another person on a device of their own. */
    public function switchTo(User $user): static
    {
        return $this->signedOut()->actingAs($user, 'web');
    }

    /** Nobody, on a device of their own. */
    protected function signedOut(): static
    {
        session()->flush();
        app('auth')->forgetGuards();

        return $this;
    }

    /** All that is lubricated once a season is done on a planter. */
    public function lubricated(Planter $planter): void
    {
        WorkEvent::query()->create([
            'id' => (string) Str::uuid7(), 'planter_id' => $planter->id, 'kind' => 'finished', 'row_number' => 0, 'places' => [], 'user_id' => $this->technician->id, 'happened_at' => now(), 'recorded_at' => now(),
            'targets' => array_map(static fn (Lubrication $of): string => $of->work()->key(), Lubrication::read(Lubrication::points(), $planter->units())),
        ]);
    }

    /** @param  array<string, mixed>  $fields */
    public function standRun(Planter $planter, array $fields = []): StandRun
    {
        return StandRun::query()->create($fields + [
            'id' => (string) Str::uuid7(), 'planter_id' => $planter->id, 'user_id' => $this->technician->id, 'row_number' => 1, 'stage' => 'pre', 'cells' => 30, 'turns' => 40, 'air' => 6, 'places' => 500, 'state' => 'waiting', 'made_at' => now(),
        ])->refresh();
    }

    /** What a print says: as one line, or line by line as it stands on the paper. */
    public function printed(string $path, bool $inLines = false): string
    {
        $paper = tempnam(sys_get_temp_dir(), 'ustrel');
        file_put_contents($paper, (string) $this->get($path)->assertOk()->getContent());
        $said = Process::run(['pdftotext', '-layout', $paper, '-'])->throw()->output();
        unlink($paper);

        return $inLines ? $said : (string) preg_replace('/\s+/', ' ', $said);
    }

    /** @return array<string, string|int> something of each kind that a route names, by its name there */
    public function everything(Planter $planter, Walk $walk): array
    {
        $photo = (string) Str::uuid7();
        app(PhotoFiles::class)->keep($photo, $planter->id, app(PictureMaker::class)->make(base_path('public/icon-192.png')));
        Photo::query()->create([
            'id' => $photo, 'walk_id' => $walk->id, 'planter_id' => $planter->id, 'row_number' => 1, 'check_key' => 'seed_tube', 'side' => 'centre',
            'file_sha256' => str_repeat('0', 64), 'width' => 192, 'height' => 192, 'taken_at' => now(), 'recorded_at' => now(), 'user_id' => $this->technician->id,
        ]);
        $workshop = $this->technician->workshop;

        return [
            'planter' => $planter->id, 'walk' => $walk->id, 'specSheet' => app(CopySpecSheet::class)($this->typicalSheet(), $this->technician)->id, 'row' => 1, 'check' => 'own_1', 'photo' => $photo,
            'supplier' => Supplier::query()->create(['workshop_id' => $workshop->id, 'name' => 'Brook Supply'])->id, 'order' => Order::query()->create(['workshop_id' => $workshop->id, 'user_id' => $this->technician->id, 'lines' => [], 'key' => (string) Str::uuid7()])->id,
            'pack' => Pack::factory()->create(['workshop_id' => $workshop->id])->id, 'partType' => PartType::factory()->create(['workshop_id' => $workshop->id])->id, 'import' => Import::factory()->for($planter)->for($this->technician)->create()->id,
            'seedLot' => SeedLot::query()->create(['workshop_id' => $workshop->id, 'name' => 'Popcorn 7', 'seeds_per_unit' => 80000])->id, 'calculation' => 'marker', 'step' => 'gauge_wheel', 'point' => 'hitch', 'meter' => Meter::query()->create(['workshop_id' => $workshop->id, 'serial' => 'T-1'])->id, 'disc' => Disc::query()->create(['workshop_id' => $workshop->id, 'name' => '60 cells', 'cells' => 60])->id, 'aim' => Aim::query()->create(['workshop_id' => $workshop->id, 'crop' => 'milo'])->id, 'other' => $planter->id,
            'stand' => Device::query()->create(['workshop_id' => $workshop->id, 'name' => 'Bench 1', 'user_id' => $this->technician->id, 'made_at' => now()])->id, 'standRun' => $this->standRun($planter)->id,
            'manual' => $this->manual(['planter_id' => $planter->id])->id,
            ...$this->watched($planter),
            'person' => User::factory()->for($workshop)->create()->id, 'invitation' => app(Invite::class)($this->technician, Role::Helper, null)[0]->id, 'device' => 'abc',
        ];
    }

    /** @param  array{planter_id: int}|array{spec_sheet_id: int}  $of */
    public function manual(array $of, string $text = 'Torque: see page 12.'): Manual
    {
        $file = tempnam(sys_get_temp_dir(), 'manual');
        file_put_contents($file, "%PDF-1.4\n{$text}\n%%EOF\n");

        return app(KeepManual::class)($this->technician, 'Manual', $of + ['planter_id' => null, 'spec_sheet_id' => null], new UploadedFile($file, 'manual.pdf', test: true));
    }

    /** @return array{watchRun: string} that a row monitor tells of */
    public function watched(Planter $planter): array
    {
        $run = WatchRun::query()->create(['id' => (string) Str::uuid7(), 'planter_id' => $planter->id, 'user_id' => $this->technician->id, 'acres' => 1600, 'state' => 'waiting', 'made_at' => now()]);

        return ['watchRun' => $run->id];
    }

    /** @param  array<string, mixed>  $fields */
    public function planter(array $fields = []): Planter
    {
        return Planter::factory()->create($fields + ['workshop_id' => $this->technician->workshop_id, 'spec_sheet_id' => $this->typicalSheet()->id]);
    }

    /** @param  list<string>|null  $checks  those that are walked; two blades and their contact by default, null for all */
    public function openWalk(Planter $planter, ?array $checks = ['opener_blade_diameter', 'blade_contact_length']): Walk
    {
        $id = $this->actingAs($this->technician)
            ->postJson("/api/planters/{$planter->id}/walks", array_filter([
                'kind' => 'pre_season', 'order' => 'row_by_row', 'checks' => $checks, 'cautions_acknowledged' => true,
            ]))
            ->assertCreated()
            ->json('id');

        return Walk::query()->findOrFail($id);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    public function reading(int $row, string $typed, array $fields = []): array
    {
        return $fields + [
            'id' => (string) Str::uuid7(),
            'row' => $row,
            'check' => 'opener_blade_diameter',
            'side' => 'left',
            'typed' => $typed,
            'units' => 'in',
            'taken_at' => now()->toIso8601ZuluString('millisecond'),
        ];
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed> a reading that takes no figure
     */
    public function state(int $row, string $check, string $state, array $fields = []): array
    {
        return array_diff_key($this->reading($row, '', $fields + ['check' => $check, 'side' => 'centre', 'state' => $state]), ['typed' => 1]);
    }

    /** @return array<string, mixed> */
    public function contact(int $row, string $typed): array
    {
        return $this->reading($row, $typed, ['check' => 'blade_contact_length', 'side' => 'centre']);
    }

    /** @param  array<string, mixed>  $fields */
    public function logAcres(Planter $planter, string $day, float $acres, array $fields = []): TestResponse
    {
        return $this->actingAs($this->technician)->postJson("/api/planters/{$planter->id}/acres", $fields + [
            'id' => (string) Str::uuid7(), 'day' => $day, 'field' => 'Long Field', 'acres' => $acres,
        ]);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed> an entry of the ledger: a left opener blade by default
     */
    public function fitting(int $row, string $day, array $fields = []): array
    {
        return $fields + [
            'id' => (string) Str::uuid7(), 'kind' => 'fitted', 'happened_at' => "{$day}T10:00:00Z", 'row' => $row, 'slot' => 'opener_blade', 'side' => 'left', 'reason' => 'worn',
        ];
    }

    /** @param  array<mixed>  ...$events */
    public function record(Planter $planter, array ...$events): TestResponse
    {
        return $this->actingAs($this->technician)->postJson("/api/planters/{$planter->id}/ledger", ['events' => $events]);
    }

    /** @return array<string, mixed> what is fitted on a planter */
    public function ledgerOf(Planter $planter): array
    {
        return $this->actingAs($this->technician)->getJson("/api/planters/{$planter->id}/ledger")->assertOk()->json();
    }

    /** @return array<string, mixed> what a planter has planted */
    public function acresOf(Planter $planter): array
    {
        return $this->actingAs($this->technician)->getJson("/api/planters/{$planter->id}/acres")->assertOk()->json();
    }

    /** @return array<string, mixed> what is forecast of one place */
    public function forecastOf(Planter $planter, int $row, string $check = 'opener_blade_diameter', string $side = 'left'): array
    {
        return $this->cellAt($this->actingAs($this->technician)->getJson("/api/planters/{$planter->id}/forecast")->assertOk()->json('places'), $row, $check, $side);
    }

    /** @param  array<mixed>  $cells  of a board, a guide or news; what stands at one place of them */
    public function cellAt(array $cells, int $row, string $check = 'opener_blade_diameter', string $side = 'left'): array
    {
        $cell = collect($cells)->firstOrFail(fn (array $cell): bool => [$cell['row'], $cell['check'], $cell['side']] === [$row, $check, $side]);

        // A board leaves out what there is not to say.
        return $cell + ['now' => null, 'last' => null];
    }

    /** @param  array<mixed>  ...$readings */
    public function send(Walk $walk, array ...$readings): TestResponse
    {
        return $this->actingAs($this->technician)->postJson("/api/walks/{$walk->id}/readings", ['readings' => $readings]);
    }

    /** @param  array<mixed>  ...$decisions */
    public function decide(Walk $walk, array ...$decisions): TestResponse
    {
        return $this->actingAs($this->technician)->postJson("/api/walks/{$walk->id}/decisions", ['decisions' => $decisions]);
    }

    /** @return array<string, mixed> what there is to decide on a planter */
    public function toDecide(Planter $planter): array
    {
        return $this->actingAs($this->technician)->getJson("/api/planters/{$planter->id}/decide")->assertOk()->json();
    }
}
