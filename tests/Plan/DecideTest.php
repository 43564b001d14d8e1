<?php

declare(strict_types=1);

use App\Models\LearnedSum;
use App\Models\Lesson;
use App\Models\Parts\PartType;
use App\Models\People\Role;
use App\Models\Plan\Decision;
use App\Models\User;
use App\Plan\DecideQuery;
use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->planted = $this->planter(['planned_acres' => 400, 'planting_start' => '2026-04-20']);
    $this->walk = $this->openWalk($this->planted, null);
    $this->tube = fn (int $row, string $state = 'change', array $chips = ['curled_lip']): array => $this->state($row, 'seed_tube', $state, ['chips' => $chips]);
});

/** @return array<string, mixed> */
function decisionOn(int $row, string $check, string $action, array $more = []): array
{
    return $more + ['id' => (string) Str::uuid7(), 'row' => $row, 'check' => $check, 'side' => 'centre', 'action' => $action, 'happened_at' => now()->toIso8601ZuluString('millisecond')];
}

it('proposes what to do about each finding, with what it costs and takes', function (): void {
    PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'slots' => ['seed_tube'], 'price' => 44, 'per_row' => 1]);
    $this->send($this->walk, ($this->tube)(5), $this->reading(3, '14 3/8'))->assertOk();
    $said = $this->toDecide($this->planted);
    expect($said['found'])->toHaveCount(2)
        ->and($said['open'])->toBe(['cost' => 44, 'unpriced' => 2, 'minutes' => 47])
        ->and($said['school'])->toBe('limit');
    [$blade, $tube] = $said['found'];
    expect([$blade['row'], $blade['proposal']['action'], $blade['proposal']['unpriced'], count($blade['proposal']['parts'])])->toBe([3, 'change', 2, 2])
        ->and([$tube['row'], $tube['proposal']['why'], $tube['proposal']['cost'], $tube['proposal']['thin']])->toBe([5, 'past_limit', 44, true])
        ->and($tube['decision'])->toBeNull();
});

it('keeps a decision, and opens it again once something else is read there', function (): void {
    $this->send($this->walk, ($this->tube)(5))->assertOk();
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'change'))->assertOk()->assertJsonPath('receipts.0.outcome', 'stored');
    $said = $this->toDecide($this->planted);
    expect($said['found'][0]['decision']['action'])->toBe('change')
        ->and($said['found'][0]['overtaken'])->toBeFalse()
        ->and($said['open']['unpriced'])->toBe(0)->and($said['decided']['unpriced'])->toBe(1);

    $this->travel(1)->minutes();
    $this->send($this->walk, ($this->tube)(5, 'watch', ['dog_ear']))->assertOk();
    expect($this->toDecide($this->planted)['found'][0]['overtaken'])->toBeTrue();
    // A watch is not to be changed of itself: whoever changes it says why.
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'change'))->assertOk()->assertJsonPath('receipts.0.outcome', 'refused');
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'change', ['words' => 'One is on the shelf']))->assertOk()->assertJsonPath('receipts.0.outcome', 'stored');
    expect($this->toDecide($this->planted)['found'][0]['overtaken'])->toBeFalse();
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('takes back what was decided about a finding that there is no more', function (): void {
    $this->send($this->walk, ($this->tube)(5))->assertOk();
    $this->decide($this->walk, $decision = decisionOn(5, 'seed_tube', 'change'))->assertJsonPath('receipts.0.outcome', 'stored');
    $this->getJson('/api/yard')->assertJsonPath('0.to_decide', 0);
    $this->travel(1)->minutes();
    $this->send($this->walk, ($this->tube)(5, 'sound', []))->assertOk();
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'change', ['withdrawn' => true, 'supersedes' => $decision['id']]))->assertJsonPath('receipts.0.outcome', 'stored');
    $this->send($this->walk, ($this->tube)(5))->assertOk();
    expect($this->toDecide($this->planted)['found'][0]['decision'])->toBeNull();
    $this->getJson('/api/yard')->assertJsonPath('0.to_decide', 1);
});

it('asks why where it is done otherwise', function (): void {
    $this->send($this->walk, ($this->tube)(5))->assertOk();
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'carry_over'))
        ->assertJsonPath('receipts.0.outcome', 'refused')
        ->assertJsonPath('receipts.0.message', 'Proposed: change. To override it, choose a reason or write your own.');
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'carry_over', ['reason' => 'few_acres_left', 'look_when' => 'acres', 'look_acres' => 120.5]))->assertJsonPath('receipts.0.outcome', 'stored');
    $decision = $this->toDecide($this->planted)['found'][0]['decision'];
    expect($decision['proposed'])->toBe('change')->and($decision['look_acres'])->toBe(120.5)->and($decision['by'])->toBe($this->technician->name);
});

it('refuses what cannot be decided, in words', function (Closure $decision, string $field, string $says): void {
    $this->send($this->walk, ($this->tube)(5))->assertOk();
    $receipt = $this->decide($this->walk, $decision())->assertOk()->json('receipts.0');
    expect($receipt['outcome'])->toBe('refused')->and($receipt['message'])->toContain($says)->and(Decision::query()->count())->toBe(0);
})->with([
    'what was found sound' => [fn () => decisionOn(6, 'seed_tube', 'change'), 'row', 'Row 6, Seed tube: nothing to decide any more.'],
    'a row that there is not' => [fn () => decisionOn(99, 'seed_tube', 'change'), 'row', 'no row 99'],
    'an action that there is not' => [fn () => decisionOn(5, 'seed_tube', 'weld'), 'action', 'Say what is done'],
    'no action' => [fn () => decisionOn(5, 'seed_tube', 'change', ['action' => null]), 'action', 'Say what is done'],
    'a list of reasons' => [fn () => decisionOn(5, 'seed_tube', 'carry_over', ['reason' => ['owner_wants']]), 'reason', 'Choose a reason'],
    'words without end' => [fn () => decisionOn(5, 'seed_tube', 'carry_over', ['words' => str_repeat('x', 301)]), 'words', '300 characters'],
    'acres under 1' => [fn () => decisionOn(5, 'seed_tube', 'carry_over', ['words' => 'x', 'look_when' => 'acres', 'look_acres' => 0]), 'look_acres', 'acres of the season'],
    'acres as text' => [fn () => decisionOn(5, 'seed_tube', 'carry_over', ['words' => 'x', 'look_when' => 'acres', 'look_acres' => '120']), 'look_acres', 'acres of the season'],
    'acres without saying so' => [fn () => decisionOn(5, 'seed_tube', 'carry_over', ['words' => 'x', 'look_when' => 'next_walk', 'look_acres' => 12]), 'look_acres', 'goes with looking again'],
    'looking again at what is changed' => [fn () => decisionOn(5, 'seed_tube', 'change', ['look_when' => 'next_walk']), 'look_when', 'Only what is carried over'],
    'taking back nothing' => [fn () => decisionOn(5, 'seed_tube', 'change', ['withdrawn' => true]), 'supersedes', 'gone already'],
    'a day ahead' => [fn () => decisionOn(5, 'seed_tube', 'change', ['happened_at' => now()->addDays(3)->toIso8601ZuluString('millisecond')]), 'happened_at', 'not in the future'],
]);

it('refuses a finding of an earlier walk', function (): void {
    $this->send($this->walk, ($this->tube)(5))->assertOk();
    $this->postJson("/api/walks/{$this->walk->id}/finish", ['with_unchecked' => true])->assertSuccessful();
    $this->travel(1)->hours();
    $next = $this->openWalk($this->planted, null);
    expect($this->decide($this->walk, decisionOn(5, 'seed_tube', 'change'))->json('receipts.0.message'))->toContain('from an earlier walk');
    $this->send($next, ($this->tube)(5))->assertOk();
    $this->decide($next, decisionOn(5, 'seed_tube', 'change'))->assertJsonPath('receipts.0.outcome', 'stored');
});

it('lets nobody decide otherwise over somebody’s head, and each only once', function (): void {
    $this->send($this->walk, ($this->tube)(5))->assertOk();
    $this->decide($this->walk, $first = decisionOn(5, 'seed_tube', 'change'))->assertJsonPath('receipts.0.outcome', 'stored');
    expect($this->decide($this->walk, decisionOn(5, 'seed_tube', 'carry_over', ['words' => 'no']))->json('receipts.0.message'))->toContain('already decided: change');
    // The same once more says nothing new; changed where it is, it is another.
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'change'))->assertJsonPath('receipts.0.outcome', 'stored');
    $this->decide($this->walk, ['action' => 'clean'] + $first)->assertConflict();
});

it('takes a decision back', function (): void {
    $this->send($this->walk, ($this->tube)(5))->assertOk();
    $this->decide($this->walk, $first = decisionOn(5, 'seed_tube', 'change'))->assertJsonPath('receipts.0.outcome', 'stored');
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'change', ['supersedes' => $first['id'], 'withdrawn' => true]))->assertJsonPath('receipts.0.outcome', 'stored');
    expect($this->toDecide($this->planted)['found'][0]['decision'])->toBeNull();
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'carry_over', ['words' => 'later']))->assertJsonPath('receipts.0.outcome', 'stored');
});

it('brings back by itself what was carried over', function (array $look, Closure $happens): void {
    $this->send($this->walk, ($this->tube)(5, 'watch'))->assertOk();
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'carry_over', $look + ['words' => 'holds']))->assertJsonPath('receipts.0.outcome', 'stored');
    expect($this->toDecide($this->planted)['carried'][0]['due'])->toBeFalse();
    $this->travel(1)->hours();
    $happens->call($this);
    $carried = $this->toDecide($this->planted)['carried'];
    expect($carried[0]['due'])->toBeTrue()->and($carried[0]['decision']['words'])->toBe('holds');
})->with([
    'at acres' => [['look_when' => 'acres', 'look_acres' => 100], function (): void {
        $this->travelTo(CarbonImmutable::parse('2026-04-22 12:00'));
        $this->logAcres($this->planted, '2026-04-21', 99)->assertCreated();
        expect($this->toDecide($this->planted)['carried'][0]['due'])->toBeFalse();
        $this->logAcres($this->planted, '2026-04-22', 1)->assertCreated();
    }],
    'at the first rain' => [['look_when' => 'first_rain'], function (): void {
        $this->postJson("/api/walks/{$this->walk->id}/finish", ['with_unchecked' => true])->assertSuccessful();
        $this->postJson("/api/planters/{$this->planted->id}/walks", ['kind' => 'rain_day', 'order' => 'row_by_row', 'cautions_acknowledged' => true])->assertCreated();
    }],
    'at the next walk' => [['look_when' => 'next_walk'], function (): void {
        $this->postJson("/api/walks/{$this->walk->id}/finish", ['with_unchecked' => true])->assertSuccessful();
        $this->openWalk($this->planted, null);
    }],
]);

it('shows next year why it was carried over, until it is looked at', function (): void {
    $this->send($this->walk, ($this->tube)(5, 'watch'))->assertOk();
    $this->decide($this->walk, decisionOn(5, 'seed_tube', 'carry_over', ['words' => 'only dust']))->assertJsonPath('receipts.0.outcome', 'stored');
    $this->postJson("/api/walks/{$this->walk->id}/finish", ['with_unchecked' => true])->assertSuccessful();
    $this->travel(1)->years();
    $this->planted->update(['planting_start' => now()->addWeeks(3)->toDateString()]);
    $next = $this->openWalk($this->planted->refresh(), null);
    expect($this->getJson("/api/planters/{$this->planted->id}/rows/5")->json('carried.0.words'))->toBe('only dust');
    $this->send($next, ($this->tube)(5, 'watch'))->assertOk();
    $said = $this->toDecide($this->planted);
    expect($said['found'][0]['before']['words'])->toBe('only dust')->and($said['carried'])->toBe([]);
});

it('follows a policy that is chosen, and says which ruled when', function (): void {
    $this->record($this->planted, ...array_map(fn (int $row): array => $this->fitting($row, '2025-04-01', ['size' => '15']), [1, 2]))->assertCreated();
    $this->send($this->walk, $this->reading(1, '15'), $this->reading(2, '14 15/16'))->assertOk();
    expect($this->toDecide($this->planted)['found'])->toBe([]);
    $choose = fn (array $choice): TestResponse => $this->postJson("/api/planters/{$this->planted->id}/policy", $choice + ['id' => (string) Str::uuid7(), 'happened_at' => now()->toIso8601ZuluString('millisecond')]);
    $choose(['school' => 'every_spring'])->assertCreated();
    $said = $this->toDecide($this->planted);
    expect(array_column($said['found'], 'verdict'))->toBe(['sound', 'sound'])->and($said['found'][0]['proposal']['why'])->toBe('always');
    $this->decide($this->walk, decisionOn(1, 'opener_blade_diameter', 'change', ['side' => 'left']))->assertJsonPath('receipts.0.outcome', 'stored');
    expect($this->toDecide($this->planted)['found'][0]['overtaken'])->toBeFalse();

    $this->travel(1)->minutes();
    $choose(['school' => 'limit', 'slot' => 'opener_blade'])->assertCreated();
    expect($this->toDecide($this->planted)['found'])->toBe([]);
    $table = $this->getJson("/api/planters/{$this->planted->id}/policies?seasons=1")->assertOk()->json();
    expect(array_column($table['ruled'], 'school'))->toBe(['limit', 'every_spring'])
        ->and(array_column($table['table']['lines'], 'school'))->toBe(['limit', 'set', 'every_spring', 'like_new'])
        ->and($table['table']['without_rate'])->toBeTrue();
    $choose(['school' => 'own'])->assertUnprocessable()->assertJsonPath('errors.school.0', 'Your own policy has no rule yet: say for at least one kind of part when it is changed.');
    $choose(['school' => 'limit', 'slot' => 'press_wheel'])->assertUnprocessable()->assertJsonPath('errors.slot.0', 'This planter has no press wheel.');
    $this->getJson("/api/planters/{$this->planted->id}/policies?seasons=9")->assertNotFound();
});

it('keeps the rules of the shop’s own policy as they were when it was chosen', function (): void {
    $rule = ['opener_blade' => ['when' => 'share_gone', 'share' => 0.5]];
    $this->actingAs($this->technician)->patchJson('/api/workshop', ['own_policy' => $rule])->assertOk();
    $this->postJson("/api/planters/{$this->planted->id}/policy", ['id' => (string) Str::uuid7(), 'school' => 'own', 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertCreated();
    $this->patchJson('/api/workshop', ['own_policy' => ['opener_blade' => ['when' => 'always']]])->assertOk();
    $policy = app(DecideQuery::class)->of($this->planted->refresh()->load(['specSheet', 'workshop']))->now->policy;
    expect($policy->toArray()['opener_blade'])->toBe(['when' => 'share_gone', 'share' => 0.5, 'scope' => 'row', 'with' => [], 'looks' => 1]);
    foreach ([['share' => 1.2], ['share' => '0.5'], ['when' => 'never'], ['scope' => 7], ['with' => 'guard'], ['with' => ['wing']], ['looks' => 3], ['looks' => '2']] as $wrong) {
        $this->patchJson('/api/workshop', ['own_policy' => ['opener_blade' => $wrong + $rule['opener_blade']]])->assertUnprocessable()->assertJsonValidationErrors('own_policy');
    }
    $this->patchJson('/api/workshop', ['own_policy' => ['wing' => ['when' => 'always']]])->assertUnprocessable();
    $this->patchJson('/api/workshop', ['own_policy' => ['opener_blade' => 'always']])->assertUnprocessable();
});

it('lets a helper look and not decide', function (): void {
    $this->send($this->walk, ($this->tube)(5))->assertOk();
    $this->switchTo(User::factory()->for($this->technician->workshop)->create(['role' => Role::Helper])->refresh());
    $this->getJson("/api/planters/{$this->planted->id}/decide")->assertOk();
    $this->postJson("/api/walks/{$this->walk->id}/decisions", ['decisions' => [decisionOn(5, 'seed_tube', 'change')]])->assertForbidden();
});

it('learns from the findings that the shop left what comes of them', function (): void {
    // Row 5 and 6 left; the tube of row 6 failed in season.
    $this->send($this->walk, ($this->tube)(5), ($this->tube)(6), ($this->tube)(7))->assertOk();
    $this->record($this->planted, $this->fitting(7, now()->toDateString(), ['slot' => 'seed_tube', 'side' => 'centre', 'happened_at' => now()->addMinute()->toIso8601ZuluString()]))->assertCreated();
    $this->postJson("/api/walks/{$this->walk->id}/finish", ['with_unchecked' => true])->assertSuccessful();
    $this->travel(40)->days();
    $this->record($this->planted, $this->fitting(6, now()->toDateString(), ['slot' => 'seed_tube', 'side' => 'centre', 'reason' => 'failed']))->assertCreated();
    $this->travel(300)->days();
    $this->planted->update(['planting_start' => now()->addWeeks(3)->toDateString()]);
    $next = $this->openWalk($this->planted->refresh(), null);
    $this->send($next, ($this->tube)(2))->assertOk();
    $this->postJson("/api/walks/{$next->id}/finish", ['with_unchecked' => true])->assertSuccessful();
    expect(LearnedSum::ofWorkshop($this->planted->workshop_id, Lesson::LeftFindings))->toBe(['seed_tube' => [[2.0, 1.0, 0.0]]]);
    // 1 of 2, and the prior of 1.5 of 5.
    $risk = $this->toDecide($this->planted)['found'][0]['proposal'];
    expect($risk['chance'])->toBe(round(2.5 / 7, 3))->and($risk['left'])->toBe(2)->and($risk['thin'])->toBeTrue();
    // Told late: the tube of row 5 failed in that season, too.
    $this->record($this->planted, $this->fitting(5, now()->subDays(290)->toDateString(), ['slot' => 'seed_tube', 'side' => 'centre', 'reason' => 'failed']))->assertCreated();
    expect(LearnedSum::ofWorkshop($this->planted->workshop_id, Lesson::LeftFindings))->toBe(['seed_tube' => [[2.0, 2.0, 0.0]]]);
});

it('learns it from seasons that were written down before, too', function (): void {
    $csv = "Date,Row,Check,Side,Reading\n2024-03-02,1,seed_tube,,watch\n2024-03-02,2,seed_tube,,watch\n2025-03-02,1,seed_tube,,change\n2025-03-02,2,seed_tube,,watch\n";
    $this->post("/api/planters/{$this->planted->id}/imports", ['file' => UploadedFile::fake()->createWithContent('past.csv', $csv), 'kind' => 'readings', 'mode' => 'good'])->assertStatus(202);
    // Both were left; the one on row 1 was worse a year later.
    expect(LearnedSum::ofWorkshop($this->planted->workshop_id, Lesson::LeftFindings))->toBe(['seed_tube' => [[2.0, 1.0, 0.0]]]);
});

it('asks the database no more often for a long list', function (): void {
    $count = function (): int {
        $queries = 0;
        DB::listen(function () use (&$queries): void {
            $queries++;
        });
        app(DecideQuery::class)->of($this->planted->refresh()->load(['specSheet', 'workshop']));

        return $queries;
    };
    $this->send($this->walk, ($this->tube)(1), $this->reading(1, '14 1/4'), $this->contact(1, '1'))->assertOk();
    $this->decide($this->walk, decisionOn(1, 'seed_tube', 'change'))->assertJsonPath('receipts.0.outcome', 'stored');
    $few = $count();
    $this->send($this->walk, ...array_merge(...array_map(fn (int $row): array => [($this->tube)($row), $this->reading($row, '14 1/4'), $this->contact($row, '1')], range(2, 6))))->assertOk();
    $this->decide($this->walk, ...array_map(fn (int $row): array => decisionOn($row, 'seed_tube', 'change'), range(2, 6)))->assertOk();
    expect($count() - $few)->toBeLessThanOrEqual($few)->and($few)->toBeLessThan(32);
});
