<?php

declare(strict_types=1);

use App\Models\Work\LubricationPoint;
use App\Models\Work\WorkEvent;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->travelTo('2026-03-02 09:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-20']);
    $this->actingAs($this->technician);
    $this->pieces = function (string $with = ''): array {
        $plan = $this->getJson("/api/planters/{$this->planted->id}/work{$with}")->assertOk();

        // Nobody has hours: what is to be done is there without a date.
        return [...$plan->json('pieces'), ...$plan->json('undated')];
    };
    $this->titles = fn (): array => array_column(array_merge(...array_column(($this->pieces)(), 'jobs')), 'title', 'key');
    $this->done = fn (string $point, string $on): WorkEvent => WorkEvent::query()->create([
        'id' => (string) Str::uuid7(), 'planter_id' => $this->planted->id, 'kind' => 'finished', 'row_number' => 0, 'places' => [], 'user_id' => $this->technician->id, 'happened_at' => $on, 'recorded_at' => $on, 'targets' => ["grease:0:{$point}:centre"],
    ]);
    $this->edit = ['per' => 'planter', 'minutes' => 3, 'product' => 'grease', 'rounds' => 'both', 'hours' => 50, 'revision' => 0];
    $this->keep = fn (string $point, array $with = []): TestResponse => $this->putJson("/api/lubrication/{$point}", $with + $this->edit);
    $this->points = fn (): array => array_column($this->getJson('/api/lubrication')->assertOk()->json('points'), null, 'point');
});

it('is due whether or not a walk has begun, on all planters of the shop together too', function (): void {
    expect(($this->titles)())->toHaveKey('grease:0:hitch:centre');
    expect(array_column(array_merge(...array_column(($this->pieces)('?together=1'), 'jobs')), 'key'))->toContain('grease:0:hitch:centre');
});

it('is due again by the acres of each row, not of the planter', function (): void {
    $this->planted->update(['equipment' => ['row_cleaner' => true] + $this->planted->units()->most->toArray()]);
    ($this->done)('row_cleaner_hubs', '2026-03-01T10:00:00Z');
    $this->travelTo('2026-05-02 09:00:00');
    // Eight rows: 400 acres are 50 a row, 520 are 65; 60 a row are the interval.
    $this->logAcres($this->planted, '2026-04-25', 400)->assertCreated();
    expect(($this->titles)())->not->toHaveKey('grease:0:row_cleaner_hubs:centre');
    $this->logAcres($this->planted, '2026-04-26', 120)->assertCreated();
    expect(($this->titles)())->toHaveKey('grease:0:row_cleaner_hubs:centre');
});

it('has a round in autumn, and tells in spring that it was missed', function (): void {
    ($this->done)('hitch', '2026-03-01T10:00:00Z');
    ($this->done)('closing_arms', '2026-03-01T10:00:00Z');
    ($this->done)('pins_and_studs', '2026-03-01T10:00:00Z');
    expect(($this->titles)())->not->toHaveKey('grease:0:hitch:centre');
    $this->logAcres($this->planted, '2026-04-25', 20)->assertUnprocessable();
    $this->travelTo('2026-05-02 09:00:00');
    $this->logAcres($this->planted, '2026-04-25', 20)->assertCreated();
    expect(($this->titles)())->not->toHaveKey('grease:0:hitch:centre');
    // Four months after planting was to start the round of autumn begins.
    $this->travelTo('2026-08-21 09:00:00');
    expect(($this->titles)()['grease:0:hitch:centre'])->toBe('lubricate hitch (grease)')
        ->and(($this->titles)())->not->toHaveKey('grease:0:pins_and_studs:centre');
    ($this->done)('hitch', '2026-09-01T10:00:00Z');
    $this->travelTo('2027-03-01 09:00:00');
    $this->planted->update(['planting_start' => '2027-04-20']);
    // The hitch was greased in autumn, the closing arms were not.
    expect(($this->titles)()['grease:0:hitch:centre'])->toBe('lubricate hitch (grease)')
        ->and(($this->titles)()['grease:0:closing_arms:centre'])->toBe('lubricate closing arms (grease), missed last time');
});

it('tells nothing missed where lubrication was never written down', function (): void {
    $this->logAcres($this->planted, '2025-04-25', 20)->assertCreated();
    expect(array_filter(($this->titles)(), static fn (?string $title): bool => str_contains((string) $title, 'missed')))->toBe([]);
});

it('goes by the shop’s own intervals and points', function (): void {
    ($this->keep)('closing_arms', ['off' => true, 'per' => 'row', 'minutes' => 1])->assertOk()->assertJsonPath('revision', 1);
    ($this->keep)('hitch', ['minutes' => 12.5, 'product' => 'dry'])->assertOk();
    $own = (string) Str::uuid7();
    ($this->keep)($own, ['name' => ' Fold pins ', 'per' => 'row', 'minutes' => 2])->assertOk()->assertJsonPath('own', true);
    $titles = ($this->titles)();
    expect($titles)->not->toHaveKey('grease:0:closing_arms:centre')->and($titles['grease:0:hitch:centre'])->toBe('lubricate hitch (dry)')->and($titles["grease:0:{$own}:centre"])->toBe('lubricate Fold pins (grease)');
    // 2 minutes on each row of eight.
    $pieces = collect(($this->pieces)())->keyBy(static fn (array $of): string => $of['jobs'][0]['key'] ?? '');
    expect($pieces["grease:0:{$own}:centre"]['minutes'])->toBe(2 * $this->planted->row_count)->and($pieces['grease:0:hitch:centre']['minutes'])->toBe(13);
    // It is finished by its name.
    $this->postJson("/api/planters/{$this->planted->id}/work/hands", ['events' => [['id' => (string) Str::uuid7(), 'kind' => 'finished', 'targets' => ["grease:0:{$own}:centre"], 'happened_at' => '2026-03-02T08:00:00Z']]])->assertCreated();
    expect($this->getJson("/api/planters/{$this->planted->id}/work/hands")->json('done.0.title'))->toBe('Fold pins')->and(($this->titles)())->not->toHaveKey("grease:0:{$own}:centre");
});

it('keeps a point once however often it is sent, and not over what somebody else has changed', function (): void {
    ($this->keep)('hitch', ['minutes' => 5])->assertOk();
    ($this->keep)('hitch', ['minutes' => 5])->assertOk()->assertJsonPath('revision', 1);
    ($this->keep)('hitch', ['minutes' => 6])->assertConflict();
    ($this->keep)('hitch', ['minutes' => 6, 'revision' => 1])->assertOk()->assertJsonPath('revision', 2);
    ($this->keep)('hitch', ['minutes' => 5, 'revision' => 1])->assertConflict();
    expect(LubricationPoint::query()->sole()->minutes)->toBe('6.0')->and(($this->points)()['hitch'])->toMatchArray(['name' => 'hitch', 'minutes' => 6, 'own' => false])->and(($this->points)()['idlers'])->toMatchArray(['minutes' => 0.5, 'revision' => 0]);
});

it('takes acres that were typed as hectares, to the tenth', function (): void {
    ($this->keep)('hitch', ['acres' => 59.3])->assertOk()->assertJsonPath('acres', 59.3);
    ($this->keep)('hitch', ['acres' => 59.3])->assertOk()->assertJsonPath('revision', 1);
    ($this->keep)('hitch', ['acres' => 59.31, 'revision' => 1])->assertUnprocessable();
});

it('asks for the shop’s points once, however many planters there are', function (): void {
    $asked = function (): int {
        DB::enableQueryLog();
        ($this->pieces)('?together=1');
        $count = count(array_filter(DB::getQueryLog(), static fn (array $of): bool => str_contains($of['query'], 'lubrication_points')));
        DB::disableQueryLog();
        DB::flushQueryLog();

        return $count;
    };
    foreach (['East', 'West', 'North'] as $name) {
        $this->planter(['name' => $name, 'planting_start' => '2026-04-20']);
    }
    expect($asked())->toBe(1);
});

it('is each shop’s own', function (): void {
    ($this->keep)('hitch', ['minutes' => 40])->assertOk();
    $this->switchTo($this->technicianOf('Lowmoor Planter Services'));
    expect(($this->points)()['hitch']['minutes'])->toEqual(3);
    ($this->keep)('hitch', ['minutes' => 9])->assertOk()->assertJsonPath('revision', 1);
    $this->switchTo($this->technician);
    expect(($this->points)()['hitch']['minutes'])->toEqual(40);
});

it('refuses what no point can be, and keeps nothing of it', function (string $point, array $with, string $field, string $said): void {
    expect(($this->keep)($point, $with)->assertUnprocessable()->json("errors.{$field}.0"))->toContain($said)->and(LubricationPoint::query()->count())->toBe(0);
})->with([
    'no minutes' => ['hitch', ['minutes' => 0], 'minutes', '0.1 to 60'], 'minutes in words' => ['hitch', ['minutes' => '3'], 'minutes', '0.1 to 60'], 'butter' => ['hitch', ['product' => 'butter'], 'product', 'grease'], 'per side' => ['hitch', ['per' => 'side'], 'per', 'each row'],
    'monthly' => ['hitch', ['rounds' => 'monthly'], 'rounds', 'before planting'], 'half an acre' => ['hitch', ['acres' => 0.5], 'acres', '1 to 10,000'], 'no hours' => ['hitch', ['hours' => 0], 'hours', '1 to 10,000'], 'a name for what has one' => ['hitch', ['name' => 'Ball'], 'name', 'Name the point'],
    'no name' => ['0193a1b2-0000-7000-8000-000000000001', [], 'name', 'Name the point'], 'no revision' => ['hitch', ['revision' => null], 'revision', '0 for a new point'],
]);

it('knows no point that is neither typical nor one of the shop’s own', function (): void {
    ($this->keep)('wings')->assertNotFound();
});
