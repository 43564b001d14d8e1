<?php

declare(strict_types=1);

use App\Models\Parts\PartType;
use App\Models\People\Role;
use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Database\Demo\DemoScenario;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ustrel\Core\Spec\RowUnitType;

beforeEach(function (): void {
    $this->travelTo('2026-03-16 15:00:00');
    $this->typicalSheet(RowUnitType::Vacuum->value);
    $this->switchTo($this->technician);
    $this->steps = fn (): array => array_column($this->getJson('/api/first-day')->assertOk()->json('steps'), 'state', 'step');
    $this->mark = fn (mixed $step, mixed $state) => $this->putJson('/api/first-day', ['step' => $step, 'state' => $state]);
    $this->decided = function (Planter $planter): void {
        $walk = $planter->openWalk();
        $this->decide($walk, ['id' => (string) Str::uuid7(), 'row' => 1, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'change', 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertOk();
    };
});

it('turns each step done by what the record shows, and not before', function (): void {
    expect(($this->steps)())->toBe(['planter' => 'open', 'walk' => 'open', 'board' => 'open', 'decide' => 'open', 'print' => 'open', 'invite' => 'open']);
    $planter = $this->planter();
    $walk = $this->openWalk($planter, null);
    expect(($this->steps)())->toMatchArray(['planter' => 'done', 'walk' => 'open']);
    $this->send($walk, $this->state(1, 'seed_tube', 'change', ['chips' => ['curled_lip']]))->assertOk();
    expect(($this->steps)()['walk'])->toBe('open');
    $this->send($walk, $this->state(2, 'seed_tube', 'sound'))->assertOk();
    expect(($this->steps)())->toMatchArray(['walk' => 'done', 'decide' => 'open', 'invite' => 'open']);
    ($this->decided)($planter);
    expect(($this->steps)()['decide'])->toBe('done');
    $this->postJson('/api/people/invitations', ['role' => 'helper'])->assertSuccessful();
    expect(($this->steps)())->toBe(['planter' => 'done', 'walk' => 'done', 'board' => 'open', 'decide' => 'done', 'print' => 'open', 'invite' => 'done']);
    expect($this->getJson('/api/first-day')->json())->toMatchArray(['planter_id' => $planter->id, 'walk_id' => $walk->id, 'sample_id' => null]);
});

it('marks what no record shows, skips and takes up again, twice as once', function (): void {
    ($this->mark)('board', 'done')->assertOk();
    ($this->mark)('board', 'done')->assertOk();
    ($this->mark)('invite', 'skipped')->assertOk();
    expect(($this->steps)())->toMatchArray(['board' => 'done', 'invite' => 'skipped', 'print' => 'open']);
    ($this->mark)('invite', 'open')->assertOk();
    ($this->mark)('invite', 'open')->assertOk();
    expect(($this->steps)()['invite'])->toBe('open');
    // What is done stays done, whatever is said of it.
    $this->planter();
    ($this->mark)('planter', 'skipped')->assertOk();
    expect(($this->steps)()['planter'])->toBe('done');
});

it('refuses to call done what the record has to show', function (mixed $step, mixed $state, string $field): void {
    ($this->mark)($step, $state)->assertUnprocessable()->assertJsonValidationErrors([$field]);
    expect(DB::table('first_day_steps')->count())->toBe(0);
})->with([['walk', 'done', 'state'], ['decide', 'done', 'state'], ['dance', 'done', 'step'], [7, 'done', 'step'], ['board', 'maybe', 'state'], ['board', ['done'], 'state']]);

it('is of the shop alone, and of those who may set things', function (): void {
    ($this->mark)('board', 'done')->assertOk();
    $this->switchTo(User::factory()->create()->refresh());
    expect(($this->steps)()['board'])->toBe('open');
    $this->switchTo(User::factory()->for($this->technician->workshop)->create(['role' => Role::Helper])->refresh());
    $this->getJson('/api/first-day')->assertForbidden();
    $this->postJson('/api/sample-planter')->assertForbidden();
});

describe('the sample planter', function (): void {
    beforeEach(function (): void {
        $this->sample = function (): Planter {
            $this->postJson('/api/sample-planter')->assertCreated();

            return Planter::query()->where('workshop_id', $this->technician->workshop_id)->where('is_sample', true)->firstOrFail();
        };
    });

    it('has readings to look at, and there is one in a shop', function (): void {
        $sample = ($this->sample)();
        $card = collect($this->getJson('/api/yard')->json())->firstWhere('id', $sample->id);
        expect($card)->toMatchArray(['is_sample' => true, 'walk_open' => true, 'row_count' => 6])->and($card['rows_to_change'])->toBeGreaterThan(1);
        $this->postJson('/api/sample-planter')->assertUnprocessable()->assertJsonPath('errors.sample.0', 'There is already a sample planter.');
        $this->switchTo(User::factory()->create()->refresh())->postJson('/api/sample-planter')->assertCreated();
    });

    it('counts nowhere else: not in parts, work, today, learning or the first steps', function (): void {
        $sample = ($this->sample)();
        $this->technician->workshop->update(['crew' => [['name' => 'Wren', 'hours' => array_fill(1, 7, 8.0)]]]);
        $tube = PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'slots' => ['seed_tube'], 'per_row' => 1, 'lead_days' => 5, 'price' => 40]);
        $this->postJson('/api/store/moves', ['moves' => [['id' => (string) Str::uuid7(), 'part_type_id' => $tube->id, 'kind' => 'counted', 'quantity' => 3, 'happened_at' => now()->subHour()->toIso8601ZuluString('millisecond')]]])->assertCreated();
        ($this->decided)($sample);
        expect(array_column($this->getJson('/api/store')->assertOk()->json(), 'needed'))->toBe([0])
            ->and($this->getJson('/api/today')->json('planters'))->toBe([])
            ->and(($this->steps)())->toMatchArray(['planter' => 'open', 'walk' => 'open', 'decide' => 'open']);
        $own = $this->planter(['planting_start' => '2026-04-20']);
        expect(array_unique(array_column($this->getJson("/api/planters/{$own->id}/work?together=1")->json('pieces'), 'planter')))->toBe([$own->id]);
        $this->postJson("/api/walks/{$sample->openWalk()?->id}/finish", ['with_unchecked' => true])->assertOk();
        expect($this->technician->workshop->refresh()->learned_sd)->toBe([]);
        // On its own screens it does count.
        $kept = $this->putJson("/api/planters/{$sample->id}/work/plan", ['seen' => 0])->assertOk()->json('pieces');
        expect($kept)->not->toBe([])->and(array_column($this->getJson('/api/find')->json(), 'kind'))->not->toContain('card');
        // What went in there came off no shelf.
        $this->record($sample, $this->fitting(1, '2026-03-16', ['slot' => 'seed_tube', 'side' => 'centre', 'part_type_id' => $tube->id, 'size' => null, 'happened_at' => now()->toIso8601ZuluString()]))->assertCreated();
        expect(array_column($this->getJson('/api/store')->json(), 'on_hand'))->toBe([3]);
    });

    it('goes with all that was done on it, and leaves the rest as it was', function (): void {
        $own = $this->planter();
        $walk = $this->openWalk($own, null);
        $this->send($walk, $this->state(1, 'seed_tube', 'sound'))->assertOk();
        $count = fn (): array => collect(DB::select("SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND table_name <> 'users' AND column_name IN ('planter_id', 'walk_id', 'stand_run_id', 'watch_run_id') GROUP BY 1 ORDER BY 1"))
            ->mapWithKeys(fn (stdClass $of): array => [$of->table_name => DB::table($of->table_name)->count()])->all();
        $before = $count();
        $sample = ($this->sample)();
        $this->everything($sample, $sample->openWalk());
        ($this->decided)($sample);
        expect($count())->not->toBe($before);
        $this->deleteJson('/api/sample-planter')->assertNoContent();
        $this->deleteJson('/api/sample-planter')->assertNoContent();
        expect($count())->toEqual($before)->and(Planter::query()->whereKey($sample->id)->exists())->toBeFalse();
        // And another one may come.
        ($this->sample)();
    });
});

it('prints on the paper of the shop', function (string $paper, string $size): void {
    $this->technician->workshop->update(['paper' => $paper]);
    $walk = $this->openWalk($this->planter(), null);
    $this->send($walk, $this->state(1, 'seed_tube', 'change', ['chips' => ['curled_lip']]))->assertOk();
    $pdf = (string) $this->get("/api/walks/{$walk->id}/sheet.pdf")->assertOk()->getContent();
    expect($pdf)->toStartWith('%PDF-')->toContain("/MediaBox [0.000 0.000 {$size}]");
})->with([['letter', '792.000 612.000'], ['a4', '841.890 595.280']]);

it('takes the paper in Shop figures, and no other than there is', function (): void {
    $this->patchJson('/api/workshop', ['paper' => 'letter'])->assertOk()->assertJsonPath('paper', 'letter');
    $this->patchJson('/api/workshop', ['paper' => 'a5'])->assertUnprocessable()->assertJsonPath('errors.paper.0', 'Choose A4 or Letter.');
    expect($this->technician->workshop->refresh()->paper->value)->toBe('letter');
});

it('leads nobody through a first day whose shop comes with a past', function (): void {
    app(DemoScenario::class)->load(CarbonImmutable::parse('2026-03-16'));
    $this->switchTo(User::query()->where('email', DemoScenario::EMAIL)->firstOrFail());
    expect(($this->steps)())->not->toContain('open');
});
