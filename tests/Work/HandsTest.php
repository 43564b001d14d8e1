<?php

declare(strict_types=1);

use App\Models\Field\Setting;
use App\Models\Parts\PartType;
use App\Models\Parts\StockMove;
use App\Models\Work\WorkEvent;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Ustrel\Core\Parts\Stock\StockMoveKind;

beforeEach(function (): void {
    $this->travelTo('2026-04-06 07:00:00');
    $this->planted = $this->planter(['planned_acres' => 400, 'planting_start' => '2026-04-17']);
    $this->walk = $this->openWalk($this->planted, null);
    $this->lubricated($this->planted);
    $this->technician->workshop->update(['crew' => [['name' => 'Wren', 'hours' => array_fill(1, 5, 8.0)]], 'stop_cost' => 200]);
    $this->tube = PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'Tube', 'slots' => ['seed_tube'], 'price' => 40, 'per_row' => 1])->id;
    StockMove::query()->create(['id' => (string) Str::uuid7(), 'workshop_id' => $this->technician->workshop_id, 'part_type_id' => $this->tube, 'kind' => StockMoveKind::Counted, 'quantity' => 5, 'happened_at' => now(), 'recorded_at' => now(), 'user_id' => $this->technician->id]);
    $this->now = fn (): string => now()->toIso8601ZuluString('millisecond');
    $this->found = function (int $row, string $check, string $state, array $chips, string $action, string $side = 'centre'): void {
        $this->send($this->walk, $this->state($row, $check, $state, ['chips' => $chips, 'side' => $side, 'taken_at' => ($this->now)()]))->assertJsonPath('receipts.0.outcome', 'stored');
        $this->decide($this->walk, ['id' => (string) Str::uuid7(), 'row' => $row, 'check' => $check, 'side' => $side, 'action' => $action, 'words' => 'so', 'happened_at' => ($this->now)()])->assertJsonPath('receipts.0.message', null);
    };
    $this->hands = fn (array $event, array $ledger = []): TestResponse => $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/work/hands", [
        'events' => [$event + ['id' => (string) Str::uuid7(), 'happened_at' => ($this->now)()]], ...($ledger === [] ? [] : ['ledger' => $ledger]),
    ]);
    $this->get = fn (string $what): array => $this->actingAs($this->technician)->getJson("/api/planters/{$this->planted->id}/{$what}")->assertOk()->json();
    $this->jobs = function (): array {
        $plan = ($this->get)('work');

        return array_merge(...array_map(static fn (array $piece): array => array_column($piece['jobs'], 'key'), [...$plan['pieces'], ...$plan['undated']]));
    };
    $this->fitted = fn (string $id, int $row): array => ['id' => $id, 'kind' => 'fitted', 'row' => $row, 'slot' => 'seed_tube', 'side' => 'centre', 'part_type_id' => $this->tube, 'reason' => 'worn', 'happened_at' => ($this->now)()];
});

it('takes ticks in the order in which hands come to them, each once, and takes them back', function (): void {
    ($this->found)(3, 'seed_tube', 'change', ['curled_lip'], 'change');
    $tick = fn (string $target, array $more = []): TestResponse => ($this->hands)($more + ['kind' => 'ticked', 'targets' => [$target]]);
    $tick('change:3:seed_tube:centre')->assertUnprocessable()->assertJsonPath('errors', ['events.0.targets' => ['Seed tube on row 3 comes later. Tick this first: Planter locked, blocked and chocked.']]);
    $tick('off:3:lock:centre')->assertCreated();
    $tick('off:3:lock:centre')->assertUnprocessable()->assertJsonPath('errors', ['events.0.targets' => ["Planter locked, blocked and chocked on row 3 was ticked by {$this->technician->name} already."]]);
    $tick('change:3:seed_tube:centre', ['id' => $id = (string) Str::uuid7()])->assertCreated();
    expect(array_column(($this->get)('work/hands')['ticks'], 'target'))->toBe(['off:3:lock:centre', 'change:3:seed_tube:centre']);
    ($this->hands)(['kind' => 'ticked', 'supersedes' => $id, 'withdrawn' => true])->assertCreated();
    expect(array_column(($this->get)('work/hands')['ticks'], 'target'))->toBe(['off:3:lock:centre']);
    // It is still to be done.
    expect(($this->jobs)())->toBe(['change:3:seed_tube:centre']);
    $tick('off:5:gauge_wheel:left')->assertJsonPath('errors', ['events.0.targets' => ['That is not on a card of this planter: the decision changed meanwhile, or it was read again.']]);
    expect(WorkEvent::query()->count())->toBe(4);
});

it('writes what the work set with its finish, for the row that it was on, or nothing of it', function (): void {
    ($this->found)(3, 'seed_tube', 'change', ['curled_lip'], 'change');
    $event = ['id' => (string) Str::uuid7(), 'kind' => 'finished', 'targets' => ['change:3:seed_tube:centre'], 'happened_at' => ($this->now)()];
    $set = ['id' => (string) Str::uuid7(), 'line' => 'depth mark 6.5, downforce 180 lb rows 1-2, speed 5 mph', 'row' => 3, 'happened_at' => ($this->now)()];
    $send = fn (array $with): TestResponse => $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/work/hands", ['events' => [$event], 'settings' => [$with + $set]]);
    $send(['line' => 'depth mark 650'])->assertUnprocessable()->assertJsonStructure(['errors' => ['settings.0.figure']]);
    $send(['line' => 'wobble 3'])->assertUnprocessable()->assertJsonStructure(['errors' => ['settings.0.line']]);
    expect(WorkEvent::query()->count())->toBe(1)->and(Setting::query()->count())->toBe(0);
    $send([])->assertCreated();
    $send([])->assertOk();
    $send(['line' => 'depth mark 7'])->assertConflict();
    expect(array_map(static fn (array $of): string => "{$of['key']} {$of['row']} {$of['said']}", ($this->get)('settings')['now']))->toBe(['depth_mark 3 6.5 notches', 'downforce 1 180 lb', 'downforce 2 180 lb', 'speed 0 5 mph']);
});

it('finishes with the part and the shelf in one change, once', function (): void {
    ($this->found)(3, 'seed_tube', 'change', ['curled_lip'], 'change');
    [$finish, $part] = [(string) Str::uuid7(), (string) Str::uuid7()];
    $event = ['id' => $finish, 'kind' => 'finished', 'targets' => ['change:3:seed_tube:centre'], 'minutes' => 12, 'seized_minutes' => 5, 'lubricant' => 'anti-seize', 'ledger' => [$part], 'happened_at' => ($this->now)()];
    $fitted = ($this->fitted)($part, 3);
    // Neither without the other, and nothing is kept of what is refused.
    ($this->hands)(['ledger' => []] + $event, [$fitted])->assertJsonPath('errors', ['events.0.ledger' => ['Send the parts and shims that go with it, each named once, with what is finished.']]);
    ($this->hands)($event, [['row' => 70] + $fitted])->assertUnprocessable()->assertJsonStructure(['errors' => ['ledger.0.row']]);
    expect(WorkEvent::query()->count())->toBe(1);
    ($this->hands)($event, [$fitted])->assertCreated();
    ($this->hands)($event, [$fitted])->assertOk();
    ($this->hands)(['minutes' => 13] + $event, [$fitted])->assertConflict();
    expect(($this->jobs)())->toBe([])->and(array_column(($this->get)('ledger')['fitted'], 'id'))->toBe([$part]);
    expect(collect($this->getJson('/api/store')->json())->firstWhere('part_type_id', $this->tube)['on_hand'])->toBe(4);
    // Somebody else, late.
    ($this->hands)(['kind' => 'finished', 'targets' => ['change:3:seed_tube:centre']])->assertJsonPath('errors', ['events.0.targets' => ["Seed tube on row 3 was done by {$this->technician->name} already."]]);
    // Its figures are put right, and the whole is taken back with the part.
    ($this->hands)(['kind' => 'finished', 'supersedes' => $finish, 'id' => $right = (string) Str::uuid7(), 'minutes' => 9])->assertCreated();
    expect(($this->get)('work/hands')['done'][0])->toMatchArray(['id' => $right, 'minutes' => 9, 'targets' => ['change:3:seed_tube:centre']]);
    $back = (string) Str::uuid7();
    ($this->hands)(['kind' => 'finished', 'supersedes' => $right, 'withdrawn' => true, 'ledger' => [$back]], [['id' => $back, 'kind' => 'withdrawn', 'supersedes' => $part, 'happened_at' => ($this->now)()]])->assertCreated();
    expect(($this->jobs)())->toBe(['change:3:seed_tube:centre'])->and(($this->get)('ledger')['fitted'])->toBe([]);
});

it('takes an adjustment out of the plan when it is done, and asks for the place to be read again', function (): void {
    ($this->found)(2, 'gauge_touch', 'gap', [], 'adjust', 'left');
    ($this->hands)(['kind' => 'finished', 'targets' => ['adjust:2:gauge_touch:left'], 'minutes' => 4])->assertCreated();
    expect(($this->jobs)())->toBe([])->and(($this->get)('decide')['found'][0])->toMatchArray(['verdict' => 'change', 'could_not' => null])->and(($this->get)('decide')['found'][0]['done'])->not->toBeNull();
    $this->travel(1)->minutes();
    // It was of no use: read again it is decided anew.
    $this->send($this->walk, $this->state(2, 'gauge_touch', 'tight', ['side' => 'left', 'taken_at' => ($this->now)()]))->assertOk();
    expect(($this->get)('decide')['found'][0])->toMatchArray(['overtaken' => true]);
});

it('gives what could not be done back to Decide, with why, and orders no part for it', function (): void {
    ($this->found)(3, 'seed_tube', 'change', ['curled_lip'], 'change');
    ($this->hands)(['kind' => 'could_not', 'targets' => ['change:3:seed_tube:centre']])->assertJsonPath('errors', ['events.0.reason' => ['Say why it could not be done: choose a reason, or write it.']]);
    ($this->hands)(['kind' => 'could_not', 'targets' => ['off:3:lock:centre'], 'reason' => 'no_time'])->assertJsonPath('errors', ['events.0.targets' => ['Only jobs are finished or left undone, not what comes off for them.']]);
    $needed = fn (): int => collect($this->getJson('/api/store')->json())->firstWhere('part_type_id', $this->tube)['needed'];
    expect($needed())->toBe(1);
    ($this->hands)(['kind' => 'could_not', 'targets' => ['change:3:seed_tube:centre'], 'reason' => 'seized', 'words' => 'the pin'])->assertCreated();
    expect(($this->jobs)())->toBe([])->and(($this->get)('decide')['found'][0]['could_not'])->toMatchArray(['reason' => 'seized', 'words' => 'the pin', 'by' => $this->technician->name])->and($needed())->toBe(0);
    $this->travel(1)->minutes();
    $this->decide($this->walk, ['id' => (string) Str::uuid7(), 'row' => 3, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'change', 'happened_at' => ($this->now)()])->assertJsonPath('receipts.0.message', null);
    expect(($this->jobs)())->toBe(['change:3:seed_tube:centre'])->and(($this->get)('decide')['found'][0]['could_not'])->toBeNull();
});

it('learns how long jobs take, and what a joint that seizes takes on its row', function (): void {
    foreach ([1, 2, 3, 4, 5] as $row) {
        ($this->found)($row, 'seed_tube', 'change', ['curled_lip'], 'change');
    }
    $minutes = fn (): array => array_column(array_filter(($this->get)('work')['pieces'], static fn (array $piece): bool => $piece['jobs'] !== []), 'minutes', 'row');
    expect($minutes())->toEqualCanonicalizing([1 => 3, 2 => 3, 3 => 3, 4 => 3, 5 => 3]);
    foreach ([1, 2, 3] as $row) {
        ($this->hands)(['kind' => 'finished', 'targets' => ["change:{$row}:seed_tube:centre"], 'minutes' => $row === 3 ? 46 : 6, 'seized_minutes' => $row === 3 ? 40 : 0])->assertCreated();
    }
    // Three pieces took twice as long; what is usual still counts for some of it.
    expect($minutes()[4])->toBeGreaterThan(4)->toBeLessThanOrEqual(6);
    ($this->hands)(['kind' => 'finished', 'supersedes' => WorkEvent::query()->where('seized_minutes', 40)->value('id'), 'minutes' => 46, 'seized_minutes' => 40])->assertCreated();
    // The finding on row 3 still stands, for no part went in: it is decided again, and the joint is reckoned with.
    $this->travel(1)->minutes();
    $this->send($this->walk, $this->state(3, 'seed_tube', 'change', ['chips' => ['curled_lip'], 'taken_at' => ($this->now)()]))->assertOk();
    $this->decide($this->walk, ['id' => (string) Str::uuid7(), 'row' => 3, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'change', 'happened_at' => ($this->now)()])->assertJsonPath('receipts.0.message', null);
    expect($minutes()[3])->toBe($minutes()[4] + 40);
});

it('refuses figures that cannot be, and says which can', function (array $event, string $field, string $message): void {
    ($this->found)(3, 'seed_tube', 'change', ['curled_lip'], 'change');
    ($this->hands)($event + ['kind' => 'finished', 'targets' => ['change:3:seed_tube:centre']])->assertUnprocessable()->assertJsonPath('errors', ["events.0.{$field}" => [$message]]);
    expect(WorkEvent::query()->count())->toBe(1);
})->with([
    [['minutes' => 0], 'minutes', 'Say how long it took in whole minutes, from 1 to 6,000.'],
    [['minutes' => 10_000], 'minutes', 'Say how long it took in whole minutes, from 1 to 6,000.'],
    [['minutes' => 10, 'seized_minutes' => 11], 'seized_minutes', 'Say how long a seized joint held you up in whole minutes, from 0 to 600, and no more than it took all in all.'],
    [['targets' => []], 'targets', 'Name what was done as it stands on the card: one line where it is ticked, up to 200 jobs where it is finished.'],
    [['targets' => ['change:3:seed_tube:centre', 5]], 'targets', 'Name what was done as it stands on the card: one line where it is ticked, up to 200 jobs where it is finished.'],
    [['kind' => 'burnt'], 'kind', 'Say whether it was ticked, is finished, or could not be done.'],
    [['happened_at' => '2199-01-01T00:00:00Z'], 'happened_at', 'Say when it was done: a time that is not in the future.'],
]);

it('plans work of the shop’s own, and what is to be lubricated once a season', function (): void {
    $own = fn (array $with): TestResponse => $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/work/own", $with + ['id' => (string) Str::uuid7(), 'row' => 4, 'title' => 'Weld the bracket', 'minutes' => 40, 'blocks' => true, 'happened_at' => ($this->now)()]);
    foreach ([['row' => 9, 'errors' => ['row' => ['Say on which row, or 0 for the whole planter.']]], ['title' => '  ', 'errors' => ['title' => ['Say what is to be done, in 120 characters or fewer.']]], ['minutes' => 0, 'errors' => ['minutes' => ['Say how long it takes in whole minutes, from 1 to 6,000.']]]] as $bad) {
        $own(array_diff_key($bad, ['errors' => 1]))->assertUnprocessable()->assertJsonPath('errors', $bad['errors']);
    }
    $id = (string) Str::uuid7();
    $own(['id' => $id])->assertCreated();
    $own(['id' => $id])->assertOk();
    $pieces = ($this->get)('work')['pieces'];
    expect(array_column($pieces, 'row'))->toBe([0, 4])->and($pieces[1]['jobs'][0])->toMatchArray(['key' => "own:4:{$id}:centre", 'title' => 'Weld the bracket'])->and($pieces[1]['minutes'])->toBe(40);
    ($this->hands)(['kind' => 'ticked', 'targets' => ['off:4:lock:centre']])->assertCreated();
    ($this->hands)(['kind' => 'ticked', 'targets' => ["own:4:{$id}:centre"]])->assertCreated();
    ($this->hands)(['kind' => 'could_not', 'targets' => ["own:4:{$id}:centre"], 'reason' => 'no_time'])->assertUnprocessable();
    // Another is not needed after all.
    $own(['id' => $other = (string) Str::uuid7(), 'title' => 'Paint it'])->assertCreated();
    $own(['supersedes' => $other, 'withdrawn' => true])->assertCreated();
    ($this->hands)(['kind' => 'finished', 'targets' => ["own:4:{$id}:centre"], 'minutes' => 55])->assertCreated();
    expect(($this->get)('work')['pieces'])->toBe([])->and(($this->get)('work/hands')['done'][0])->toMatchArray(['title' => 'Weld the bracket', 'minutes' => 55]);

    // The hitch is greased in this season; in the next it is due again.
    WorkEvent::query()->where('row_number', 0)->delete();
    $due = fn (): array => array_column(array_merge(...array_column(($this->get)('work')['pieces'], 'jobs')), 'title', 'key');
    expect($due()['grease:0:hitch:centre'])->toBe('lubricate hitch (grease)')->and($due())->not->toHaveKey('grease:0:markers:centre');
    ($this->hands)(['kind' => 'finished', 'targets' => ['grease:0:hitch:centre'], 'lubricant' => 'grease'])->assertCreated();
    expect($due())->not->toHaveKey('grease:0:hitch:centre')->toHaveKey('grease:0:closing_arms:centre');
    // Fifty hours of planting on, at some eight acres an hour on eight rows, it is due again within the season.
    $this->travelTo('2026-05-02 08:00:00');
    $this->logAcres($this->planted, '2026-05-01', 200)->assertCreated();
    expect($due())->not->toHaveKey('grease:0:hitch:centre');
    $this->logAcres($this->planted, '2026-05-01', 400, ['field' => 'Far Down'])->assertCreated();
    expect($due())->toHaveKey('grease:0:hitch:centre');
    ($this->hands)(['kind' => 'finished', 'targets' => ['grease:0:hitch:centre'], 'lubricant' => 'grease'])->assertCreated();
    expect($due())->not->toHaveKey('grease:0:hitch:centre');
    $this->travelTo('2027-03-01 08:00:00');
    $this->planted->update(['planting_start' => '2027-04-20']);
    expect($due())->toHaveKey('grease:0:hitch:centre');
    // What was done the season before closes nothing on its card.
    $hitch = collect(array_merge(...array_column(($this->get)('work')['pieces'], 'jobs')))->firstWhere('key', 'grease:0:hitch:centre');
    expect(($this->get)('work/hands')['done'][0]['recorded_at'] > $hitch['since'])->toBeFalse();
    ($this->hands)(['kind' => 'ticked', 'targets' => ['off:0:lock:centre']])->assertCreated();
});

it('asks anew each day whether the planter is safe, and takes what came off for on again once the row is finished', function (): void {
    ($this->found)(3, 'seed_tube', 'change', ['curled_lip'], 'change');
    ($this->found)(3, 'scraper', 'change', ['worn'], 'change', 'left');
    $tick = fn (string $target): TestResponse => ($this->hands)(['kind' => 'ticked', 'targets' => [$target]]);
    $ticked = fn (): array => array_column(($this->get)('work/hands')['ticks'], 'target');
    foreach (['off:3:lock:centre', 'off:3:gauge_wheel:left', 'off:3:scraper:left'] as $line) {
        $tick($line)->assertCreated();
    }
    $this->travelTo('2026-04-07 08:00:00');
    expect($ticked())->toBe(['off:3:gauge_wheel:left', 'off:3:scraper:left']);
    $tick('change:3:scraper:left')->assertUnprocessable();
    $tick('off:3:lock:centre')->assertCreated();
    $tick('change:3:scraper:left')->assertCreated();
    ($this->hands)(['kind' => 'finished', 'targets' => ['change:3:seed_tube:centre']])->assertCreated();
    expect($ticked())->toBe(['change:3:scraper:left']);
});
