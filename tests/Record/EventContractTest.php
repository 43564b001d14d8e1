<?php

declare(strict_types=1);

use App\Models\Parts\PartType;
use App\Models\Planter;
use App\Models\Walk\Walk;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/**
 * What holds for every kind of event: sent again it is known, under its id nothing else is taken, a neighbour has no such
 * planter, and only what holds can be corrected or taken back.
 */
beforeEach(function (): void {
    $this->planterOf = fn (): Planter => $this->planter(['planned_acres' => 160]);
    $this->place = ['row' => 2, 'check' => 'seed_tube', 'side' => 'centre', 'taken_at' => '2026-03-01T09:30:00Z'];
    $this->id = fn (): string => (string) Str::uuid7();
});

/** @return array<string, Closure(Planter, Walk, array<string, mixed>): TestResponse> how an event of each kind is sent */
function senders(): array
{
    return [
        'reading' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/walks/{$walk->id}/readings", ['readings' => [$item]]),
        'note' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/walks/{$walk->id}/notes", $item),
        'photo' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->post("/api/walks/{$walk->id}/photos", $item, ['Accept' => 'application/json']),
        'ledger' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/ledger", ['events' => [$item]]),
        'acres' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/acres", $item),
        'decision' => function (Planter $planter, Walk $walk, array $item): TestResponse {
            // There has to be something to decide on.
            test()->postJson("/api/walks/{$walk->id}/readings", ['readings' => [['id' => $walk->id, 'row' => 2, 'check' => 'seed_tube', 'side' => 'centre', 'state' => 'change', 'chips' => ['curled_lip'], 'taken_at' => '2026-03-01T09:30:00Z']]]);
            $answer = test()->postJson("/api/walks/{$walk->id}/decisions", ['decisions' => [$item]]);
            $status = $answer->json('receipts.0.status');

            // As if it had been sent alone.
            return $status === null ? $answer : TestResponse::fromBaseResponse($answer->baseResponse->setStatusCode($status));
        },
        'hands' => function (Planter $planter, Walk $walk, array $item): TestResponse {
            // There has to be something to do.
            $place = ['id' => $walk->id, 'row' => 2, 'check' => 'seed_tube', 'side' => 'centre'];
            test()->postJson("/api/walks/{$walk->id}/readings", ['readings' => [['state' => 'change', 'chips' => ['curled_lip'], 'taken_at' => '2026-03-01T09:30:00Z'] + $place]]);
            test()->postJson("/api/walks/{$walk->id}/decisions", ['decisions' => [['action' => 'change', 'happened_at' => '2026-03-01T09:31:00Z'] + $place]]);

            return test()->postJson("/api/planters/{$planter->id}/work/hands", ['events' => [$item]]);
        },
        'own job' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/work/own", $item),
        'bench run' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/bench", $item),
        'setting' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/settings", ['settings' => [$item]]),
        'dig' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/first-pass/digs", ['digs' => [$item]]),
        'stand count' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/emergence", ['counts' => [$item]]),
        'sign-off' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/first-pass/sign-offs", $item),
        'policy' => fn (Planter $planter, Walk $walk, array $item): TestResponse => test()->postJson("/api/planters/{$planter->id}/policy", $item),
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

it('takes an event once, and nothing else under its id', function (string $kind, Closure $item, array $others): void {
    $this->actingAs($this->technician);
    $planter = ($this->planterOf)();
    $walk = $this->openWalk($planter, null);
    $send = senders()[$kind];
    $event = ['id' => ($this->id)()] + $item->call($this);
    $first = $send($planter, $walk, $event);
    expect($first->getStatusCode())->toBeIn([200, 201]);
    $again = $send($planter, $walk, $event);
    expect($again->getStatusCode())->toBeIn($kind === 'photo' ? [200, 201] : [200])
        ->and($again->json('receipts.0.outcome') ?? 'known')->toBe('known');
    // In another spelling it says the same.
    if ($kind !== 'photo') {
        $spelt = ['id' => strtoupper($event['id'])] + array_reverse($event, true);
        expect($send($planter, $walk, $spelt)->getStatusCode())->toBe(200);
    }
    foreach ($others as $change) {
        $change = $change instanceof Closure ? $change() : $change;
        $changed = array_filter(array_replace($event, $change), fn (mixed $value): bool => $value !== null);
        expect($send($planter, $walk, $changed)->getStatusCode())->toBe(409, json_encode($change));
    }
    // Nor on another planter of the same shop.
    $elsewhere = ($this->planterOf)();
    $otherWalk = $this->openWalk($elsewhere, null);
    $this->actingAs($this->technician);
    expect($send($elsewhere, $otherWalk, $event)->getStatusCode())->toBe(409);
    $neighbour = $this->technicianOf('Lowmoor Planter Services');
    foreach ([$event, ['id' => ($this->id)()] + $event] as $sent) {
        $this->switchTo($neighbour);
        expect($send($planter, $walk, $sent)->getStatusCode())->toBe(404);
    }
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
})->with([
    'a figure' => ['reading', fn () => ['row' => 1, 'check' => 'opener_blade_diameter', 'side' => 'left', 'typed' => '14 3/4', 'units' => 'in', 'taken_at' => '2026-03-01T09:30:00Z'], [
        ['typed' => '14 1/2'], ['row' => 2], ['side' => 'right'], ['taken_at' => '2026-03-01T09:31:00Z'], ['units' => 'mm', 'typed' => '374.65'],
    ]],
    'a condition' => ['reading', fn () => $this->place + ['state' => 'change', 'chips' => ['curled_lip']], [['state' => 'watch'], ['chips' => []]]],
    'a note' => ['note', fn () => $this->place + ['kind' => 'note', 'text' => 'Bolt seized'], [['text' => 'Bolt free'], ['kind' => 'hard_joint'], ['row' => 3], ['taken_at' => '2026-03-02T09:30:00Z']]],
    'a photo' => ['photo', fn () => $this->place + ['photo' => pictureOf(10)], [fn () => ['photo' => pictureOf(200)], ['row' => 3]]],
    'a fitted part' => ['ledger', $fitted(), [
        ['row' => 2], ['used' => true], ['ran_before' => '100 mi', 'used' => true], ['reason' => 'failed'], ['reason' => null], ['cost' => 40], ['cost' => null],
        ['note' => 'second'], ['shims' => 2], ['size' => '14 7/8'], ['happened_at' => '2025-03-01T10:00:01Z'],
    ]],
    'moved shims' => ['ledger', fn () => ['kind' => 'shims_moved', 'happened_at' => '2025-03-01T10:00:00Z', 'row' => 1, 'pairs' => -1, 'contact_before' => '1 1/4'], [['pairs' => 1], ['contact_before' => '1 1/2'], ['note' => 'x']]],
    'acres' => ['acres', fn () => ['day' => '2026-04-20', 'field' => 'Long Field', 'acres' => 80, 'soil' => 'sand', 'shut_off' => [['rows' => [7], 'share' => 0.5]]], [
        ['acres' => 81], ['field' => 'Far Down'], ['crop' => 'corn'], ['mph' => 5], ['soil' => 'clay'], ['severity' => 1.2], ['shut_off' => []], ['day' => '2026-04-21'],
    ]],
    'a decision' => ['decision', fn () => ['row' => 2, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'carry_over', 'words' => 'holds', 'look_when' => 'acres', 'look_acres' => 80, 'happened_at' => '2026-03-01T09:31:00Z'], [
        ['action' => 'change', 'look_when' => null, 'look_acres' => null], ['words' => 'will do'], ['reason' => 'owner_declines'], ['look_acres' => 81], ['look_when' => 'next_walk', 'look_acres' => null], ['happened_at' => '2026-03-01T09:32:00Z'],
    ]],
    'a tick' => ['hands', fn () => ['kind' => 'ticked', 'targets' => ['off:2:lock:centre'], 'happened_at' => '2026-03-02T09:31:00Z'], [['targets' => ['change:2:seed_tube:centre']], ['words' => 'so'], ['happened_at' => '2026-03-02T09:32:00Z']]],
    'finished work' => ['hands', fn () => ['kind' => 'finished', 'targets' => ['change:2:seed_tube:centre'], 'minutes' => 12, 'seized_minutes' => 4, 'lubricant' => 'oil', 'happened_at' => '2026-03-02T09:31:00Z'], [['minutes' => 13], ['seized_minutes' => 5], ['lubricant' => ''], ['kind' => 'could_not', 'reason' => 'seized']]],
    'own work' => ['own job', fn () => ['row' => 2, 'title' => 'Weld it', 'minutes' => 30, 'happened_at' => '2026-03-02T09:31:00Z'], [['row' => 0], ['title' => 'Paint it'], ['minutes' => 31], ['blocks' => true], ['happened_at' => '2026-03-02T09:32:00Z']]],
    'a bench run' => ['bench run', fn () => ['row' => 2, 'stage' => 'pre', 'places' => 500, 'skips' => 4, 'doubles' => 3, 'seed' => 'Lot 7', 'air' => 14, 'happened_at' => '2026-03-02T09:31:00Z'], [['row' => 1], ['stage' => 'final'], ['places' => 600], ['skips' => 5], ['doubles' => 2], ['seed' => ''], ['air' => null], ['note' => 'x']]],
    'a setting' => ['setting', fn () => ['key' => 'depth_mark', 'row' => 2, 'figure' => 5, 'field' => 'Kiln Piece', 'soil' => 'clay', 'happened_at' => '2026-03-02T09:31:00Z'], [['key' => 'air'], ['row' => 3], ['figure' => 5.5], ['value' => 'late'], ['soil' => 'sand'], ['note' => 'x'], ['happened_at' => '2026-03-02T09:32:00Z']]],
    'a dig' => ['dig', fn () => ['pass' => 1, 'row' => 2, 'target' => '2', 'depths' => ['2', '1 3/4'], 'spacings' => [], 'seen' => ['w'], 'happened_at' => '2026-03-02T09:31:00Z'], [['pass' => 2], ['row' => 3], ['target' => '2 1/4'], ['depths' => ['1 3/4', '2']], ['spacings' => ['6', '7']], ['seen' => []], ['note' => 'x']]],
    'a stand count' => ['stand count', fn () => ['row' => 2, 'field' => 'Bank', 'planted_on' => '2026-02-20', 'plants' => 28, 'length' => 17.4, 'happened_at' => '2026-03-02T09:31:00Z'], [['row' => 3], ['field' => 'Pond'], ['planted_on' => '2026-02-21'], ['plants' => 29], ['length' => 17], ['population' => 30_000], ['germination' => 0.9]]],
    'a sign-off' => ['sign-off', fn () => ['kind' => 'hand_turned', 'rows' => [3], 'happened_at' => '2026-03-02T09:31:00Z'], [['kind' => 'ready'], ['rows' => []], ['words' => 'x']]],
    'a policy' => ['policy', fn () => ['school' => 'set', 'happened_at' => '2026-03-01T09:31:00Z'], [['school' => 'limit'], ['slot' => 'opener_blade'], ['happened_at' => '2026-03-01T09:32:00Z']]],
    'acres as a line' => ['acres', fn () => ['day' => '2026-04-20', 'line' => '80 ac, Long Field'], [['line' => '80.5 ac, Long Field']]],
]);

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
    // An event of another planter is none of this one's.
    $elsewhere = ($this->planterOf)();
    $otherWalk = $this->openWalk($elsewhere, null);
    $this->actingAs($this->technician);
    $foreign = $new($item->call($this));
    expect(senders()[$kind]($elsewhere, $otherWalk, $foreign)->getStatusCode())->toBe(201)
        ->and($send($new(['supersedes' => $foreign['id']] + $correction + $first)))->toBe(422)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
})->with([
    'a note' => ['note', fn () => $this->place + ['kind' => 'note', 'text' => 'Bolt seized'], ['text' => 'Bolt free'], ['text' => '']],
    'a fitted part' => ['ledger', $fitted(), ['happened_at' => '2025-03-05T10:00:00Z'], ['kind' => 'withdrawn']],
    'moved shims' => ['ledger', fn () => ['kind' => 'shims_moved', 'happened_at' => '2025-03-01T10:00:00Z', 'row' => 1, 'pairs' => -1], ['pairs' => -2], ['kind' => 'withdrawn']],
    'acres' => ['acres', fn () => ['day' => '2026-04-20', 'field' => 'Long Field', 'acres' => 80], ['acres' => 8], ['withdrawn' => true]],
    'a decision' => ['decision', fn () => ['row' => 2, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'carry_over', 'words' => 'holds', 'happened_at' => '2026-03-01T09:31:00Z'], ['words' => 'will do'], ['withdrawn' => true]],
    'finished work' => ['hands', fn () => ['kind' => 'finished', 'targets' => ['change:2:seed_tube:centre'], 'minutes' => 12, 'happened_at' => '2026-03-02T09:31:00Z'], ['minutes' => 15], ['withdrawn' => true]],
    'own work' => ['own job', fn () => ['row' => 2, 'title' => 'Weld it', 'minutes' => 30, 'happened_at' => '2026-03-02T09:31:00Z'], ['minutes' => 45], ['withdrawn' => true]],
    'a bench run' => ['bench run', fn () => ['row' => 2, 'stage' => 'pre', 'places' => 500, 'skips' => 4, 'doubles' => 3, 'happened_at' => '2026-03-02T09:31:00Z'], ['skips' => 5], ['withdrawn' => true]],
    'a setting' => ['setting', fn () => ['key' => 'closing', 'value' => '2', 'happened_at' => '2026-03-02T09:31:00Z'], ['value' => '3'], ['withdrawn' => true]],
    'a dig' => ['dig', fn () => ['pass' => 1, 'row' => 2, 'target' => '2', 'depths' => ['2'], 'spacings' => [], 'happened_at' => '2026-03-02T09:31:00Z'], ['depths' => ['1 3/4']], ['withdrawn' => true]],
    'a stand count' => ['stand count', fn () => ['row' => 2, 'field' => 'Bank', 'planted_on' => '2026-02-20', 'plants' => 28, 'length' => 17.4, 'happened_at' => '2026-03-02T09:31:00Z'], ['plants' => 27], ['withdrawn' => true]],
    'a sign-off' => ['sign-off', fn () => ['kind' => 'ready', 'happened_at' => '2026-03-02T09:31:00Z'], ['words' => 'but row 3'], ['withdrawn' => true]],
]);

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
