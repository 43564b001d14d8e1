<?php

declare(strict_types=1);

use App\Models\Bench\Meter;
use App\Models\Bench\SeedLot;
use App\Models\Field\WatchRun;
use App\Models\Parts\PartType;
use App\Models\Planter;
use App\Models\Walk\Walk;
use App\Record\Declared;
use App\Record\Kind;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\EventKinds;

/**
 * What holds for every kind of event: sent again it is known, under its id nothing else is taken, a neighbour has no such
 * planter, and only what holds can be corrected or taken back.
 */
beforeEach(function (): void {
    $this->planterOf = fn (): Planter => $this->planter(['planned_acres' => 160]);
    $this->place = ['row' => 2, 'check' => 'seed_tube', 'side' => 'centre', 'taken_at' => '2026-03-01T09:30:00Z'];
    $this->id = fn (): string => (string) Str::uuid7();
    $workshop = $this->technician->workshop_id;
    $this->part = PartType::factory()->create(['workshop_id' => $workshop]);
    $this->lot = SeedLot::query()->create(['workshop_id' => $workshop, 'name' => 'Popcorn 7', 'seeds_per_unit' => 80_000]);
    $this->meter = Meter::query()->create(['workshop_id' => $workshop, 'serial' => 'M-1']);
});

/** Kinds whose events are of no single planter. */
const OF_THE_WORKSHOP = ['StockMoves', 'SeedMoves', 'MeterMoves'];

/** @return array<string, Closure(Planter, Walk, array<string, mixed>): TestResponse> how an event of each kind is sent */
function senders(): array
{
    return [
        'ReadingEvents' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/walks/{$walk->id}/readings", ['readings' => [$item]]),
        'NoteEvents' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/walks/{$walk->id}/notes", $item),
        'PhotoEvents' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->post("/api/walks/{$walk->id}/photos", $item, ['Accept' => 'application/json']),
        'LedgerEvents' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/ledger", ['events' => [$item]]),
        'AcresEvents' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/acres", $item),
        'DecisionEvents' => function (Planter $planter, Walk $walk, array $item): TestResponse {
            // There has to be something to decide on.
            test()->postJson("/api/walks/{$walk->id}/readings", ['readings' => [['id' => $walk->id, 'row' => 2, 'check' => 'seed_tube', 'side' => 'centre', 'state' => 'change', 'chips' => ['curled_lip'], 'taken_at' => '2026-03-01T09:30:00Z']]]);
            $answer = test()->postJson("/api/walks/{$walk->id}/decisions", ['decisions' => [$item]]);
            $status = $answer->json('receipts.0.status');

            // As if it had been sent alone.
            return $status === null ? $answer : TestResponse::fromBaseResponse($answer->baseResponse->setStatusCode($status));
        },
        'WorkEvents' => function (Planter $planter, Walk $walk, array $item): TestResponse {
            // There has to be something to do.
            $place = ['id' => $walk->id, 'row' => 2, 'check' => 'seed_tube', 'side' => 'centre'];
            test()->postJson("/api/walks/{$walk->id}/readings", ['readings' => [['state' => 'change', 'chips' => ['curled_lip'], 'taken_at' => '2026-03-01T09:30:00Z'] + $place]]);
            test()->postJson("/api/walks/{$walk->id}/decisions", ['decisions' => [['action' => 'change', 'happened_at' => '2026-03-01T09:31:00Z'] + $place]]);

            return test()->postJson("/api/planters/{$planter->id}/work/hands", ['events' => [$item]]);
        },
        'OwnJobs' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/work/own", $item),
        'BenchRuns' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/bench", $item),
        'SettingEvents' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/settings", ['settings' => [$item]]),
        'DigEvents' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/first-pass/digs", ['digs' => [$item]]),
        'StandCountEvents' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/emergence", ['counts' => [$item]]),
        'SignOffEvents' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/first-pass/sign-offs", $item),
        'PolicyChoices' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/policy", $item),
        'StockMoves' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson('/api/store/moves', ['moves' => [$item]]),
        'SeedMoves' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson('/api/seed/moves', ['moves' => [$item]]),
        'MeterMoves' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson('/api/meters/moves', ['moves' => [$item]]),
        'WatchEntries' => function (Planter $planter, Walk $walk, array $item): TestResponse {
            $run = WatchRun::query()->where('planter_id', $planter->id)->value('id') ?? test()->watched($planter)['watchRun'];

            return test()->postJson("/api/planters/{$planter->id}/watch/{$run}/entries", ['entries' => [$item]]);
        },
    ];
}

function pictureOf(int $red): UploadedFile
{
    $image = imagecreatetruecolor(40, 30);
    imagefill($image, 0, 0, (int) imagecolorallocate($image, $red, 80, 80));
    ob_start();
    imagepng($image);

    return UploadedFile::fake()->createWithContent('photo.png', (string) ob_get_clean());
}

$fitted = fn (array $more = []): Closure => fn (): array => $more + [
    'kind' => 'fitted', 'happened_at' => '2025-03-01T10:00:00Z', 'row' => 1, 'slot' => 'opener_blade', 'side' => 'left', 'reason' => 'worn', 'cost' => 38.5, 'note' => 'first', 'shims' => 3,
];

/** What is sent, and in what another event under its id may differ. */
$once = [
    'a figure' => ['ReadingEvents', fn () => ['row' => 1, 'check' => 'opener_blade_diameter', 'side' => 'left', 'typed' => '14 3/4', 'units' => 'in', 'taken_at' => '2026-03-01T09:30:00Z'], [
        ['typed' => '14 1/2'], ['row' => 2], ['side' => 'right'], ['taken_at' => '2026-03-01T09:31:00Z'], ['units' => 'mm', 'typed' => '374.65'],
    ]],
    'a condition' => ['ReadingEvents', fn () => $this->place + ['state' => 'change', 'chips' => ['curled_lip']], [['state' => 'watch'], ['chips' => []]]],
    'a note' => ['NoteEvents', fn () => $this->place + ['kind' => 'note', 'text' => 'Bolt seized'], [['text' => 'Bolt free'], ['kind' => 'hard_joint'], ['row' => 3], ['taken_at' => '2026-03-02T09:30:00Z']]],
    'a photo' => ['PhotoEvents', fn () => $this->place + ['photo' => pictureOf(10)], [fn () => ['photo' => pictureOf(200)], ['row' => 3]]],
    'a fitted part' => ['LedgerEvents', $fitted(), [
        ['row' => 2], ['used' => true], ['ran_before' => '100 mi', 'used' => true], ['reason' => 'failed'], ['reason' => null], ['cost' => 40], ['cost' => null],
        ['note' => 'second'], ['shims' => 2], ['size' => '14 7/8'], ['happened_at' => '2025-03-01T10:00:01Z'],
    ]],
    'moved shims' => ['LedgerEvents', fn () => ['kind' => 'shims_moved', 'happened_at' => '2025-03-01T10:00:00Z', 'row' => 1, 'pairs' => -1, 'contact_before' => '1 1/4'], [['pairs' => 1], ['contact_before' => '1 1/2'], ['note' => 'x']]],
    'acres' => ['AcresEvents', fn () => ['day' => '2026-04-20', 'field' => 'Long Field', 'acres' => 80, 'soil' => 'sand', 'shut_off' => [['rows' => [7], 'share' => 0.5]]], [
        ['acres' => 81], ['field' => 'Far Down'], ['crop' => 'corn'], ['mph' => 5], ['soil' => 'clay'], ['severity' => 1.2], ['shut_off' => []], ['day' => '2026-04-21'],
    ]],
    'a decision' => ['DecisionEvents', fn () => ['row' => 2, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'carry_over', 'words' => 'holds', 'look_when' => 'acres', 'look_acres' => 80, 'happened_at' => '2026-03-01T09:31:00Z'], [
        ['action' => 'change', 'look_when' => null, 'look_acres' => null], ['words' => 'will do'], ['reason' => 'owner_declines'], ['look_acres' => 81], ['look_when' => 'next_walk', 'look_acres' => null], ['happened_at' => '2026-03-01T09:32:00Z'],
    ]],
    'a tick' => ['WorkEvents', fn () => ['kind' => 'ticked', 'targets' => ['off:2:lock:centre'], 'happened_at' => '2026-03-02T09:31:00Z'], [['targets' => ['change:2:seed_tube:centre']], ['words' => 'so'], ['happened_at' => '2026-03-02T09:32:00Z']]],
    'finished work' => ['WorkEvents', fn () => ['kind' => 'finished', 'targets' => ['change:2:seed_tube:centre'], 'minutes' => 12, 'seized_minutes' => 4, 'lubricant' => 'oil', 'happened_at' => '2026-03-02T09:31:00Z'], [['minutes' => 13], ['seized_minutes' => 5], ['lubricant' => ''], ['kind' => 'could_not', 'reason' => 'seized']]],
    'own work' => ['OwnJobs', fn () => ['row' => 2, 'title' => 'Weld it', 'minutes' => 30, 'happened_at' => '2026-03-02T09:31:00Z'], [['row' => 0], ['title' => 'Paint it'], ['minutes' => 31], ['blocks' => true], ['happened_at' => '2026-03-02T09:32:00Z']]],
    'a bench run' => ['BenchRuns', fn () => ['row' => 2, 'stage' => 'pre', 'places' => 500, 'skips' => 4, 'doubles' => 3, 'seed' => 'Lot 7', 'air' => 14, 'happened_at' => '2026-03-02T09:31:00Z'], [['row' => 1], ['stage' => 'final'], ['places' => 600], ['skips' => 5], ['doubles' => 2], ['seed' => ''], ['air' => null], ['note' => 'x']]],
    'a setting' => ['SettingEvents', fn () => ['key' => 'depth_mark', 'row' => 2, 'figure' => 5, 'field' => 'Kiln Piece', 'soil' => 'clay', 'happened_at' => '2026-03-02T09:31:00Z'], [['key' => 'air'], ['row' => 3], ['figure' => 5.5], ['value' => 'late'], ['soil' => 'sand'], ['note' => 'x'], ['happened_at' => '2026-03-02T09:32:00Z']]],
    'a dig' => ['DigEvents', fn () => ['pass' => 1, 'row' => 2, 'target' => '2', 'depths' => ['2', '1 3/4'], 'spacings' => [], 'seen' => ['w'], 'happened_at' => '2026-03-02T09:31:00Z'], [['pass' => 2], ['row' => 3], ['target' => '2 1/4'], ['depths' => ['1 3/4', '2']], ['spacings' => ['6', '7']], ['seen' => []], ['note' => 'x']]],
    'a stand count' => ['StandCountEvents', fn () => ['row' => 2, 'field' => 'Bank', 'planted_on' => '2026-02-20', 'plants' => 28, 'length' => 17.4, 'happened_at' => '2026-03-02T09:31:00Z'], [['row' => 3], ['field' => 'Pond'], ['planted_on' => '2026-02-21'], ['plants' => 29], ['length' => 17], ['population' => 30_000], ['germination' => 0.9]]],
    'a sign-off' => ['SignOffEvents', fn () => ['kind' => 'hand_turned', 'rows' => [3], 'happened_at' => '2026-03-02T09:31:00Z'], [['kind' => 'ready'], ['rows' => []], ['words' => 'x']]],
    'a policy' => ['PolicyChoices', fn () => ['school' => 'set', 'happened_at' => '2026-03-01T09:31:00Z'], [['school' => 'limit'], ['slot' => 'opener_blade'], ['happened_at' => '2026-03-01T09:32:00Z']]],
    'acres as a line' => ['AcresEvents', fn () => ['day' => '2026-04-20', 'line' => '80 ac, Long Field'], [['line' => '80.5 ac, Long Field']]],
    'stock' => ['StockMoves', fn () => ['part_type_id' => $this->part->id, 'kind' => 'counted', 'quantity' => 6, 'happened_at' => '2026-03-02T09:31:00Z'], [['quantity' => 7], ['kind' => 'received'], ['note' => 'x'], ['happened_at' => '2026-03-02T09:32:00Z']]],
    'seed' => ['SeedMoves', fn () => ['seed_lot_id' => $this->lot->id, 'kind' => 'counted', 'units' => 12.5, 'happened_at' => '2026-03-02T09:31:00Z'], [['units' => 12.6], ['kind' => 'received'], ['note' => 'x'], ['happened_at' => '2026-03-02T09:32:00Z']]],
    'a meter that moves' => ['MeterMoves', fn () => ['meter_id' => $this->meter->id, 'to' => 'shelf', 'place' => 'Loft', 'happened_at' => '2026-03-02T09:31:00Z'], [['to' => 'out'], ['place' => 'Barn'], ['happened_at' => '2026-03-02T09:32:00Z']]],
    'a row shut off' => ['WatchEntries', fn () => ['kind' => 'shut', 'row' => 2, 'happened_at' => '2026-03-02T09:31:00Z'], [['kind' => 'opened'], ['row' => 3], ['happened_at' => '2026-03-02T09:32:00Z']]],
];

/** What is sent, put right and taken back. */
$corrections = [
    'a note' => ['NoteEvents', fn () => $this->place + ['kind' => 'note', 'text' => 'Bolt seized'], ['text' => 'Bolt free'], ['text' => '']],
    'a fitted part' => ['LedgerEvents', $fitted(), ['happened_at' => '2025-03-05T10:00:00Z'], ['kind' => 'withdrawn']],
    'moved shims' => ['LedgerEvents', fn () => ['kind' => 'shims_moved', 'happened_at' => '2025-03-01T10:00:00Z', 'row' => 1, 'pairs' => -1], ['pairs' => -2], ['kind' => 'withdrawn']],
    'acres' => ['AcresEvents', fn () => ['day' => '2026-04-20', 'field' => 'Long Field', 'acres' => 80], ['acres' => 8], ['withdrawn' => true]],
    'a decision' => ['DecisionEvents', fn () => ['row' => 2, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'carry_over', 'words' => 'holds', 'happened_at' => '2026-03-01T09:31:00Z'], ['words' => 'will do'], ['withdrawn' => true]],
    'finished work' => ['WorkEvents', fn () => ['kind' => 'finished', 'targets' => ['change:2:seed_tube:centre'], 'minutes' => 12, 'happened_at' => '2026-03-02T09:31:00Z'], ['minutes' => 15], ['withdrawn' => true]],
    'own work' => ['OwnJobs', fn () => ['row' => 2, 'title' => 'Weld it', 'minutes' => 30, 'happened_at' => '2026-03-02T09:31:00Z'], ['minutes' => 45], ['withdrawn' => true]],
    'a bench run' => ['BenchRuns', fn () => ['row' => 2, 'stage' => 'pre', 'places' => 500, 'skips' => 4, 'doubles' => 3, 'happened_at' => '2026-03-02T09:31:00Z'], ['skips' => 5], ['withdrawn' => true]],
    'a setting' => ['SettingEvents', fn () => ['key' => 'closing', 'value' => '2', 'happened_at' => '2026-03-02T09:31:00Z'], ['value' => '3'], ['withdrawn' => true]],
    'a dig' => ['DigEvents', fn () => ['pass' => 1, 'row' => 2, 'target' => '2', 'depths' => ['2'], 'spacings' => [], 'happened_at' => '2026-03-02T09:31:00Z'], ['depths' => ['1 3/4']], ['withdrawn' => true]],
    'a stand count' => ['StandCountEvents', fn () => ['row' => 2, 'field' => 'Bank', 'planted_on' => '2026-02-20', 'plants' => 28, 'length' => 17.4, 'happened_at' => '2026-03-02T09:31:00Z'], ['plants' => 27], ['withdrawn' => true]],
    'a sign-off' => ['SignOffEvents', fn () => ['kind' => 'ready', 'happened_at' => '2026-03-02T09:31:00Z'], ['words' => 'but row 3'], ['withdrawn' => true]],
    'stock' => ['StockMoves', fn () => ['part_type_id' => $this->part->id, 'kind' => 'counted', 'quantity' => 6, 'happened_at' => '2026-03-02T09:31:00Z'], ['quantity' => 7], ['withdrawn' => true]],
    'seed' => ['SeedMoves', fn () => ['seed_lot_id' => $this->lot->id, 'kind' => 'counted', 'units' => 12.5, 'happened_at' => '2026-03-02T09:31:00Z'], ['units' => 13], ['withdrawn' => true]],
    'a meter that moves' => ['MeterMoves', fn () => ['meter_id' => $this->meter->id, 'to' => 'shelf', 'happened_at' => '2026-03-02T09:31:00Z'], ['place' => 'Loft'], ['withdrawn' => true]],
];

it('holds for every kind that there is', function () use ($once, $corrections): void {
    $kinds = EventKinds::all();
    $of = static fn (array $cases): array => array_values(array_unique(array_column($cases, 0)));
    expect(array_keys(senders()))->toEqualCanonicalizing(array_keys($kinds))
        ->and($of($once))->toEqualCanonicalizing(array_keys($kinds))
        ->and($of($corrections))->toEqualCanonicalizing(array_keys(array_filter($kinds, static fn (Kind $kind): bool => Declared::by($kind)->canSupersede())));
});

it('takes an event once, and nothing else under its id', function (string $kind, Closure $item, array $others): void {
    $this->actingAs($this->technician);
    $planter = ($this->planterOf)();
    $walk = $this->openWalk($planter, null);
    $send = senders()[$kind];
    $event = ['id' => ($this->id)()] + $item->call($this);
    $first = $send($planter, $walk, $event);
    expect($first->getStatusCode())->toBeIn([200, 201]);
    $again = $send($planter, $walk, $event);
    expect($again->getStatusCode())->toBeIn($kind === 'PhotoEvents' ? [200, 201] : [200])
        ->and($again->json('receipts.0.outcome') ?? 'known')->toBe('known');
    // In another spelling it says the same.
    if ($kind !== 'PhotoEvents') {
        $spelt = ['id' => strtoupper($event['id'])] + array_reverse($event, true);
        expect($send($planter, $walk, $spelt)->getStatusCode())->toBe(200);
    }
    foreach ($others as $change) {
        $change = $change instanceof Closure ? $change() : $change;
        $changed = array_filter(array_replace($event, $change), fn (mixed $value): bool => $value !== null);
        expect($send($planter, $walk, $changed)->getStatusCode())->toBe(409, json_encode($change));
    }
    $isOfPlanter = ! in_array($kind, OF_THE_WORKSHOP, true);
    // Nor on another planter of the same shop.
    $elsewhere = ($this->planterOf)();
    $otherWalk = $this->openWalk($elsewhere, null);
    $this->actingAs($this->technician);
    expect($send($elsewhere, $otherWalk, $event)->getStatusCode())->toBe($isOfPlanter ? 409 : 200);
    $neighbour = $this->technicianOf('Lowmoor Planter Services');
    foreach ([$event, ['id' => ($this->id)()] + $event] as $sent) {
        $this->switchTo($neighbour);
        expect($send($planter, $walk, $sent)->getStatusCode())->toBeIn($isOfPlanter ? [404] : [409, 422]);
    }
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
})->with($once);

it('corrects what holds, again and again, and nothing else', function (string $kind, Closure $item, array $correction, array $withdrawal): void {
    $this->actingAs($this->technician);
    $planter = ($this->planterOf)();
    $walk = $this->openWalk($planter, null);
    $send = fn (array $event): int => senders()[$kind]($planter, $walk, $event)->getStatusCode();
    $new = fn (array $event): array => ['id' => ($this->id)()] + $event;

    $first = $new($item->call($this));
    expect($send($first))->toBe(201);
    $second = $new(['supersedes' => $first['id']] + $correction + $first);
    expect($send($second))->toBe(201)
        ->and($send($second))->toBe(200)
        // What was superseded holds no more; its correction does.
        ->and($send($new(['supersedes' => $first['id']] + $correction + $first)))->toBe(422);
    $third = $new(['supersedes' => $second['id']] + $first);
    expect($send($third))->toBe(201)
        ->and($send(['supersedes' => $first['id']] + $third))->toBe(409);
    $gone = $new(['supersedes' => $third['id']] + $withdrawal + $first);
    expect($send($gone))->toBe(201)->and($send($gone))->toBe(200);
    // Neither what was taken back, nor the taking back itself.
    foreach ([$third, $gone] as $event) {
        expect($send($new(['supersedes' => $event['id']] + $correction + $first)))->toBe(422)
            ->and($send($new(['supersedes' => $event['id']] + $withdrawal + $first)))->toBe(422);
    }
    expect($send($new(['supersedes' => ($this->id)()] + $correction + $first)))->toBe(422);
    if (in_array($kind, OF_THE_WORKSHOP, true)) {
        return;
    }
    // An event of another planter is none of this one's.
    $elsewhere = ($this->planterOf)();
    $otherWalk = $this->openWalk($elsewhere, null);
    $this->actingAs($this->technician);
    $foreign = $new($item->call($this));
    expect(senders()[$kind]($elsewhere, $otherWalk, $foreign)->getStatusCode())->toBe(201)
        ->and($send($new(['supersedes' => $foreign['id']] + $correction + $first)))->toBe(422)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
})->with($corrections);

it('takes one batch with the same id twice for what it is', function (): void {
    $planter = ($this->planterOf)();
    $event = $this->fitting(1, '2024-03-01');
    $this->record($planter, $event, $event)->assertCreated()->assertJsonPath('receipts.1.outcome', 'known');
    $this->record($planter, $next = $this->fitting(2, '2024-03-01'), ['row' => 3] + $next)->assertConflict();
    expect($this->ledgerOf($planter)['fitted'])->toHaveCount(1);
});

it('says of what was recorded before there were digests that it is known', function (): void {
    $planter = ($this->planterOf)();
    $this->record($planter, $event = $this->fitting(1, '2024-03-01'))->assertCreated();
    DB::statement('ALTER TABLE ledger_events DISABLE TRIGGER event_stays');
    DB::table('ledger_events')->update(['sent_sha256' => null]);
    DB::statement('ALTER TABLE ledger_events ENABLE TRIGGER event_stays');
    $this->record($planter, $event)->assertOk();
});

it('judges an import by the rules of the screen', function (): void {
    $planter = ($this->planterOf)();
    foreach ([['Heavy blade', 'opener_blade', true], ['Plain guard', 'seed_tube_guard', false]] as [$name, $slot, $heavy]) {
        PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => $name, 'slots' => [$slot], 'per_row' => 1, 'heavy' => $heavy]);
    }
    $csv = "Date,Row,Slot,Side,Part,Cost\n2025-03-01,2,seed tube guard,,Plain guard,\n2025-03-01,2,opener blade,L,Heavy blade,\n2025-03-01,3,opener blade,L,,9999999999\n2025-03-01,4,opener blade,L,,38\n";
    $answer = $this->actingAs($this->technician)->post("/api/planters/{$planter->id}/imports", ['file' => UploadedFile::fake()->createWithContent('changes.csv', $csv), 'kind' => 'changes', 'mode' => 'good']);
    $report = $answer->json('result');
    expect(array_column($report['errors'], 'line'))->toBe([3, 4])
        ->and($report['errors'][0]['message'])->toStartWith('Row 2: ')
        ->and($report['errors'][1]['message'])->toContain('"9999999999" is too high. The most is 100000')
        ->and($report)->toMatchArray(['kept' => 2, 'bad' => 2])
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});
