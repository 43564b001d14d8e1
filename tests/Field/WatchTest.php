<?php

declare(strict_types=1);

use App\Models\Field\WatchAlarm;
use App\Models\Field\WatchPass;
use App\Models\Field\WatchRun;
use Illuminate\Support\Sleep;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Ustrel\Core\Field\Watch\PracticeFault;
use Ustrel\Core\Field\Watch\PracticeField;

beforeEach(function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $this->planted = $this->planter(['planting_start' => '2026-04-17']);
    $this->path = "/api/planters/{$this->planted->id}";
    $this->start = fn (array $with = []): TestResponse => $this->actingAs($this->technician)->postJson("{$this->path}/watch", $with + ['id' => (string) Str::uuid7(), 'field' => 'Long Field']);
    $this->now = fn (): array => $this->actingAs($this->technician)->getJson("{$this->path}/watch/now")->assertOk()->json('run');
    $this->say = fn (string $run, array ...$entries): TestResponse => $this->actingAs($this->technician)->postJson("{$this->path}/watch/{$run}/entries", ['entries' => array_map(static fn (array $entry): array => $entry + ['id' => (string) Str::uuid7(), 'happened_at' => now()->toIso8601ZuluString('millisecond')], $entries)]);
    $this->token = $this->actingAs($this->technician)->postJson('/api/stands', ['name' => 'Cab', 'kind' => 'monitor'])->assertCreated()->assertJsonPath('stand.kind', 'monitor')->json('token');
    $this->device = function (string $path, string $body = '', ?string $token = null): TestResponse {
        $this->signedOut();

        return $this->call('POST', "/api/{$path}", [], [], [], ['HTTP_AUTHORIZATION' => 'Bearer '.($token ?? $this->token), 'HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/x-ndjson', 'HTTP_REFERER' => ''], $body);
    };
    $this->lines = static fn (PracticeField $field, int $from, int $to): string => implode("\n", array_map(static fn (int $second): string => (string) json_encode($field->at($second)), range($from, $to)));
});

it('hears a monitor through a cut, sent twice and broken, finds the row that stops, and keeps passes, not moments', function (): void {
    $field = new PracticeField(8, 5, PracticeFault::Plugged, [6]);
    expect(($this->device)('monitor/hello')->assertOk()->json())->toMatchArray(['ustrel' => 'monitor', 'version' => 1, 'monitor' => 'Cab', 'run' => null]);
    $run = ($this->start)()->assertOk()->assertJsonPath('run.state', 'waiting')->json('run.id');
    expect(($this->device)('monitor/hello')->json('run'))->toBe(['id' => $run, 'planter' => $this->planted->name, 'field' => 'Long Field', 'rows' => 8, 'last' => null]);
    expect(($this->device)("monitor/runs/{$run}", ($this->lines)($field, 0, 399))->assertOk()->json())->toMatchArray(['last' => 399_000, 'new' => 400, 'refused_lines' => 0]);
    // Cut off, it begins too early; some lines are broken, one comes late.
    $taken = ($this->device)("monitor/runs/{$run}", ($this->lines)($field, 300, 500)."\n{\"ms\":50\n".json_encode(['population' => [1, 2]] + $field->at(501))."\n".json_encode(['mph' => 400] + $field->at(502))."\n".($this->lines)($field, 450, 690))->assertOk()->json();
    expect($taken)->toMatchArray(['last' => 690_000, 'new' => 291, 'refused_lines' => 3])->and($taken['refused'][0])->toContain('Line 202')->and($taken['refused'][1])->toContain('for each of the 8 rows')->and($taken['refused'][2])->toContain('mph is from 0 to 30');
    expect(($this->now)())->toMatchArray(['state' => 'running', 'alarms' => [], 'refused_lines' => 3, 'monitor_quiet' => 0]);
    ($this->device)("monitor/runs/{$run}", ($this->lines)($field, 691, 760));
    $now = ($this->now)();
    expect($now['alarms'])->toHaveCount(1)->and($now['alarms'][0])->toMatchArray(['kind' => 'stopped', 'watched' => 'population', 'rows' => [6], 'shared' => null, 'says' => 'drops no seed', 'symptom' => 'dead', 'is_back' => false, 'seen_at' => null])
        ->and($now['alarms'][0]['while'])->toContain('Pass 4')->and($now['rows'][5]['state'])->toBe('failed')->and($now['rows'][4]['state'])->toBe('sound')->and(array_column($now['rows'][4]['figures'], 'watched'))->toBe(['population', 'skips', 'doubles', 'downforce', 'flow']);
    // Its diagnosis is one press away; seen twice, and by whom.
    expect($this->postJson("{$this->path}/diagnosis", ['row' => 6, 'seen' => [$now['alarms'][0]['symptom']]])->assertOk()->json('causes.0.key'))->toBe('hose_plugged');
    $seen = ['id' => (string) Str::uuid7(), 'kind' => 'seen', 'alarm' => $now['alarms'][0]['id'], 'happened_at' => '2026-04-20T10:05:00.000Z'];
    ($this->say)($run, $seen)->assertCreated();
    ($this->say)($run, $seen)->assertOk()->assertJsonPath('receipts.0.outcome', 'known');
    expect(($this->now)()['alarms'][0])->toMatchArray(['seen_by' => $this->technician->name, 'is_left' => false]);
    foreach ([1, 2] as $_) {
        $this->postJson("{$this->path}/watch/{$run}/end")->assertOk()->assertJsonPath('run.state', 'ended');
    }
    ($this->device)("monitor/runs/{$run}", ($this->lines)($field, 761, 770))->assertConflict();
    expect(WatchPass::query()->count())->toBe(4)->and(WatchRun::query()->first()->kept)->toBeNull()->and(WatchRun::query()->first()->learned)->toHaveKey('population');
    $pass = ($this->now)()['passes'][1];
    // A pass of 210 s at some 5 mph is 1,540 ft; eight rows of 30 in are 20 ft wide.
    expect($pass)->toMatchArray(['number' => 3, 'minutes' => 3.5])->and((float) $pass['acres'])->toEqualWithDelta(0.7, 0.05)->and($pass['population'])->toContain('seeds/ac');
    expect($this->actingAs($this->technician)->getJson("{$this->path}/watch")->json('before.0'))->toMatchArray(['id' => $run, 'passes' => 4, 'alarms' => 1, 'practice' => false]);
});

it('blames what rows share where the planter says so, and has it said by one at a time', function (): void {
    $save = fn (array $groups, array $before = []): TestResponse => $this->actingAs($this->technician)->putJson("{$this->path}/shared-rows", ['groups' => $groups, 'before' => $before]);
    $left = ['kind' => 'motor', 'name' => 'Left', 'rows' => [1, 2, 3, 4]];
    $right = ['kind' => 'motor', 'name' => 'Right', 'rows' => [5, 6, 7, 8]];
    $save([$left, $right])->assertOk()->assertJsonPath('shared', [$left, $right]);
    $save([$left])->assertConflict();
    $save([$left, $right])->assertOk();
    foreach ([[['rows' => [1]] + $left, 'two rows or more'], [['rows' => [1, 9]] + $left, 'names row 9'], [['kind' => 'fire'] + $left, 'motor, tank'], [['name' => ''] + $left, '40 characters'], [['rows' => ['1', 2]] + $left, 'which rows'], ['x', 'which rows']] as [$bad, $says]) {
        $save([$bad], [$left, $right])->assertUnprocessable()->assertJsonPath('errors.groups.0', fn (string $message): bool => str_contains($message, $says));
    }
    $save([$left, $left], [$left, $right])->assertUnprocessable()->assertJsonPath('errors.groups.0', '“Left” is there twice. Give each its own name.');
    $run = ($this->start)()->json('run.id');
    $field = new PracticeField(8, 9, PracticeFault::Shared, [1, 2, 3, 4]);
    for ($from = 0; $from < 1200; $from += 300) {
        ($this->device)("monitor/runs/{$run}", ($this->lines)($field, $from, $from + 299))->assertOk();
    }
    $alarm = ($this->now)()['alarms'][0];
    expect($alarm)->toMatchArray(['kind' => 'drift', 'watched' => 'population', 'rows' => [1, 2, 3, 4], 'shared' => 'motor “Left”'])->and($alarm['says'])->toContain('less seed');
    // Seen is not left: the rows are still amiss, and what was expected of them stands.
    $kept = fn (): string => WatchRun::query()->findOrFail($run)->kept;
    $before = $kept();
    ($this->say)($run, ['kind' => 'seen', 'alarm' => $alarm['id']])->assertCreated();
    expect($kept())->toBe($before)->and(($this->now)())->toMatchArray(['alarms' => [['is_left' => false] + ($this->now)()['alarms'][0]]])->and(($this->now)()['rows'][0]['state'])->not->toBe('sound');
    // Left as it is, that is what is to be expected from here on.
    ($this->say)($run, ['kind' => 'left', 'alarm' => $alarm['id']])->assertCreated();
    expect($kept())->not->toBe($before)->and(($this->now)()['alarms'][0]['is_left'])->toBeTrue()->and(($this->now)()['rows'][0]['state'])->toBe('sound');
    ($this->device)("monitor/runs/{$run}", ($this->lines)($field, 1200, 1800));
    expect(WatchAlarm::query()->where('watched', 'population')->count())->toBe(1);
    // Said once more, late, it is left as it was then.
    $later = $kept();
    ($this->say)($run, ['kind' => 'left', 'alarm' => $alarm['id']])->assertCreated();
    expect($kept())->toBe($later);
});

it('tells where all rows together bring less than is set, and that is seen once', function (): void {
    $run = ($this->start)()->json('run.id');
    $field = new PracticeField(8, 21, PracticeFault::Whole);
    for ($from = 0; $from < 2100; $from += 300) {
        ($this->device)("monitor/runs/{$run}", ($this->lines)($field, $from, $from + 299))->assertOk();
    }
    $alarms = array_values(array_filter(($this->now)()['alarms'], static fn (array $of): bool => $of['watched'] === 'population'));
    expect($alarms)->toHaveCount(1)->and($alarms[0])->toMatchArray(['kind' => 'drift', 'rows' => range(1, 8)])->and($alarms[0]['says'])->toContain('all together')->toContain('than set');
});

it('raises no alarm about a row that is shut off, by the monitor or by hand, nor about what stands still', function (): void {
    $run = ($this->start)()->json('run.id');
    $field = new PracticeField(8, 3);
    ($this->device)("monitor/runs/{$run}", ($this->lines)($field, 0, 300));
    ($this->say)($run, ['kind' => 'shut', 'row' => 8])->assertCreated();
    expect(($this->now)()['rows'][7]['state'])->toBe('off');
    foreach ([9, 0, '8', null] as $row) {
        ($this->say)($run, ['kind' => 'shut', 'row' => $row])->assertUnprocessable()->assertJsonPath('errors', ['entries.0.row' => ['Name a row of the planter, from 1 to 8.']]);
    }
    ($this->say)($run, ['kind' => 'closed', 'row' => 8])->assertUnprocessable();
    ($this->say)($run)->assertUnprocessable();
    $lines = array_map(static function (int $second) use ($field): string {
        $told = $field->at($second);
        foreach (isset($told['population']) ? ['population', 'skips', 'doubles'] : [] as $of) {
            $told[$of][6] = $told[$of][7] = 0;
        }
        // A minute in which it stands, let down, and all sensors say nothing.
        $stands = $second > 420 && $second <= 480 ? ['mph' => 0, 'down' => true, 'population' => array_fill(0, 8, 0)] : [];

        return (string) json_encode($stands + ['off' => [7]] + $told);
    }, range(301, 600));
    ($this->device)("monitor/runs/{$run}", implode("\n", $lines))->assertOk()->assertJsonPath('refused_lines', 0);
    expect(($this->now)())->toMatchArray(['alarms' => [], 'off' => [7], 'shut' => [8]])->and(($this->now)()['rows'][6]['state'])->toBe('off');
    // Nobody says that it is shut off any more, and it brings nothing.
    ($this->say)($run, ['kind' => 'opened', 'row' => 8])->assertCreated();
    ($this->device)("monitor/runs/{$run}", implode("\n", array_map(static fn (int $second): string => str_replace('"off":[7],', '', (string) json_encode(['population' => [...array_slice($field->at($second)['population'] ?? array_fill(0, 8, 0), 0, 7), 0]] + $field->at($second))), range(601, 650))))->assertOk();
    expect(array_column(($this->now)()['alarms'], 'rows'))->toBe([[8]]);
});

it('raises no alarm about rows that are parked', function (): void {
    $this->planted->update(['parked_rows' => [8]]);
    $run = ($this->start)()->json('run.id');
    $field = new PracticeField(8, 3);
    $lines = array_map(static function (int $second) use ($field): string {
        $told = $field->at($second);
        foreach (isset($told['population']) ? ['population', 'skips', 'doubles'] : [] as $of) {
            $told[$of][7] = 0;
        }

        return (string) json_encode($told);
    }, range(0, 400));
    ($this->device)("monitor/runs/{$run}", implode("\n", $lines))->assertOk();
    expect(($this->now)())->toMatchArray(['alarms' => [], 'shut' => []])->and(($this->now)()['rows'][7]['state'])->toBe('off');
});

it('says which sensor is silent, stuck or says what cannot be', function (): void {
    $run = ($this->start)()->json('run.id');
    $field = new PracticeField(8, 4);
    $lines = array_map(static function (int $second) use ($field): string {
        $told = $field->at($second);
        if (isset($told['population'])) {
            $told['population'][1] = $second > 100 ? null : $told['population'][1];
            $told['population'][3] = 34_000;
            $told['flow'][5] = $second % 5 === 0 ? -4 : $told['flow'][5];
        }

        return (string) json_encode($told);
    }, range(0, 180));
    ($this->device)("monitor/runs/{$run}", implode("\n", $lines))->assertOk()->assertJsonPath('refused_lines', 0);
    $alarms = collect(($this->now)()['alarms'])->map(static fn (array $of): string => "{$of['kind']} {$of['watched']} {$of['rows'][0]}")->sort()->values()->all();
    expect($alarms)->toBe(['jumps flow 6', 'silent population 2', 'stuck population 4'])->and(($this->now)()['rows'][1]['state'])->toBe('watch');
});

it('lets a monitor do nothing else, and one of another workshop nothing at all', function (): void {
    $run = ($this->start)()->json('run.id');
    $line = (string) json_encode((new PracticeField(8, 4))->at(0));
    $stand = $this->actingAs($this->technician)->postJson('/api/stands', ['name' => 'Bench 1'])->json('token');
    ($this->device)('monitor/hello', '', $stand)->assertUnauthorized();
    ($this->device)('stand/hello')->assertUnauthorized();
    $this->signedOut();
    $this->call('GET', '/api/me', [], [], [], ['HTTP_AUTHORIZATION' => "Bearer {$this->token}", 'HTTP_ACCEPT' => 'application/json'])->assertUnauthorized();
    $other = $this->switchTo($this->technicianOf('Lowmoor Planter Services'))->postJson('/api/stands', ['name' => 'Theirs', 'kind' => 'monitor'])->json('token');
    ($this->device)("monitor/runs/{$run}", $line, $other)->assertNotFound();
    ($this->device)('monitor/runs/nonsense', $line)->assertNotFound();
    ($this->device)("monitor/runs/{$run}", $line)->assertOk();
    // A second monitor would tell another clock.
    $second = $this->switchTo($this->technician)->postJson('/api/stands', ['name' => 'Second', 'kind' => 'monitor'])->json('token');
    ($this->device)("monitor/runs/{$run}", $line, $second)->assertConflict();
    expect(($this->device)('monitor/hello', '', $second)->json('run'))->toBeNull();
    $this->switchTo($this->technician)->postJson('/api/stands', ['name' => 'X', 'kind' => 'fire'])->assertUnprocessable();
});

it('refuses what cannot be watched, and is started once', function (array $with, string $field, string $message): void {
    ($this->start)($with)->assertUnprocessable()->assertJsonPath("errors.{$field}.0", fn (string $says): bool => str_contains($says, $message));
    expect(WatchRun::query()->count())->toBe(0);
    $first = ['id' => (string) Str::uuid7()];
    ($this->start)($first)->assertOk();
    ($this->start)($first)->assertOk();
    ($this->start)()->assertUnprocessable()->assertJsonPath('errors.field.0', 'Row watch is already running on this planter. End that first, then start again.');
})->with([
    'acres' => [['acres' => 10], 'acres', '50 to 100,000'],
    'no whole acres' => [['acres' => 1600.5], 'acres', 'whole numbers'],
    'fault' => [['practice' => true, 'fault' => 'fire'], 'fault', 'faults'],
    'field' => [['field' => ['x']], 'field', 'field'],
]);

it('practises on a made-up field, whatever goes wrong', function (string $fault, string $kind, string $watched): void {
    $run = ($this->start)(['practice' => true, 'fault' => $fault])->assertJsonPath('run.practice', true)->json('run.id');
    for ($minute = 0; $minute < 4; $minute++) {
        $this->travel(60)->seconds();
        $this->postJson("{$this->path}/watch/{$run}/practice")->assertOk();
    }
    // The field is another each time: beside what was made to go wrong a drift can be false, and nothing else.
    $alarms = array_map(static fn (array $of): string => "{$of['kind']} {$of['watched']}", ($this->now)()['alarms']);
    expect($kind === '' ? array_filter($alarms, static fn (string $of): bool => ! str_starts_with($of, 'drift ')) : array_intersect($alarms, ["{$kind} {$watched}"]))->toHaveCount($kind === '' ? 0 : 1);
    expect(($this->now)()['refused_lines'] > 0)->toBe($fault === 'garbled');
})->with([['none', '', ''], ['plugged', 'stopped', 'population'], ['slips', 'drift', 'population'], ['column', 'low', 'flow'], ['silent', 'silent', 'population'], ['jumps', 'jumps', 'population'], ['cut', '', ''], ['garbled', '', '']]);

it('tells live what there is now, to as many as the server has hands for', function (): void {
    Sleep::fake();
    ($this->start)()->assertOk();
    $stream = fn (): TestResponse => $this->actingAs($this->technician)->get("{$this->path}/watch/now/stream", ['Accept' => 'text/event-stream']);
    // Two are being watched; a third is told that it has to ask.
    [$first, $second] = [$stream()->assertOk(), $stream()->assertOk()];
    expect($first->headers->get('Content-Type'))->toStartWith('text/event-stream');
    $stream()->assertTooManyRequests()->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'refreshes every second'));
    $told = $first->streamedContent();
    // Once what it is, and then only that somebody is there: nothing changes.
    expect(substr_count($told, 'data: '))->toBe(1)->and(substr_count($told, ":\n\n"))->toBe(49)->and($told)->toContain('"state":"waiting"');
    Sleep::assertSleptTimes(50);
    // Its hand is free again; and where the run is over, that is all there is to say.
    $this->postJson("{$this->path}/watch/".WatchRun::query()->value('id').'/end')->assertOk();
    expect($stream()->assertOk()->streamedContent())->toContain('"state":"ended"')->and(substr_count($second->streamedContent(), 'data: '))->toBe(1);
    Sleep::assertSleptTimes(50);
});

it('shuts rows one by one, whoever says so, in the order in which it happened', function (): void {
    $run = ($this->start)()->json('run.id');
    $at = static fn (int $second): array => ['happened_at' => sprintf('2026-04-20T10:00:%02d.000Z', $second)];
    ($this->say)($run, ['kind' => 'shut', 'row' => 2] + $at(10))->assertCreated();
    ($this->say)($run, ['kind' => 'shut', 'row' => 5] + $at(12), ['kind' => 'shut', 'row' => 6] + $at(12))->assertCreated();
    expect(($this->now)()['shut'])->toBe([2, 5, 6]);
    ($this->say)($run, ['kind' => 'opened', 'row' => 5] + $at(30))->assertCreated();
    // Sent late, from before row 5 was opened: it changes nothing of it.
    ($this->say)($run, ['kind' => 'shut', 'row' => 5] + $at(20))->assertCreated();
    expect(($this->now)()['shut'])->toBe([2, 6]);
    // All or nothing.
    ($this->say)($run, ['kind' => 'shut', 'row' => 1] + $at(40), ['kind' => 'shut', 'row' => 99] + $at(40))->assertUnprocessable();
    expect(($this->now)()['shut'])->toBe([2, 6]);
});

it('takes what was said while it was watched after the run has ended, and nothing of later', function (): void {
    $run = ($this->start)()->json('run.id');
    $this->travelTo('2026-04-20 11:00:00');
    $this->postJson("{$this->path}/watch/{$run}/end")->assertOk();
    $this->travelTo('2026-04-20 12:00:00');
    ($this->say)($run, ['kind' => 'shut', 'row' => 3, 'happened_at' => '2026-04-20T10:59:00Z'])->assertCreated();
    ($this->say)($run, ['kind' => 'shut', 'row' => 4, 'happened_at' => '2026-04-20T11:01:00Z'])->assertUnprocessable()->assertJsonPath('errors', ['entries.0.row' => ['The watch had ended by then. Start it again to shut a row off.']]);
    expect(($this->now)()['shut'])->toBe([3]);
});

it('takes no word on an alarm of another run', function (): void {
    $run = ($this->start)()->json('run.id');
    $this->postJson("{$this->path}/watch/{$run}/end")->assertOk();
    $other = ($this->start)()->json('run.id');
    $alarm = WatchRun::query()->findOrFail($run)->alarms()->create(['at' => now(), 'kind' => 'stopped', 'watched' => 'population', 'rows' => [3], 'direction' => -1, 'expected' => 34_000, 'found' => 0, 'seconds' => 5, 'pass' => 1, 'mph' => 5]);
    ($this->say)($other, ['kind' => 'seen', 'alarm' => $alarm->id])->assertUnprocessable()->assertJsonPath('errors', ['entries.0.alarm' => ['This alarm is not one of this run.']]);
    ($this->say)($run, ['kind' => 'seen', 'alarm' => $alarm->id])->assertCreated();
});
