<?php

declare(strict_types=1);

use App\Models\Bench\BenchRun;
use App\Models\Bench\StandRun;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Ustrel\Core\Meter\PracticeMeter;

beforeEach(function (): void {
    $this->travelTo('2026-04-06 10:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-17']);
    $this->setUp = fn (array $with = []): array => $with + ['id' => (string) Str::uuid7(), 'row' => 3, 'stage' => 'pre', 'seed' => 'Popcorn 7', 'disc' => '30 cells', 'cells' => 30, 'turns' => 40, 'air' => 6, 'places' => 500];
    $this->prepare = fn (array $with = []): TestResponse => $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/bench/runs", ($this->setUp)($with));
    // The owners' report as text.
    $this->report = fn (): string => $this->actingAs($this->technician)->printed("/api/planters/{$this->planted->id}/bench/report.pdf", inLines: true);
    $this->bench = fn (): array => $this->actingAs($this->technician)->getJson("/api/planters/{$this->planted->id}/bench")->assertOk()->json();
    // A stand of its own, as a device sees it: a token, and no session.
    $made = $this->actingAs($this->technician)->postJson('/api/stands', ['name' => 'Bench 1'])->assertCreated()->json();
    [$this->token, $this->stand] = [$made['token'], $made['stand']['id']];
    $this->device = function (string $path, string $body = '', ?string $token = null): TestResponse {
        $this->signedOut();

        return $this->call('POST', "/api/stand/{$path}", [], [], [], ['HTTP_AUTHORIZATION' => 'Bearer '.($token ?? $this->token), 'HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/x-ndjson', 'HTTP_REFERER' => ''], $body);
    };
    $meter = new PracticeMeter(30, 40.0, 6.0, missing: [11 => 1.0]);
    $this->lines = array_map(static fn (int $at, float $ms): string => (string) json_encode(['seq' => $at + 1, 'ms' => round($ms, 1)]), range(0, count($meter->drops(500, 4)) - 1), $meter->drops(500, 4));
});

it('takes a run from a stand, cut in the middle, sent twice and with broken lines, and counts it once', function (): void {
    expect(($this->device)('hello')->assertOk()->json())->toMatchArray(['ustrel' => 'stand', 'version' => 1, 'stand' => 'Bench 1', 'run' => null]);
    $run = ($this->prepare)()->assertOk()->assertJsonPath('state', 'waiting')->json('id');
    expect(($this->device)('hello')->json('run'))->toMatchArray(['id' => $run, 'row' => 3, 'cells' => 30, 'turns' => 40, 'air' => 6, 'places' => 500, 'next' => 1]);
    // The first two hundred, with a line that broke off, and air between them.
    $first = [...array_slice($this->lines, 0, 100), '{"seq":10', '{"ms":5000,"air":6.2,"rpm":40.5}', 'null', ...array_slice($this->lines, 100, 100)];
    $taken = ($this->device)("runs/{$run}", implode("\n", $first))->assertOk()->json();
    expect($taken)->toMatchArray(['next' => 201, 'new' => 200, 'refused_lines' => 2, 'over' => false])->and($taken['refused'][0])->toContain('Line 101')->and($taken['refused'][0])->toContain('{"seq":10');
    $now = fn (): array => $this->actingAs($this->technician)->getJson("/api/planters/{$this->planted->id}/bench/runs/now")->assertOk()->json('run');
    expect($now())->toMatchArray(['state' => 'running', 'seeds' => 200, 'air_seen' => 6.2, 'turns_seen' => 40.5, 'refused_lines' => 2, 'seeds_due_a_second' => 20])->and($now()['seeds_a_second'])->toEqualWithDelta(20, 0.3)->and($now()['line'])->toHaveCount(48);
    // Cut off, it asks where to go on, and sends some again all the same.
    expect(($this->device)('hello')->json('run.next'))->toBe(201);
    expect(($this->device)("runs/{$run}", implode("\r\n", array_slice($this->lines, 150)))->json())->toMatchArray(['new' => count($this->lines) - 200, 'refused_lines' => 0]);
    expect(BenchRun::query()->count())->toBe(0);
    ($this->device)("runs/{$run}", '{"end":true}')->assertOk()->assertJsonPath('over', true);
    ($this->device)("runs/{$run}", '{"end":true}')->assertConflict();
    $kept = ($this->bench)()['runs'][0];
    expect($now()['state'])->toBe('ended')->and($kept)->toMatchArray(['id' => $run, 'row' => 3, 'air' => 6, 'partial' => false])
        // 500 places in turns of 30 with one cell plugged: 16 or 17 skips of it, and hardly any other.
        ->and($kept['skips'])->toBeGreaterThanOrEqual(16)->toBeLessThanOrEqual(24)->and($kept['places'])->toBeGreaterThan(490)->toBeLessThanOrEqual(501)
        ->and($kept['figures']['skipping'])->toHaveCount(1)->and($kept['figures']['skipping'][0]['wrong'])->toBe($kept['figures']['skipping'][0]['turns'])
        ->and($kept['figures']['precision'])->toBeGreaterThan(0.05)->toBeLessThan(0.12);
    // Its seeds go out as a table, and come in again as another run.
    $csv = (string) $this->actingAs($this->technician)->get("/api/planters/{$this->planted->id}/bench/runs/{$run}/times.csv")->assertOk()->getContent();
    ($this->prepare)(['row' => 4, 'times' => strtr($csv, '.', ',')])->assertOk()->assertJsonPath('state', 'ended');
    expect(array_intersect_key(($this->bench)()['runs'][0], ['places' => 1, 'skips' => 1, 'doubles' => 1]))->toBe(array_intersect_key($kept, ['places' => 1, 'skips' => 1, 'doubles' => 1]));
});

it('keeps what was cut short as partial, and what is too short to tell anything not at all', function (): void {
    $run = ($this->prepare)()->json('id');
    // The clock jumps a day half way: what lies between is no skip.
    $jumped = array_map(static fn (string $line, int $at): string => $at < 120 ? $line : (string) json_encode(['seq' => $at + 1, 'ms' => json_decode($line, true)['ms'] + 86_400_000]), array_slice($this->lines, 0, 240), range(0, 239));
    ($this->device)("runs/{$run}", implode("\n", $jumped))->assertJsonPath('new', 240);
    $stop = fn (string $run): TestResponse => $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/bench/runs/{$run}/stop")->assertOk();
    $stop($run)->assertJsonPath('state', 'ended');
    $stop($run)->assertJsonPath('state', 'ended');
    expect(($this->bench)()['runs'])->toHaveCount(1)->and(($this->bench)()['runs'][0])->toMatchArray(['partial' => true])->and(($this->bench)()['runs'][0]['places'])->toBeGreaterThan(235)->toBeLessThan(260);
    $short = ($this->prepare)()->json('id');
    ($this->device)("runs/{$short}", implode("\n", array_slice($this->lines, 0, 40)));
    $stop($short)->assertJsonPath('state', 'short');
    expect(($this->bench)()['runs'])->toHaveCount(1);
});

it('lets a stand do nothing else, and nothing once its token is gone', function (): void {
    $run = ($this->prepare)()->json('id');
    foreach (['GET api/me', 'GET api/yard', "POST api/planters/{$this->planted->id}/bench", 'GET api/stands'] as $other) {
        [$method, $path] = explode(' ', $other);
        $this->signedOut();
        expect($this->call($method, "/{$path}", [], [], [], ['HTTP_AUTHORIZATION' => "Bearer {$this->token}", 'HTTP_ACCEPT' => 'application/json', 'HTTP_REFERER' => ''])->getStatusCode())->toBe(401, $other);
    }
    // A person does not speak for a stand, and one of another workshop finds no run.
    $this->switchTo($this->technician)->postJson('/api/stand/hello')->assertUnauthorized();
    $other = $this->switchTo($this->technicianOf('Lowmoor Planter Services'))->postJson('/api/stands', ['name' => 'Theirs'])->json('token');
    ($this->device)("runs/{$run}", $this->lines[0], $other)->assertNotFound();
    ($this->device)('runs/nonsense', $this->lines[0])->assertNotFound();
    expect(($this->device)('hello', '', $other)->json('run'))->toBeNull();
    ($this->device)("runs/{$run}", $this->lines[0])->assertOk();
    $this->switchTo($this->technician)->deleteJson("/api/stands/{$this->stand}")->assertNoContent();
    ($this->device)("runs/{$run}", $this->lines[1])->assertUnauthorized();
    ($this->device)('hello', '', '7|nonsense')->assertUnauthorized();
    expect(StandRun::query()->findOrFail($run)->lastSeed())->toBe(1);
});

it('refuses what no run can be set up as, and says what lines it cannot read', function (array $with, string $field, string $message): void {
    ($this->prepare)($with)->assertUnprocessable()->assertJsonPath("errors.{$field}.0", fn (string $says): bool => str_contains($says, $message));
    expect(StandRun::query()->count())->toBe(0);
})->with([
    'no cells' => [['cells' => 0], 'cells', '1 to 400'],
    'air' => [['air' => 300], 'air', 'inches of water'],
    'turns' => [['turns' => 0], 'turns', '1 to 300'],
    'row' => [['row' => 9], 'row', 'which row'],
    'few' => [['places' => 99], 'places', '100 to 5,000'],
    'backwards' => [['times' => "0\n20\n15"], 'times', 'Line 3'],
    'no time' => [['times' => "ms\n0\nseven"], 'times', 'Line 3, “seven”'],
    'no text' => [['times' => [1]], 'times', 'as text'],
    'practice' => [['practice' => true, 'fault' => 'fire'], 'fault', 'faults'],
]);

it('names each line that is none, and takes the good ones between', function (): void {
    $run = ($this->prepare)()->json('id');
    $taken = ($this->device)("runs/{$run}", implode("\n", ['{"seq":1,"ms":0}', '{"seq":0,"ms":5}', '{"seq":2,"ms":"x"}', '{"seq":2,"ms":50}', '{"seq":3,"ms":40}', '[]', '{"air":300}', '{"rpm":-1}', '{"seq":3,"ms":1e99}', '{"seq":3,"ms":100}', '{"end":true}', '{"seq":4,"ms":150}']))->assertOk()->json();
    expect($taken['new'])->toBe(3)->and(array_map(static fn (string $of): int => (int) preg_replace('/\D.*/', '', substr($of, 5)), $taken['refused']))->toBe([2, 3, 5, 6, 7, 8, 9, 12])->and($taken['refused'][2])->toContain('go forward');
    // One run of a planter at a time; the same sent again is the same.
    $first = ($this->setUp)();
    ($this->prepare)($first)->assertOk();
    ($this->prepare)($first)->assertOk();
    ($this->prepare)()->assertUnprocessable()->assertJsonPath('errors.row.0', 'A run is under way on this planter. Let it finish, or stop it, then start the next.');
});

it('practises on a made-up stand, whatever fault is switched on', function (string $fault): void {
    $run = ($this->prepare)(['practice' => true, 'fault' => $fault, 'turns' => 60])->assertJsonPath('practice', true)->json('id');
    $practise = fn (): array => $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/bench/runs/{$run}/practice")->assertOk()->json();
    // Thirty places a second: 500 take 17 seconds.
    for ($second = 0; $second < 30 && ($told ?? ['state' => ''])['state'] !== 'ended'; $second++) {
        $told = $practise();
        $this->travel(1)->seconds();
    }
    expect($told['state'])->toBe('ended')->and($told['counts']['places'])->toBeGreaterThan(490)->toBeLessThanOrEqual(510)->and($second)->toBeGreaterThan(15)->and($told['refused_lines'] > 0)->toBe($fault === 'malformed')
        ->and(DB::table('stand_drops')->where('stand_run_id', $run)->count())->toBe($told['seeds']);
    // The stand that is made up is nobody's device.
    expect(($this->device)('hello')->json('run'))->toBeNull();
})->with(['none', 'cut', 'doubled', 'clock', 'malformed']);

it('splits a run whose vacuum was turned down half way into two, and counts neither on a practice stand', function (): void {
    $run = ($this->prepare)(['practice' => true, 'fault' => 'vacuum', 'turns' => 60, 'air' => 10])->json('id');
    for ($second = 0; $second < 30 && ($told ?? ['state' => ''])['state'] !== 'ended'; $second++) {
        $told = $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/bench/runs/{$run}/practice")->assertOk()->json();
        $this->travel(1)->seconds();
    }
    [$second, $first] = ($this->bench)()['runs'];
    // 10 in H2O for half of 500 seeds, 6 for the rest.
    expect($first)->toMatchArray(['id' => $run, 'part_of' => null, 'practice' => true])->and($first['air'])->toEqualWithDelta(10, 0.1)->and($first['places'])->toBeGreaterThan(240)->toBeLessThan(260)->and($first['figures'])->not->toBeNull()
        ->and($second)->toMatchArray(['part_of' => $run, 'practice' => true, 'board' => [], 'figures' => null])->and($second['air'])->toEqualWithDelta(6, 0.1)->and($second['places'])->toBeGreaterThan(240)->toBeLessThan(260);
});

it('calls both parts cut short where the run was', function (): void {
    $run = ($this->prepare)()->json('id');
    $at = fn (float $air): string => (string) json_encode(['ms' => 0, 'air' => $air]);
    // 240 of 500 seeds, the vacuum changed half way: no meter is tested by it.
    ($this->device)("runs/{$run}", implode("\n", [$at(6), ...array_slice($this->lines, 0, 120), $at(10), ...array_slice($this->lines, 120, 120), '{"end":true}']))->assertOk();
    expect(array_map(static fn (array $of): array => [$of['air'], $of['partial']], ($this->bench)()['runs']))->toEqual([[10, true], [6, true]]);
    // A whole one in two parts is a whole one.
    $run = ($this->prepare)(['row' => 4])->json('id');
    ($this->device)("runs/{$run}", implode("\n", [$at(6), ...array_slice($this->lines, 0, 200), $at(10), ...array_slice($this->lines, 200), '{"end":true}']))->assertOk();
    expect(array_column(array_filter(($this->bench)()['runs'], static fn (array $of): bool => $of['row'] === 4), 'partial'))->toBe([false, false]);
});

it('counts no seed of the run-in, and keeps how a run was set up', function (): void {
    $set = ['population' => 34_000, 'mph' => 5, 'turns' => null, 'singulator' => 'step 2', 'lubricant' => 'talc', 'run_in' => 100, 'places' => 400];
    // 34,000 an acre at 30 in and 5 mph over 30 cells: 28.62 turns a minute, which the stand is told.
    $run = ($this->prepare)($set)->assertOk()->assertJsonPath('turns', 28.62)->json('id');
    // 400 are to be counted: the stand runs 500.
    expect(($this->device)('hello')->json('run.places'))->toBe(500);
    ($this->device)("runs/{$run}", implode("\n", [...$this->lines, '{"end":true}']))->assertOk();
    expect($kept = ($this->bench)()['runs'][0])->toMatchArray(['singulator' => 'step 2', 'lubricant' => 'talc', 'population' => 34_000, 'mph' => 5, 'rpm' => 28.6, 'run_in' => 100, 'partial' => false])
        ->and($kept['places'])->toBeGreaterThan(385)->toBeLessThan(405);
    // Turns give the speed: twice as fast is 10 mph. More than 20 is none.
    $twice = ['population' => 34_000, 'turns' => 57.24, 'row' => 4];
    $run = ($this->prepare)($twice)->assertOk()->json('id');
    expect(StandRun::query()->findOrFail($run)->mph)->toBe('10.0');
    $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/bench/runs/{$run}/stop")->assertOk();
    ($this->prepare)(['turns' => 120] + $twice)->assertUnprocessable()->assertJsonPath('errors.turns.0', fn (string $says): bool => str_contains($says, '0.5 to 20 mph'));
});

it('advises air by the runs of one set-up', function (): void {
    $advice = fn (): array => $this->actingAs($this->technician)->getJson("/api/planters/{$this->planted->id}/bench/advice?row=3")->assertOk()->json();
    expect($advice())->toBe(['runs' => [], 'advice' => null]);
    foreach ([[5, 30, 0], [6, 5, 1], [7, 1, 4], [8, 0, 20]] as $at => [$air, $skips, $doubles]) {
        $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/bench", ['id' => (string) Str::uuid7(), 'row' => 3, 'stage' => 'pre', 'places' => 500, 'skips' => $skips, 'doubles' => $doubles, 'seed' => 'Popcorn 7', 'air' => $air, 'happened_at' => "2026-04-06T09:0{$at}:00Z"])->assertCreated();
    }
    $told = $advice();
    expect($told['runs'])->toHaveCount(4)->and($told['advice']['air'])->toBeGreaterThan(6)->toBeLessThan(7)->and($told['advice']['low'])->toBeLessThan($told['advice']['air'])->and($told['advice'])->toMatchArray(['in_sight' => true, 'heavy' => null])->and($told['advice']['curve'])->not->toBe([]);
    $this->getJson("/api/planters/{$this->planted->id}/bench/advice?row=99")->assertUnprocessable();
    // Another lot in the same meter on the same disc: what the first one did says nothing of it.
    $this->postJson("/api/planters/{$this->planted->id}/bench", ['id' => (string) Str::uuid7(), 'row' => 3, 'stage' => 'pre', 'places' => 500, 'skips' => 9, 'doubles' => 9, 'seed' => 'Another', 'air' => 9, 'happened_at' => '2026-04-06T09:59:00Z'])->assertCreated();
    expect(array_column($advice()['runs'], 'air'))->toEqual([9]);
});

it('reports each meter to its owner: before, after, what was changed, and the set-up', function (): void {
    expect(($this->report)())->toContain('No meter has been run for this season');
    $run = fn (array $with): TestResponse => $this->postJson("/api/planters/{$this->planted->id}/bench", $with + ['id' => (string) Str::uuid7(), 'row' => 3, 'places' => 500, 'seed' => 'Popcorn 7', 'disc' => '30 cells', 'air' => 6])->assertCreated();
    $run(['stage' => 'pre', 'skips' => 40, 'doubles' => 4, 'happened_at' => '2026-04-05T09:00:00Z']);
    $this->record($this->planted, $this->fitting(3, '2026-04-05', ['slot' => 'meter_seal', 'side' => 'centre']))->assertCreated();
    $run(['stage' => 'final', 'skips' => 5, 'doubles' => 5, 'happened_at' => '2026-04-06T09:00:00Z']);
    $run(['row' => 4, 'stage' => 'final', 'skips' => 5, 'doubles' => 5, 'air' => null, 'happened_at' => '2026-04-06T09:00:00Z']);
    // 44 of 500 went wrong, then 10.
    expect(($this->report)())->toContain('91.2%')->toContain('98.0%')->toContain('A real difference.')->toContain('eal')->toContain('not run')->toContain('Seed lot Popcorn 7')->toContain('not told');
});

it('reports each lot by itself: the first run of one is not held against the last of another, nor one disc against another', function (): void {
    $run = fn (array $with): TestResponse => $this->postJson("/api/planters/{$this->planted->id}/bench", $with + ['id' => (string) Str::uuid7(), 'row' => 3, 'places' => 500, 'doubles' => 4, 'disc' => '30 cells', 'air' => 6])->assertCreated();
    $this->actingAs($this->technician);
    // 8.8% wrong with one lot before, 2% with another after: nobody knows what the work did.
    $run(['seed' => 'P7', 'stage' => 'pre', 'skips' => 40, 'happened_at' => '2026-04-05T09:00:00Z']);
    $run(['seed' => 'P9', 'stage' => 'final', 'skips' => 6, 'air' => 9, 'happened_at' => '2026-04-06T09:00:00Z']);
    $text = ($this->report)();
    [$meters, $cab] = explode('Set-up for the cab', $text);
    expect($meters)->toContain('Seed lot P7')->toContain('Seed lot P9')->not->toContain('real difference')
        ->and(substr_count($meters, 'not run'))->toBe(2)
        ->and($cab)->toContain('P7')->toContain('P9')->toContain('6 as run')->toContain('9 as run');
    // The same lot afterwards, but on another disc: still two things were changed at once.
    $run(['seed' => 'P7', 'stage' => 'final', 'skips' => 6, 'disc' => '60 cells', 'happened_at' => '2026-04-06T10:00:00Z']);
    expect(($this->report)())->not->toContain('real difference');
    $run(['seed' => 'p7', 'stage' => 'final', 'skips' => 6, 'happened_at' => '2026-04-06T11:00:00Z']);
    expect(($this->report)())->toContain('A real difference.');
});

it('hands out no run that was set up long ago, and keeps none of a row that is gone', function (): void {
    $run = ($this->prepare)(['row' => 8])->json('id');
    $this->travel(13)->hours();
    expect(($this->device)('hello')->json('run'))->toBeNull();
    ($this->device)("runs/{$run}", implode("\n", $this->lines))->assertOk();
    $this->planted->update(['row_count' => 6]);
    $this->actingAs($this->technician)->postJson("/api/planters/{$this->planted->id}/bench/runs/{$run}/stop")->assertOk()->assertJsonPath('state', 'short')->assertJsonPath('refused', 'Say which row of the planter the meter is of.');
    expect(BenchRun::query()->count())->toBe(0);
});

it('takes a run of a hundred whose first and last places were empty', function (): void {
    $run = ($this->prepare)(['places' => 100])->json('id');
    // Fifty milliseconds a place, from the third to the ninety-sixth.
    $lines = array_map(static fn (int $place): string => (string) json_encode(['seq' => $place - 1, 'ms' => 50 * $place]), range(2, 95));
    ($this->device)("runs/{$run}", implode("\n", [...$lines, '{"end":true}']))->assertOk();
    expect(($this->bench)()['runs'][0])->toMatchArray(['places' => 94, 'skips' => 0, 'partial' => false]);
    // Taken back like any other; by hand such a run is not written down.
    $gone = ['id' => (string) Str::uuid7(), 'row' => 3, 'stage' => 'pre', 'places' => 94, 'skips' => 0, 'doubles' => 0, 'happened_at' => '2026-04-06T09:00:00Z'];
    $this->postJson("/api/planters/{$this->planted->id}/bench", $gone)->assertUnprocessable();
    $this->postJson("/api/planters/{$this->planted->id}/bench", $gone + ['supersedes' => $run, 'withdrawn' => true])->assertCreated();
    expect(($this->bench)()['runs'])->toBe([]);
});
