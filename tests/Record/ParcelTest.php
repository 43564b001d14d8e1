<?php

declare(strict_types=1);

use App\Models\Field\WatchAlarm;
use App\Models\Field\WatchRun;
use App\Models\FirstDay\State;
use App\Models\Parts\PartType;
use App\Models\People\Role;
use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Walk;
use App\Models\Workshop;
use App\People\GuestLinks;
use App\Record\Parcel\Content;
use App\Record\Parcel\PackWorkshop;
use App\Record\Parcel\ParcelFailed;
use App\Record\Parcel\UnpackWorkshop;
use App\Spec\CopySpecSheet;
use App\Spec\LoadTypicalSheets;
use App\Spec\Manuals\ManualFiles;
use App\Walk\Photos\PhotoFiles;
use App\Yard\FirstDay\FirstDay;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->parcel = sys_get_temp_dir().'/parcel-'.Str::uuid7().'.zip';
});
afterEach(function (): void {
    @unlink($this->parcel);
});

/** A shop with something of every kind in it. */
function fullShop(Tests\FeatureTestCase $test, User $owner): Planter
{
    $sheet = app(CopySpecSheet::class)($test->typicalSheet(), $owner);
    $test->actingAs($owner)->postJson("/api/spec-sheets/{$sheet->id}/own-checks", ['name' => 'Dew on the glass', 'kind' => 'yes_no', 'station' => 'meter', 'sides' => 'one'])->assertCreated();
    $type = PartType::factory()->create(['workshop_id' => $owner->workshop_id, 'name' => '=HYPERLINK("x")', 'price' => '38.50']);
    $planter = $test->planter(['workshop_id' => $owner->workshop_id, 'spec_sheet_id' => $sheet->id, 'row_count' => 4, 'planting_start' => '2026-04-20', 'other_rows' => [['rows' => [4], 'spec_sheet_id' => $sheet->id, 'equipment' => ['closing_wheels' => 'cast']]]]);
    $test->record($planter, $test->fitting(1, '2025-03-01', ['part_type_id' => $type->id, 'cost' => 38.5]), $test->fitting(2, '2025-03-01'))->assertCreated();
    $lot = $test->postJson('/api/seed/lots', ['name' => 'P7', 'crop' => 'Popcorn', 'size' => 7.9, 'seeds_per_unit' => 80_000])->assertCreated()->json('id');
    $test->postJson('/api/seed/moves', ['moves' => [['id' => (string) Str::uuid7(), 'seed_lot_id' => $lot, 'kind' => 'received', 'units' => 100, 'happened_at' => '2025-04-01T09:00:00Z']]])->assertCreated();
    $meter = $test->postJson('/api/meters', ['serial' => 'T-01'])->assertCreated()->json('id');
    $test->postJson('/api/meters/moves', ['moves' => [['id' => (string) Str::uuid7(), 'meter_id' => $meter, 'to' => 'row', 'planter_id' => $planter->id, 'row' => 2, 'happened_at' => '2025-04-01T09:00:00Z']]])->assertCreated();
    $field = ['name' => 'Long Field', 'crop' => 'Popcorn', 'acres' => 60, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => 'P7', 'population' => 32_000];
    $test->putJson("/api/planters/{$planter->id}/season", ['revision' => 0, 'planting_start' => '2026-04-20', 'planting_end' => '2026-05-10', 'fields' => [$field]])->assertOk();
    $test->logAcres($planter, '2025-05-02', 120.25, ['lot' => 'P7', 'population' => '32000'])->assertCreated();
    $line = $test->acresOf($planter)['lines'][0];
    $test->logAcres($planter, '2025-05-02', 130.5, ['supersedes' => $line['id'], 'lot' => 'P7', 'population' => '32000'])->assertCreated();
    $test->postJson("/api/planters/{$planter->id}/bench", ['id' => (string) Str::uuid7(), 'row' => 2, 'stage' => 'pre', 'places' => 500, 'skips' => 3, 'doubles' => 3, 'seed' => 'P7', 'happened_at' => '2026-03-01T09:00:00Z'])->assertCreated();
    $run = $test->standRun($planter, ['state' => 'ended', 'row_number' => 3, 'practice' => ['size' => 5.0, 'leak' => 0.0, 'plugged' => false, 'fault' => 'none', 'number' => 1]]);
    $run->drops()->create(['seq' => 1, 'ms' => 0.0, 'air' => 6]);
    $test->postJson("/api/planters/{$planter->id}/bench", ['id' => $run->id, 'row' => 3, 'stage' => 'pre', 'places' => 500, 'skips' => 3, 'doubles' => 3, 'air' => 6, 'happened_at' => '2026-03-01T09:00:00Z'])->assertCreated();
    $test->postJson("/api/planters/{$planter->id}/bench", ['id' => (string) Str::uuid7(), 'part_of' => $run->id, 'row' => 3, 'stage' => 'pre', 'places' => 500, 'skips' => 3, 'doubles' => 3, 'air' => 9, 'happened_at' => '2026-03-01T09:01:00Z'])->assertCreated();
    $test->postJson("/api/planters/{$planter->id}/first-pass/sign-offs", ['kind' => 'hand_turned', 'id' => (string) Str::uuid7(), 'happened_at' => '2026-03-01T09:30:00Z'])->assertCreated();
    $walk = $test->openWalk($planter);
    $first = $test->reading(1, '14 3/4');
    $test->send($walk, $first)->assertOk();
    $test->send($walk, $test->reading(1, '14 11/16', ['supersedes' => $first['id'], 'confirmed' => true]), $test->reading(2, '14 7/8'))->assertOk();
    $place = ['row' => 3, 'check' => 'gauge_bearing', 'side' => 'left', 'taken_at' => '2026-03-01T09:30:00.000Z'];
    $test->postJson("/api/walks/{$walk->id}/notes", $place + ['id' => (string) Str::uuid7(), 'kind' => 'hard_joint', 'text' => 'Größe: seized'])->assertCreated();
    $test->post("/api/walks/{$walk->id}/photos", $place + ['id' => (string) Str::uuid7(), 'photo' => UploadedFile::fake()->image('a.jpg', 60, 40)], ['Accept' => 'application/json'])->assertCreated();
    $test->post("/api/planters/{$planter->id}/imports", ['file' => UploadedFile::fake()->createWithContent('past.csv', "Date,Row,Check,Side,Reading\n2024-03-02,1,opener_blade_diameter,left,14 15/16\n"), 'kind' => 'readings', 'mode' => 'good'])->assertStatus(202);
    $test->postJson('/api/suppliers', ['name' => 'Brook Supply', 'prices' => [['part_type_id' => $type->id, 'price' => 36.25, 'lead_days' => 9, 'since' => '2026-01-10']]])->assertCreated();
    $test->postJson('/api/orders', ['key' => (string) Str::uuid7(), 'revision' => 0, 'supplier_id' => null, 'state' => 'ordered', 'ordered_on' => '2026-03-02', 'lines' => [['part_type_id' => $type->id, 'quantity' => 6, 'price' => 36.25]]])->assertCreated();
    foreach (['ended', 'running'] as $state) {
        $run = WatchRun::query()->create(['id' => (string) Str::uuid7(), 'planter_id' => $planter->id, 'user_id' => $owner->id, 'acres' => 400, 'state' => $state, 'field' => 'Long Field', 'made_at' => now()]);
        $run->passes()->create(['number' => 1, 'from_at' => now(), 'to_at' => now(), 'seconds' => 200, 'feet' => 1500, 'mph' => 5, 'means' => ['population' => [1 => 34_000]], 'deviations' => []]);
        $run->alarms()->create(['at' => now(), 'kind' => 'stopped', 'watched' => 'population', 'rows' => [3], 'direction' => -1, 'expected' => 34_000, 'found' => 0, 'seconds' => 5, 'pass' => 1, 'mph' => 5])->entries()->create(['planter_id' => $run->planter_id, 'watch_run_id' => $run->id, 'kind' => 'seen', 'happened_at' => now(), 'recorded_at' => now(), 'user_id' => $owner->id]);
    }
    $test->manual(['spec_sheet_id' => $sheet->id]);
    app(GuestLinks::class)->make($owner, $planter, 'Hollis Pell', 30);

    return $planter;
}

/** @return array<string, mixed> what people see of a planter, without the numbers that differ from one installation to another */
function seenOf(Tests\FeatureTestCase $test, User $owner, Planter $planter): array
{
    $test->switchTo($owner);
    $seen = array_map(fn (string $what): mixed => $test->getJson("/api/planters/{$planter->id}/{$what}")->assertOk()->json(), ['board', 'ledger', 'acres', 'forecast', 'rows/1', 'walks', 'season', 'bench', 'first-pass']);
    array_walk_recursive($seen, function (mixed &$value, int|string $key): void {
        $value = is_string($value) && $key === 'key' ? preg_replace('/^alarm:\d+$/', 'alarm', $value) : $value;
        $value = in_array($key, ['id', 'part_type_id', 'spec_sheet_id', 'seed_lot_id', 'planter_id', 'revision', 'as_of'], true) && ! is_string($value) || in_array($key, ['as_of', 'revision', 'version'], true) ? null : $value;
    });

    return [...$seen, 'seed' => array_map(fn (array $lot): array => [$lot['name'], $lot['on_hand'], $lot['needed']], $test->getJson('/api/seed')->assertOk()->json('lots')), 'meters' => array_map(fn (array $meter): array => [$meter['serial'], count($meter['stays']), count($meter['runs'])], $test->getJson('/api/meters')->assertOk()->json('meters')), 'store' => array_map(fn (array $part): array => [$part['name'], $part['on_order'], $part['price']], $test->getJson('/api/store')->assertOk()->json())];
}

it('takes all of a workshop out as an open archive and brings it back elsewhere, seen as it was', function (): void {
    $planter = fullShop($this, $this->technician);
    $tables = ['spec_sheets', 'own_checks', 'part_types', 'planters', 'walks', 'readings', 'notes', 'photos', 'manuals', 'ledger_events', 'acres_log', 'suppliers', 'orders', 'seed_lots', 'seed_moves', 'meters', 'meter_moves', 'season_plans', 'bench_runs', 'sign_offs', 'imports', 'cells', 'fittings', 'forecasts', 'renewals', 'outlooks', 'walk_rows'];
    $counts = fn (): array => array_map(fn (string $table): int => DB::table($table)->count(), array_combine($tables, $tables));
    app(PackWorkshop::class)($this->technician->workshop, $this->parcel);
    [$seen, $were] = [seenOf($this, $this->technician, $planter), $counts()];
    $photo = DB::table('photos')->value('id');
    $picture = fn (int $of): string => (string) file_get_contents(PhotoFiles::root()."/{$of}/{$photo}.jpg");
    $manual = fn (): string => (string) file_get_contents(ManualFiles::root().'/'.DB::table('manuals')->value('id').'.pdf');
    $ofShop = fn (int $workshop): array => [DB::table('packs')->where('workshop_id', $workshop)->count(), DB::table('activity_log')->where('workshop_id', $workshop)->whereNotNull('causer_id')->count()];
    $had = ['manual' => $manual(), 'picture' => $picture($planter->id), 'of the shop' => $ofShop($planter->workshop_id)];

    $zip = new ZipArchive;
    $zip->open($this->parcel);
    expect($zip->getFromName('csv/part-changes.csv'))->toContain("\"'=HYPERLINK")
        ->and($zip->getFromName('csv/readings.csv'))->toContain('14 11/16')
        ->and($zip->getFromName('tables/users.ndjson'))->not->toContain('$2y$')->not->toContain('Hollis Pell')
        ->and(json_decode((string) $zip->getFromName('about.json'), true)['counts'])->toMatchArray(['readings' => 4, 'acres_log' => 2, 'photos' => 1, 'users' => 1, 'watch_runs' => 1, 'watch_passes' => 1, 'watch_alarms' => 1]);

    // Another installation, with a shop of its own in it.
    unlink(ManualFiles::root().'/'.DB::table('manuals')->value('id').'.pdf');
    $this->signedOut();
    DB::statement('TRUNCATE workshops, users, spec_sheets, jobs CASCADE');
    app(LoadTypicalSheets::class)();
    $neighbour = $this->technicianOf('Lowmoor Planter Services');
    expect($this->artisan('ustrel:unpack-workshop', ['file' => $this->parcel]))->toBe(0);
    $here = Planter::query()->firstOrFail();
    $owner = User::query()->where('email', $this->technician->email)->firstOrFail();
    expect($here->id)->not->toBe($planter->id)
        ->and(seenOf($this, $owner, $here))->toEqual($seen)
        // 130.5 acres at 32,000 are 52.2 units of 80,000; 60 to come are 24 and a twentieth more. Of the lot here, by its number here.
        ->and($seen['seed'])->toBe([['P7', 47.8, 26]])->and($seen['meters'])->toBe([['T-01', 1, 1]])
        ->and($seen['store'])->toBe([['=HYPERLINK("x")', 6, 36.25]])
        ->and($counts())->toBe($were)
        ->and(WatchRun::query()->where('planter_id', $here->id)->with('passes')->get()->map(fn (WatchRun $of): array => [$of->state, $of->passes->count(), $of->alarms()->whereHas('entries', fn ($entry) => $entry->where('user_id', $owner->id))->count()])->all())->toBe([['ended', 1, 1]])
        ->and($ofShop($here->workshop_id))->toBe($had['of the shop'])
        ->and($picture($here->id))->toBe($had['picture'])->and($manual())->toBe($had['manual'])->toContain('%PDF')->and(DB::table('manuals')->value('spec_sheet_id'))->toBe($here->spec_sheet_id)
        // A shop with a past has no first day.
        ->and(app(FirstDay::class)->of($here->workshop))->not->toContain(State::Open)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0)
        ->and($this->switchTo($neighbour)->getJson("/api/planters/{$here->id}/board")->getStatusCode())->toBe(404)
        // Nobody gets in by a password until an owner has chosen one.
        ->and($this->signedOut()->postJson('/api/sign-in', ['email' => $owner->email, 'password' => 'secret-rows'])->getStatusCode())->toBe(422);

    expect(fn () => app(UnpackWorkshop::class)($this->parcel))->toThrow(ParcelFailed::class, 'is already here');
    DB::table('workshops')->where('id', $here->workshop_id)->update(['import_key' => (string) Str::uuid7()]);
    expect(fn () => app(UnpackWorkshop::class)($this->parcel))->toThrow(ParcelFailed::class, "already has the address {$owner->email}");
    $owner->update(['email' => 'other@tollgate.example']);
    expect(fn () => app(UnpackWorkshop::class)($this->parcel))->toThrow(ParcelFailed::class, 'is already here')
        ->and(Workshop::query()->count())->toBe(2)
        ->and($picture($here->id))->toBe($had['picture']);
});

it('takes in nothing that was altered, cut, is none, or is of another version, and says which', function (Closure $harm, string $why): void {
    fullShop($this, $this->technician);
    app(PackWorkshop::class)($this->technician->workshop, $this->parcel);
    $this->signedOut();
    DB::statement('TRUNCATE workshops, users, spec_sheets CASCADE');
    app(LoadTypicalSheets::class)();
    $harm($this->parcel);
    expect(fn () => app(UnpackWorkshop::class)($this->parcel))->toThrow(ParcelFailed::class, $why)
        ->and(Workshop::query()->count())->toBe(0)->and(User::query()->count())->toBe(0);
})->with([
    'cut' => [fn (string $file) => file_put_contents($file, substr((string) file_get_contents($file), 0, 900)), 'or it is cut'],
    'something else' => [fn (string $file) => file_put_contents($file, 'rows and rows'), 'is not a workshop packed by Ustrel'],
    'a line altered' => [fn (string $file) => inZip($file, 'tables/readings.ndjson', fn (string $text): string => str_replace('14 7/8', '14 1/8', $text)), 'readings.ndjson in it is not what was packed'],
    'a table left out' => [fn (string $file) => inZip($file, 'tables/notes.ndjson', fn (): null => null), 'notes.ndjson in it is not what was packed'],
    'a later version' => [fn (string $file) => inZip($file, 'about.json', fn (string $text): string => str_replace('"migrations": [', '"migrations": ["2031_01_01_000000_more",', $text)), 'another version of Ustrel'],
]);

it('takes in nothing that a forger has made, and hangs nothing on a neighbour', function (Closure $forge, string $file): void {
    fullShop($this, $this->technician);
    app(PackWorkshop::class)($this->technician->workshop, $this->parcel);
    // Elsewhere, where a neighbour is.
    $walk = Walk::query()->firstOrFail()->replicate();
    $this->signedOut();
    DB::statement('TRUNCATE workshops, users, spec_sheets, jobs CASCADE');
    app(LoadTypicalSheets::class)();
    $neighbour = $this->technicianOf('Lowmoor Planter Services');
    $theirs = $this->planter(['workshop_id' => $neighbour->workshop_id, 'name' => 'Theirs']);
    $run = WatchRun::query()->create(['id' => (string) Str::uuid7(), 'planter_id' => $theirs->id, 'user_id' => $neighbour->id, 'acres' => 1600, 'state' => 'ended', 'made_at' => now()]);
    $walk->id = (string) Str::uuid7();
    $walk->fill(['planter_id' => $theirs->id, 'started_by' => $neighbour->id, 'finished_at' => null, 'finished_by' => null])->save();
    [$table, $edit] = $forge($walk->id, $run->id);
    forged($this->parcel, $table, $edit);
    $before = DB::table('workshops')->count();
    memory_reset_peak_usage();
    $memory = memory_get_usage();
    expect(fn () => app(UnpackWorkshop::class)($this->parcel))->toThrow(ParcelFailed::class, $file)->and(DB::table('workshops')->count())->toBe($before)
        ->and(memory_get_peak_usage() - $memory)->toBeLessThan(64_000_000);
})->with([
    'a pass under a neighbour’s run' => [fn (string $walk, string $run): array => ['watch_passes', fn (string $text): string => preg_replace('/"watch_run_id": ?"[^"]+"/', "\"watch_run_id\": \"{$run}\"", $text)], 'watch_passes.ndjson'],
    'a reading on a neighbour’s walk' => [fn (string $walk): array => ['readings', fn (string $text): string => preg_replace('/"walk_id": ?"[^"]+"/', "\"walk_id\": \"{$walk}\"", $text)], 'readings.ndjson'],
    'a line that does not end' => [fn (): array => ['notes', fn (string $text): string => '{"a": "'.str_repeat('x', 5_000_000).'"}'], 'notes.ndjson'],
    'lines within lines' => [fn (): array => ['notes', fn (string $text): string => str_repeat('[', 4000).str_repeat(']', 4000)], 'notes.ndjson'],
]);

it('takes no picture that is none, or is larger than ours', function (Closure $harm): void {
    fullShop($this, $this->technician);
    app(PackWorkshop::class)($this->technician->workshop, $this->parcel);
    $photo = DB::table('photos')->value('id');
    $this->signedOut();
    DB::statement('TRUNCATE workshops, users, spec_sheets CASCADE');
    app(LoadTypicalSheets::class)();
    inZip($this->parcel, PackWorkshop::inside($photo, false), $harm);
    expect(fn () => app(UnpackWorkshop::class)($this->parcel))->toThrow(ParcelFailed::class, $photo)->and(Workshop::query()->count())->toBe(0);
})->with([
    'no picture' => [fn (string $jpeg): string => '<script>alert(1)</script>'],
    'too large' => [fn (string $jpeg): string => $jpeg.str_repeat("\0", 10_000_001)],
    'a bomb of pixels' => [function (string $jpeg): string {
        ob_start();
        imagejpeg(imagecreate(5000, 10), null, 1);

        return (string) ob_get_clean();
    }],
]);

/**
 * Alters a table in a parcel, and its digest with it.
 *
 * @param  Closure(string): string  $edit
 */
function forged(string $file, string $table, Closure $edit): void
{
    $text = '';
    inZip($file, "tables/{$table}.ndjson", function (string $was) use ($edit, &$text): string {
        return $text = $edit($was);
    });
    inZip($file, 'about.json', function (string $about) use ($table, $text): string {
        $read = json_decode($about, true);
        $read['sha256']["tables/{$table}.ndjson"] = hash('sha256', $text);
        $read['counts'][$table] = substr_count(rtrim($text, "\n"), "\n") + 1;

        return json_encode($read);
    });
}

/** @param  Closure(string): (string|null)  $edit */
function inZip(string $file, string $name, Closure $edit): void
{
    $zip = new ZipArchive;
    $zip->open($file);
    $edited = $edit((string) $zip->getFromName($name));
    $edited === null ? $zip->deleteName($name) : $zip->addFromString($name, $edited);
    $zip->close();
}

it('hands the archive to the owner alone, and notes it', function (): void {
    fullShop($this, $this->technician);
    $helper = User::factory()->for($this->technician->workshop)->create(['role' => Role::Technician])->refresh();
    $this->switchTo($helper)->get('/api/workshop/parcel', ['Accept' => 'application/json'])->assertForbidden();
    $answer = $this->switchTo($this->technician)->get('/api/workshop/parcel')->assertOk()->assertHeader('Content-Type', 'application/zip');
    expect($answer->headers->get('Content-Disposition'))->toContain('tollgate-row-works-')
        ->and(DB::table('activity_log')->where('description', 'exported')->count())->toBe(1);
});

it('takes the demo along whole, with something in every table', function (): void {
    $today = Carbon\CarbonImmutable::parse('2026-03-02');
    $this->travelTo($today->setTime(12, 0));
    app(Database\Demo\DemoScenario::class)->load($today);
    $owner = User::query()->where('email', Database\Demo\DemoScenario::EMAIL)->firstOrFail();
    $planter = Planter::query()->where('workshop_id', $owner->workshop_id)->orderBy('id')->firstOrFail();
    $counts = fn (int $workshop): array => array_map(static fn (string $model): int => (int) DB::scalar('SELECT count(*) FROM (SELECT 1 FROM '.Content::whose($model).') AS own', [$workshop]), array_combine(array_map(Content::table(...), array_keys(Content::TABLES)), array_keys(Content::TABLES)));
    // What nobody has in the demo.
    $this->actingAs($owner);
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $owner);
    $this->postJson("/api/spec-sheets/{$sheet->id}/own-checks", ['name' => 'Dew on the glass', 'kind' => 'yes_no', 'station' => 'meter', 'sides' => 'one'])->assertCreated();
    $this->postJson('/api/packs', ['name' => 'Short walk', 'kind' => 'pre_season', 'checks' => ['opener_blade_diameter']])->assertCreated();
    $this->postJson('/api/aims', ['crop' => '', 'singulation' => 0.97])->assertCreated();
    $this->putJson('/api/lubrication/hitch', ['per' => 'planter', 'minutes' => 5, 'product' => 'grease', 'rounds' => 'both', 'revision' => 0])->assertOk();
    $walk = Walk::query()->where('planter_id', $planter->id)->whereNull('finished_at')->firstOrFail();
    $this->post("/api/walks/{$walk->id}/photos", ['row' => 3, 'check' => 'gauge_bearing', 'side' => 'left', 'taken_at' => '2026-03-01T09:30:00.000Z', 'id' => (string) Str::uuid7(), 'photo' => UploadedFile::fake()->image('a.jpg', 60, 40)], ['Accept' => 'application/json'])->assertCreated();
    $this->post("/api/planters/{$planter->id}/imports", ['file' => UploadedFile::fake()->createWithContent('past.csv', "Date,Row,Check,Side,Reading\n2020-03-02,1,opener_blade_diameter,left,14 15/16\n"), 'kind' => 'readings', 'mode' => 'good'])->assertStatus(202);
    $alarm = WatchAlarm::query()->with('run')->firstOrFail();
    $this->postJson("/api/planters/{$alarm->run->planter_id}/watch/{$alarm->watch_run_id}/entries", ['entries' => [['id' => (string) Str::uuid7(), 'kind' => 'seen', 'alarm' => $alarm->id, 'happened_at' => now()->toIso8601ZuluString()]]])->assertCreated();
    $alarm->backs()->create(['watch_run_id' => $alarm->watch_run_id, 'row_number' => $alarm->rows[0], 'at' => now()]);
    $this->technician = $owner;
    $this->manual(['planter_id' => $alarm->run->planter_id]);
    $this->putJson("/api/planters/{$alarm->run->planter_id}/joints/gauge_wheel", ['variants' => [['pin' => 'clevis pin']], 'revision' => 0])->assertOk();
    $were = $counts($owner->workshop_id);
    expect(array_keys($were, 0, true))->toBe([]);
    app(PackWorkshop::class)($owner->workshop, $this->parcel);
    $practice = array_count_values(array_map(static fn (array $run): string => $run['practice'] ? 'practice' : 'run', $this->getJson("/api/planters/{$planter->id}/bench")->json('runs')));
    $seen = seenOf($this, $owner, $planter);
    $this->signedOut();
    DB::statement('TRUNCATE workshops, users, spec_sheets, jobs CASCADE');
    app(LoadTypicalSheets::class)();
    $here = app(UnpackWorkshop::class)($this->parcel);
    $owner = User::query()->where('email', $owner->email)->firstOrFail();
    $planter = Planter::query()->where('workshop_id', $here->id)->where('name', $planter->name)->firstOrFail();
    expect($counts($here->id))->toBe($were)->and(seenOf($this, $owner, $planter))->toEqual($seen)
        // What a made-up meter ran is practice here too.
        ->and(array_count_values(array_map(static fn (array $run): string => $run['practice'] ? 'practice' : 'run', $this->getJson("/api/planters/{$planter->id}/bench")->json('runs'))))->toBe($practice)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});
