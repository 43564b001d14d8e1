<?php

declare(strict_types=1);

use App\Models\LearnedSum;
use App\Models\Lesson;
use App\Models\Parts\PartType;
use App\Models\Parts\StockMove;
use App\Models\User;
use App\Record\Refused;
use App\Work\KeepPlan;
use App\Work\WorkPlan;
use Illuminate\Support\Str;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader;
use Ustrel\Core\Parts\Stock\StockMoveKind;

beforeEach(function (): void {
    // A Monday; planting starts on the Friday of the week after.
    $this->travelTo('2026-04-06 07:00:00');
    $this->planted = $this->planter(['planned_acres' => 400, 'planting_start' => '2026-04-17']);
    $this->walk = $this->openWalk($this->planted, null);
    $this->lubricated($this->planted);
    $week = array_fill(1, 5, 8.0) + [6 => 0.0, 7 => 0.0];
    $this->technician->workshop->update(['crew' => [['name' => 'Wren', 'hours' => $week], ['name' => 'Idris', 'hours' => $week]], 'stop_cost' => 200, 'stop_hours' => 1, 'shop_rate' => 60]);
    $part = fn (string $slot, ?int $lead): int => PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => $slot, 'slots' => [$slot], 'price' => 40, 'per_row' => 1, 'lead_days' => $lead, 'heavy' => false, 'clearance' => false])->id;
    [$this->tube, $this->sensor] = [$part('seed_tube', 4), $part('seed_sensor', null)];
    $this->onShelf = fn (int $type, int $count): StockMove => StockMove::query()->create(['id' => (string) Str::uuid7(), 'workshop_id' => $this->technician->workshop_id, 'part_type_id' => $type, 'kind' => StockMoveKind::Counted, 'quantity' => $count, 'happened_at' => now(), 'recorded_at' => now(), 'user_id' => $this->technician->id]);
    $this->change = function (int $row, string $check, array $chips): void {
        $this->send($this->walk, $this->state($row, $check, 'change', ['chips' => $chips]))->assertOk();
        $this->decide($this->walk, ['id' => (string) Str::uuid7(), 'row' => $row, 'check' => $check, 'side' => 'centre', 'action' => 'change', 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertJsonPath('receipts.0.message', null);
    };
    $this->plan = fn (string $query = ''): array => $this->actingAs($this->technician)->getJson("/api/planters/{$this->planted->id}/work{$query}")->assertOk()->json();
});

it('plans what was decided: the planter is made safe, what is here is done, and what has to be ordered waits for the post', function (): void {
    ($this->onShelf)($this->tube, 1);
    ($this->change)(3, 'seed_tube', ['curled_lip']);
    ($this->change)(5, 'seed_tube', ['curled_lip']);
    $plan = ($this->plan)();
    $at = array_map(static fn (array $piece): array => [$piece['row'], $piece['starts'], $piece['ends']], $plan['pieces']);
    // 10 minutes to make it safe, 3 for a tube; the other comes on Friday, at noon.
    expect($at)->toBe([[0, '2026-04-06T08:00', '2026-04-06T08:10'], [3, '2026-04-06T08:10', '2026-04-06T08:13'], [5, '2026-04-10T12:00', '2026-04-10T12:03']])
        ->and($plan['ends'])->toBe('2026-04-10T12:03')->and($plan['late'])->toBe(-(6 * 1440 + 717))->and($plan['best'])->toBeTrue()
        ->and(array_column($plan['chain'], 'cause'))->toBe(['arrival'])
        ->and($plan['pieces'][2]['parts'][0])->toMatchArray(['name' => 'seed_tube', 'here' => false, 'ordered' => false, 'on' => '2026-04-10'])
        ->and($plan['pieces'][1]['parts'][0]['here'])->toBeTrue();
    // A week late it comes on the day of planting.
    expect(($this->plan)("?late_part={$this->tube}&late_by=7"))->toMatchArray(['ends' => '2026-04-17T12:03', 'late' => 723]);
    expect(($this->plan)('?sooner=9')['late'])->toBe(3 * 1440 - 717)->and(($this->plan)('?more_people=1')['people'])->toBe(['Wren', 'Idris', '']);
});

it('says what it cannot date, and what nobody has hours for', function (): void {
    ($this->change)(4, 'seed_sensor', ['dead']);
    $plan = ($this->plan)();
    expect(array_column($plan['undated'], 'row'))->toBe([4])->and($plan['undated'][0]['parts'][0])->toMatchArray(['name' => 'seed_sensor', 'here' => false, 'on' => null]);
    $this->technician->workshop->update(['crew' => []]);
    expect(($this->plan)())->toMatchArray(['ends' => null, 'people' => [], 'pieces' => []])->and(($this->plan)()['undated'])->toHaveCount(2);
});

it('goes out as a table, into a calendar under ids that stay, and on paper', function (): void {
    ($this->onShelf)($this->tube, 1);
    PartType::query()->whereKey($this->tube)->update(['name' => '=Tube', 'own_number' => 'T-140']);
    ($this->change)(3, 'seed_tube', ['curled_lip']);
    $get = fn (string $file): string => (string) $this->actingAs($this->technician)->get("/api/planters/{$this->planted->id}/work/{$file}")->assertOk()->getContent();
    $name = $this->planted->name;
    expect($get('plan.csv'))->toBe("day,begins,ends,person,planter,row,work,minutes,parts,begin_by\n"
        ."2026-04-06,08:00,\"2026-04-06 08:10\",Wren,\"{$name}\",0,\"Make the planter safe\",10,,\"2026-04-16 15:47\"\n"
        ."2026-04-06,08:10,\"2026-04-06 08:13\",Wren,\"{$name}\",3,\"Row 3: seed tube\",3,\"'=Tube T-140\",\"2026-04-16 15:57\"\n");
    $read = fn (): array => array_map(fn (VEvent $event): array => [(string) $event->UID, (string) $event->DTSTART, (int) (string) $event->SEQUENCE], iterator_to_array(Reader::read($get('plan.ics'))->VEVENT, false));
    $first = $read();
    expect($first)->toHaveCount(2)->and($first[1][1])->toBe('20260406T081000Z');
    $this->travel(2)->hours();
    $second = $read();
    expect(array_column($second, 0))->toBe(array_column($first, 0))->and($second[1][1])->toBe('20260406T091000Z')->and($second[0][2])->toBeGreaterThan($first[0][2]);
    expect($get('cards.pdf'))->toStartWith('%PDF-')->and(strlen($get('cards.pdf')))->toBeGreaterThan(5_000)->and($get('ready.pdf'))->toStartWith('%PDF-');
});

it('leaves out what is done, and plans all planters together', function (): void {
    ($this->onShelf)($this->tube, 9);
    ($this->change)(3, 'seed_tube', ['curled_lip']);
    $this->travel(1)->minutes();
    $this->send($this->walk, $this->state(3, 'seed_tube', 'sound'))->assertOk();
    expect(($this->plan)())->toMatchArray(['pieces' => [], 'undated' => [], 'ends' => null, 'late' => null]);
    $other = $this->planter(['name' => 'Hask Hill', 'planting_start' => '2026-04-10']);
    $walk = $this->openWalk($other, null);
    $this->lubricated($other);
    $this->send($walk, $this->state(2, 'seed_tube', 'change', ['chips' => ['curled_lip']]))->assertOk();
    $this->decide($walk, ['id' => (string) Str::uuid7(), 'row' => 2, 'check' => 'seed_tube', 'side' => 'centre', 'action' => 'change', 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertJsonPath('receipts.0.outcome', 'stored');
    expect(($this->plan)()['pieces'])->toBe([])->and(array_column(($this->plan)('?together=1')['pieces'], 'planter'))->toBe([$other->id, $other->id])
        ->and(($this->plan)('?together=1')['planting'])->toBe('2026-04-10');
});

it('chooses for a rain day what is here and removes most risk', function (): void {
    ($this->onShelf)($this->tube, 2);
    ($this->change)(3, 'seed_tube', ['curled_lip']);
    ($this->change)(4, 'seed_sensor', ['dead']);
    $rain = fn (int $minutes): array => $this->getJson("/api/planters/{$this->planted->id}/work/rain?minutes={$minutes}&people=2")->assertOk()->json();
    // The chance of a condition without a record is 1.5 in 5; a stop costs 200 and an hour of whoever waits.
    $day = $rain(60);
    expect(array_merge(...$day['people']))->toHaveCount(1)->and($day['people'][0][0]['row'] ?? $day['people'][1][0]['row'])->toBe(3)
        ->and($day['waiting'])->toBe(1)->and($day['best'])->toBeTrue()->and($day['worth'])->toBeGreaterThanOrEqual(0.3 * 200)
        ->and($day['safe'])->toBe(10)
        // Three minutes are not enough behind the ten that make it safe.
        ->and($this->getJson("/api/planters/{$this->planted->id}/work/rain?minutes=5&people=2")->assertUnprocessable()->json('message'))->toContain('15 to 720');
    $this->technician->workshop->update(['stop_cost' => null]);
    expect($rain(60))->toMatchArray(['no_stop_cost' => true, 'people' => []]);
});

it('books both people for what takes two, and tells who is alone', function (): void {
    $arms = PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'arms', 'slots' => ['arms'], 'price' => 200, 'per_row' => 1, 'lead_days' => 4, 'heavy' => false, 'clearance' => false]);
    ($this->onShelf)($arms->id, 2);
    ($this->onShelf)($this->tube, 2);
    ($this->change)(3, 'arm_body', ['bent']);
    ($this->change)(5, 'seed_tube', ['curled_lip']);
    $of = fn (array $plan, int $row): array => array_values(array_filter($plan['pieces'], static fn (array $piece): bool => $piece['row'] === $row))[0];
    $arm = $of(($this->plan)(), 3);
    expect($arm['people'])->toBe(2)->and([$arm['person'], ...$arm['with']])->toEqualCanonicalizing([0, 1])->and($of(($this->plan)(), 5)['with'])->toBe([]);
    // Nobody else is set to anything meanwhile, and kept it stays so.
    foreach (($this->plan)()['pieces'] as $piece) {
        expect($piece['row'] === 3 || $piece['ends'] <= $arm['starts'] || $piece['starts'] >= $arm['ends'])->toBeTrue();
    }
    $keep = fn (array $with): array => $this->actingAs($this->technician)->putJson("/api/planters/{$this->planted->id}/work/plan", $with)->assertOk()->json();
    expect($of($keep(['seen' => 0]), 3)['with'])->toBe($arm['with'])->and(($this->plan)()['broken'])->toBe([]);
    $set = $of($keep(['seen' => 1, 'set' => [['piece' => $arm['key'], 'person' => 'Idris', 'starts' => '2026-04-08T10:00']]]), 3);
    expect($set['starts'])->toBe('2026-04-08T10:00')->and($set['with'])->toHaveCount(1)->and(($this->plan)()['broken'])->toBe([]);
    expect((string) $this->get("/api/planters/{$this->planted->id}/work/plan.csv")->getContent())->toContain('"Idris, Wren"');
    $rain = fn (int $people): array => $this->getJson("/api/planters/{$this->planted->id}/work/rain?minutes=120&people={$people}")->assertOk()->json();
    expect($rain(2)['for_more'])->toBe(0)->and(array_map(static fn (array $jobs): bool => in_array(3, array_column($jobs, 'row'), true), $rain(2)['people']))->toBe([true, true])
        ->and($rain(1)['for_more'])->toBe(1);
    // Wren alone: it is Wren's, and says that it takes two.
    $this->technician->workshop->update(['crew' => [['name' => 'Wren', 'hours' => array_fill(1, 5, 8.0)]]]);
    expect($of(($this->plan)(), 3))->toMatchArray(['person' => 0, 'with' => [], 'people' => 2]);
});

it('counts lost depth on a rain day at what the shop says that it costs', function (): void {
    $blade = PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'blade', 'slots' => ['opener_blade'], 'price' => 40, 'per_row' => 2, 'lead_days' => 4, 'heavy' => false, 'clearance' => false]);
    ($this->onShelf)($blade->id, 4);
    $this->send($this->walk, $this->reading(2, '14 3/8'), $this->reading(2, '14 3/8', ['side' => 'right']))->assertOk();
    $worth = fn (): float => (float) $this->getJson("/api/planters/{$this->planted->id}/work/rain?minutes=180&people=2")->assertOk()->json('worth');
    $this->decide($this->walk, ['id' => (string) Str::uuid7(), 'row' => 2, 'check' => 'opener_blade_diameter', 'side' => 'left', 'action' => 'change', 'happened_at' => now()->toIso8601ZuluString('millisecond')])->assertJsonPath('receipts.0.message', null);
    $before = $worth();
    $this->patchJson('/api/workshop', ['depth_cost' => 4])->assertOk()->assertJsonPath('depth_cost', 4);
    // Five eighths of an inch are gone of each blade, and more is to go; half of it is depth: at least a quarter inch and a quarter of that more, on 50 acres a row at 4.
    expect($worth() - $before)->toBeGreaterThanOrEqual(1.25 * 50 * 4)->toBeLessThan(2.5 * 50 * 4);
});

it('says what to carry into the season, by the odds', function (): void {
    $season = $this->actingAs($this->technician)->getJson("/api/planters/{$this->planted->id}/work/season")->assertOk()->json();
    $tube = array_column($season['spares'], null, 'name')['seed_tube'];
    // Tubes break at random: typically 2 in 100 a season, as if of 200; none of these 8 in one season, that is 4 in 208 each, 0.154 of all.
    // A trip is 200, to hold one costs a fifth of 40: the chance that one fails is 0.143, times 200 is over 8; that two do 0.010, and is not.
    expect($tube['expected'])->toBe(0.15)->and($tube['carry'])->toBe(1)->and($tube['enough_fewer'])->toEqualWithDelta(exp(-8 * 4 / 208), 1e-3)
        ->and($season['stops'])->toBe([])->and($season['acres'])->toBe(400)->and($season['no_stop_cost'])->toBeFalse();
});

it('refuses what a plan cannot be asked for', function (string $query): void {
    $this->actingAs($this->technician)->getJson("/api/planters/{$this->planted->id}/work?{$query}")->assertUnprocessable()->assertJsonPath('message', fn (string $says): bool => str_contains($says, '0 to 8 people more'));
})->with(['more_people=9', 'more_people=-1', 'more_people[]=1', 'sooner=100', 'sooner=1.5', 'late_part=1', 'late_by=3', 'late_part=999999&late_by=3', 'together=yes']);

it('asks the database no more often for a long plan', function (): void {
    $count = function (): int {
        $queries = 0;
        Illuminate\Support\Facades\DB::listen(function () use (&$queries): void {
            $queries++;
        });
        ($this->plan)();

        return $queries;
    };
    ($this->change)(1, 'seed_tube', ['curled_lip']);
    $count();
    $few = $count();
    foreach ([2, 3, 4] as $row) {
        ($this->change)($row, 'seed_tube', ['curled_lip']);
    }
    expect($count())->toBeLessThanOrEqual(2 * $few);
});

it('keeps a plan as it is until something breaks it, and says what did', function (): void {
    ($this->onShelf)($this->tube, 9);
    foreach ([2, 3, 4] as $row) {
        ($this->change)($row, 'seed_tube', ['curled_lip']);
    }
    $keep = fn (array $with): Illuminate\Testing\TestResponse => $this->actingAs($this->technician)->putJson("/api/planters/{$this->planted->id}/work/plan", $with);
    $places = fn (array $plan): array => array_column(array_map(static fn (array $of): array => [$of['key'], "{$of['person']} {$of['starts']}"], $plan['pieces']), 1, 0);
    expect(($this->plan)()['kept'])->toBeNull();
    $keep(['seen' => 3])->assertUnprocessable()->assertJsonPath('errors.seen.0', 'No plan is saved here yet. Reload, then save this one.');
    $kept = $keep(['seen' => 0])->assertOk()->json();
    expect($kept['kept'])->toMatchArray(['revision' => 1, 'by' => $this->technician->name])->and($kept['broken'])->toBe([]);
    // Sent again, because the answer was lost, it is known; from somebody else it is a plan over another's.
    $again = $keep(['seen' => 0])->assertOk()->json();
    expect($again['kept'])->toBe($kept['kept'])->and($again['pieces'])->toBe($kept['pieces']);
    $other = User::factory()->for($this->technician->workshop)->create();
    expect(fn (): WorkPlan => app(KeepPlan::class)($other, $this->planted->refresh(), 0, false, [], []))->toThrow(Refused::class, 'saved another plan meanwhile');
    // Half an hour before the first hour it is not made anew, as a new one would be no better; at work it goes on.
    $this->travelTo('2026-04-06 08:05:00');
    expect($places(($this->plan)()))->toBe($places($kept))->and(($this->plan)()['broken'])->toBe([]);

    // That such jobs are learned to take longer breaks nothing.
    LearnedSum::query()->insert(LearnedSum::lines($this->planted->id, Lesson::JobMinutes, ['change:seed_tube' => [9.0, 9 * log(3), 9 * log(3) ** 2]]));
    expect($places(($this->plan)()))->toBe($places($kept))->and(($this->plan)()['broken'])->toBe([]);
    LearnedSum::query()->delete();

    // Set by hand: to the Wednesday. The rest stays where it was.
    [$key] = array_column(array_filter($kept['pieces'], static fn (array $piece): bool => $piece['row'] === 3), 'key');
    $set = $keep(['seen' => 1, 'set' => [['piece' => $key, 'person' => 'Idris', 'starts' => '2026-04-08T10:00']]])->assertOk()->json();
    $by = array_search('Idris', $set['people'], true);
    expect($places($set)[$key])->toBe("{$by} 2026-04-08T10:00")->and(array_diff_key($places($set), [$key => 1]))->toEqual(array_diff_key($places($kept), [$key => 1]))
        ->and(array_column(array_filter($set['pieces'], static fn (array $piece): bool => $piece['by_hand']), 'key'))->toBe([$key]);
    $keep(['seen' => 1])->assertUnprocessable()->assertJsonPath('errors.seen.0', "{$this->technician->name} saved another plan meanwhile. Look at it first, then save yours.");

    // What is decided since breaks it; what was set stays all the same.
    ($this->change)(5, 'seed_tube', ['curled_lip']);
    $broken = ($this->plan)();
    expect(array_column($broken['broken'], 'breach'))->toBe(['added'])->and($places($broken)[$key])->toBe("{$by} 2026-04-08T10:00");
    expect(($this->plan)()['kept']['revision'])->toBe(2);
    $again = $keep(['seen' => 2, 'remake' => true])->assertOk()->json();
    expect($again['broken'])->toBe([])->and($places($again)[$key])->toBe("{$by} 2026-04-08T10:00");
    // Idris is gone, and is back.
    [$both, $week] = [$this->technician->workshop->crew, array_fill(1, 5, 8.0)];
    $this->technician->workshop->update(['crew' => [['name' => 'Wren', 'hours' => $week]]]);
    expect(array_column(($this->plan)()['broken'], 'breach', 'key')[$key])->toBe('hours');
    $this->technician->workshop->update(['crew' => $both]);
    expect(($this->plan)()['broken'])->toBe([]);
    $this->planted->update(['planting_start' => '2026-04-15']);
    expect(array_unique(array_column(($this->plan)()['broken'], 'breach')))->toBe(['planting']);
    $this->planted->update(['planting_start' => '2026-04-17']);
    $free = $keep(['seen' => 3, 'let_go' => [$key]])->assertOk()->json();
    expect(array_filter($free['pieces'], static fn (array $piece): bool => $piece['by_hand']))->toBe([]);

    // What was not done by its time.
    $this->travelTo('2026-04-07 12:00:00');
    expect(array_unique(array_column(($this->plan)()['broken'], 'breach')))->toContain('overdue');
});

it('refuses what cannot be set by hand, and keeps nothing of it', function (array $set, string $field, string $message): void {
    ($this->onShelf)($this->tube, 9);
    ($this->change)(2, 'seed_tube', ['curled_lip']);
    ($this->change)(3, 'seed_tube', ['curled_lip']);
    $keys = array_column(array_filter(($this->plan)()['pieces'], static fn (array $piece): bool => $piece['row'] > 0), 'key');
    sort($keys);
    $set = array_map(static fn (array $one): array => ['piece' => is_int($one['piece']) ? $keys[$one['piece']] : $one['piece']] + $one, $set);
    $this->actingAs($this->technician)->putJson("/api/planters/{$this->planted->id}/work/plan", ['seen' => 0, 'set' => $set])->assertUnprocessable()->assertJsonPath("errors.{$field}.0", $message);
    expect(($this->plan)()['kept'])->toBeNull();
})->with([
    'gone' => [[['piece' => 'x', 'person' => 'Wren', 'starts' => '2026-04-07T08:00']], 'set', 'That job is no longer in the plan: it is done, or the decision changed.'],
    'a stranger' => [[['piece' => 0, 'person' => 'Ash', 'starts' => '2026-04-07T08:00']], 'set', '"Ash" has no hours in Shop figures. Choose someone who has.'],
    'no day' => [[['piece' => 0, 'person' => 'Wren', 'starts' => '2026-02-30T08:00']], 'set', 'Say when it begins: a day from today on and a time, such as 2026-12-01T08:00.'],
    'yesterday' => [[['piece' => 0, 'person' => 'Wren', 'starts' => '2026-04-05T08:00']], 'set', 'Say when it begins: a day from today on and a time, such as 2026-12-01T08:00.'],
    'at night' => [[['piece' => 0, 'person' => 'Wren', 'starts' => '2026-04-07T23:00']], 'set', 'Row 2: seed tube: outside that person’s hours. Choose another time.'],
    'two at once' => [[['piece' => 0, 'person' => 'Wren', 'starts' => '2026-04-07T08:00'], ['piece' => 1, 'person' => 'Wren', 'starts' => '2026-04-07T08:01']], 'set', 'Row 3: seed tube: that person already has another job set for then.'],
    'no list' => [[['piece' => 0, 'person' => 'Wren', 'starts' => '']], 'set', 'Say when it begins: a day from today on and a time, such as 2026-12-01T08:00.'],
]);

it('says what would bring a late plan in time: how many more people, or by how much a part has to come sooner', function (): void {
    // The post brings it on Friday the 10th at noon; planting begins on Wednesday the 8th: three days sooner are enough, for Tuesday.
    ($this->change)(5, 'seed_tube', ['curled_lip']);
    $this->planted->update(['planting_start' => '2026-04-08']);
    expect(($this->plan)()['late'])->toBeGreaterThan(0)->and(($this->plan)()['in_time'])->toBe([['people' => 0, 'part' => $this->tube, 'name' => 'seed_tube', 'days' => 3]])
        ->and(($this->plan)('?more_people=1')['in_time'])->toBe([]);
    // More hands: half an hour to make it safe and five rows of nine minutes are more than the hour that one person has on Monday, not than two have.
    ($this->onShelf)($this->tube, 9);
    foreach ([1, 2, 3, 4] as $row) {
        ($this->change)($row, 'seed_tube', ['curled_lip']);
    }
    $this->planted->update(['planting_start' => '2026-04-07']);
    LearnedSum::query()->insert(LearnedSum::lines($this->planted->id, Lesson::JobMinutes, ['change:seed_tube' => [400.0, 400 * log(3), 400 * log(3) ** 2]]));
    $this->technician->workshop->update(['crew' => [['name' => 'Wren', 'hours' => [1 => 1.0, 2 => 1.0]]]]);
    expect(($this->plan)()['in_time'])->toBe([['people' => 1, 'part' => null, 'name' => '', 'days' => 0]]);
});

it('keeps the plan of all planters together beside that of one', function (): void {
    ($this->onShelf)($this->tube, 9);
    ($this->change)(3, 'seed_tube', ['curled_lip']);
    $keep = fn (bool $together, int $seen): Illuminate\Testing\TestResponse => $this->actingAs($this->technician)->putJson("/api/planters/{$this->planted->id}/work/plan", ['seen' => $seen, 'together' => $together]);
    $keep(true, 0)->assertOk()->assertJsonPath('kept.revision', 1);
    $keep(true, 0)->assertOk()->assertJsonPath('kept.revision', 1);
    $keep(true, 2)->assertUnprocessable();
    $keep(true, 1)->assertOk();
    $keep(false, 0)->assertOk();
    expect(($this->plan)('?together=1')['kept']['revision'])->toBe(2)->and(($this->plan)()['kept']['revision'])->toBe(1);
});
