<?php

declare(strict_types=1);

use App\Models\Parts\PartType;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->planter = $this->planter();
    $this->type = fn (array $fields = []): PartType => PartType::query()->create($fields + [
        'workshop_id' => $this->technician->workshop_id, 'name' => 'Blade '.Str::random(4), 'slots' => ['opener_blade'], 'per_row' => 2,
    ]);
});

it('changes the blades of three rows in one go; board, ribbon and forecast follow, and the old readings stay', function (): void {
    $walk = $this->openWalk($this->planter);
    $readings = array_map(fn (int $row): array => $this->reading($row, '14 3/8', ['taken_at' => now()->subHour()->toIso8601ZuluString()]), [3, 4, 8]);
    $this->send($walk, ['taken_at' => now()->subHour()->toIso8601ZuluString()] + $this->contact(3, '2'), ...$readings)->assertOk();
    $events = array_map(fn (int $row): array => $this->fitting($row, now()->toDateString(), ['happened_at' => now()->toIso8601ZuluString(), 'cost' => 38.5]), [3, 4, 8]);
    $version = $this->getJson("/api/planters/{$this->planter->id}/guide")->json('version');
    $this->record($this->planter, ...$events)->assertCreated()->assertJsonCount(3, 'receipts');
    $this->record($this->planter, ...$events)->assertOk()->assertJsonPath('receipts.2.outcome', 'known');
    expect($this->ledgerOf($this->planter)['fitted'])->toHaveCount(3)->and($this->ledgerOf($this->planter)['fitted'][0]['size_mm'])->toBe(381);

    $board = $this->getJson("/api/planters/{$this->planter->id}/board")->json();
    $now = $this->cellAt($board['cells'], 3)['now'];
    expect($now)->toMatchArray(['result' => 'fitted', 'value' => 381, 'verdict' => 'sound'])
        ->and($now['reasons'][0])->toMatchArray(['code' => 'new_since', 'on' => now()->toDateString()])
        // The contact of the old blades says nothing of the new ones.
        ->and($this->cellAt($board['cells'], 3, 'blade_contact_length', 'centre')['now'])->toMatchArray(['result' => 'measure_again', 'verdict' => 'unchecked'])
        ->and($this->cellAt($board['cells'], 4, 'blade_contact_length', 'centre')['now'])->toBeNull()
        ->and($board['ribbon'][2])->toMatchArray(['verdict' => 'sound', 'checked' => 1])
        ->and($this->forecastOf($this->planter, 3))->toMatchArray(['size_mm' => 381, 'slot' => 'opener_blade', 'thin' => true])
        ->and($this->getJson("/api/planters/{$this->planter->id}/guide")->json('version'))->not->toBe($version);
    $row = $this->getJson("/api/planters/{$this->planter->id}/rows/3")->json();
    expect(array_column($row['readings'], 'value'))->toContain(365.125)
        ->and($row['fittings'])->toHaveCount(1);

    // Measured again, the reading holds; next season looks back at the new blade.
    $this->send($walk, $this->reading(3, '14 15/16'), $this->contact(3, '1 7/8'))->assertOk();
    expect($this->cellAt($this->getJson("/api/planters/{$this->planter->id}/board")->json('cells'), 3)['now'])->toMatchArray(['value' => 379.4125])->not->toHaveKey('result');
    $this->postJson("/api/walks/{$walk->id}/finish", ['with_unchecked' => true])->assertOk();
    $this->planter->update(['planting_start' => now()->addYear()->addDays(23)->toDateString()]);
    $cells = $this->getJson("/api/planters/{$this->planter->id}/board")->json('cells');
    expect($this->cellAt($cells, 3)['last']['value'])->toBe(379.4125)
        ->and($this->cellAt($cells, 4)['last']['value'])->toBe(381)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('leaves what was changed on other rows alone when a check that compares rows is read', function (): void {
    $walk = $this->openWalk($this->planter, null);
    DB::table('walks')->where('id', $walk->id)->update(['started_at' => now()->subHours(3)]);
    $ago = fn (int $minutes): array => ['taken_at' => now()->subMinutes($minutes)->toIso8601ZuluString()];
    $this->send($walk, $this->reading(1, '14 3/8', $ago(90)), $ago(90) + $this->contact(1, '1 3/4'), $ago(90) + $this->contact(2, '1 3/4'), $this->reading(2, '14 3/8', $ago(90)))->assertOk();
    $at = ['happened_at' => now()->subMinutes(60)->toIso8601ZuluString()];
    $this->record($this->planter, $this->fitting(1, '', $at), $this->fitting(2, '', $at))->assertCreated();
    // Row 1 is measured again, row 2 waits.
    $this->send($walk, $this->reading(1, '14 15/16', $ago(30)), $ago(30) + $this->contact(1, '2'))->assertOk();
    $this->send($walk, $this->reading(5, '5', ['check' => 'depth_stop_notch', 'side' => 'centre']))->assertOk();

    $cells = $this->getJson("/api/planters/{$this->planter->id}/board")->json('cells');
    $now = fn (int $row, string $check, string $side): array => $this->cellAt($cells, $row, $check, $side)['now'];
    // Recorded, which a board does not say.
    expect($now(1, 'opener_blade_diameter', 'left'))->toMatchArray(['value' => 379.4125])->not->toHaveKey('result')
        ->and($now(1, 'blade_contact_length', 'centre'))->toMatchArray(['value' => 50.8])->not->toHaveKey('result')
        ->and($now(2, 'opener_blade_diameter', 'left')['result'])->toBe('fitted')
        ->and($now(2, 'blade_contact_length', 'centre')['result'])->toBe('measure_again')
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('takes a part\'s use and size along when it moves, and puts the one that was there on the shelf', function (): void {
    $this->record($this->planter, $a = $this->fitting(1, '2024-03-01'), $b = $this->fitting(2, '2024-03-01'))->assertCreated();
    // 80 acres of 8 rows: 10 acres or 33 miles of furrow a row; row 2 ran half of it.
    $this->logAcres($this->planter, '2024-04-20', 80, ['shut_off' => [['rows' => [2], 'share' => 0.5]]])->assertCreated();
    $walk = $this->openWalk($this->planter);
    DB::table('walks')->where('id', $walk->id)->update(['started_at' => '2024-11-01']);
    $this->send($walk, $this->reading(1, '14 3/4', ['taken_at' => '2024-11-01T09:00:00Z']))->assertOk();
    $move = $this->fitting(2, '2025-03-01', ['part_id' => $a['id'], 'reason' => 'with_the_set']);
    $this->record($this->planter, $move)->assertCreated();
    $ledger = $this->ledgerOf($this->planter);
    $this->logAcres($this->planter, '2025-04-20', 80)->assertCreated();

    $fitted = $this->getJson("/api/planters/{$this->planter->id}/ledger")->json('fitted');
    expect($fitted)->toHaveCount(1)
        ->and($fitted[0])->toMatchArray(['row' => 2, 'part_id' => $a['id'], 'used' => true, 'size_mm' => 374.65])
        // 33 miles on either row.
        ->and($fitted[0]['run_m'] / 1609.344)->toEqualWithDelta(33, 0.01)->and($fitted[0]['part_ran_m'] / 1609.344)->toEqualWithDelta(66, 0.01)
        ->and($ledger['shelf'])->toHaveCount(1)
        ->and($ledger['shelf'][0])->toMatchArray(['part_id' => $b['id'], 'removal_reason' => 'with_the_set'])
        ->and($ledger['shelf'][0]['run_m'] / 1609.344)->toEqualWithDelta(16.5, 0.01);
    $forecast = $this->forecastOf($this->planter, 2);
    expect($forecast['use_m'] / 1609.344)->toEqualWithDelta(66, 0.01)->and($forecast['readings'])->toBe(1);
    $chart = $this->getJson("/api/planters/{$this->planter->id}/wear-chart?row=2&check=opener_blade_diameter&side=left")->assertOk()->json();
    expect($chart['points'])->toHaveCount(1)->and($chart['points'][0])->toMatchArray(['size_mm' => 374.65, 'current' => true])
        ->and($chart['changes'])->toHaveCount(2);

    // Back onto its own row: less use than it has is not believed.
    $this->record($this->planter, $this->fitting(1, '2025-06-01', ['part_id' => $a['id'], 'ran_before' => '10 mi']))
        ->assertUnprocessable()->assertJsonValidationErrors(['events.0.ran_before' => '66 furrow miles']);
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('corrects and takes back what was recorded, without losing it', function (): void {
    $this->record($this->planter, $wrong = $this->fitting(1, '2024-03-01'), $next = $this->fitting(1, '2025-03-01'))->assertCreated();
    $right = $this->fitting(1, '2024-04-01', ['supersedes' => $wrong['id'], 'size' => '14 7/8']);
    $this->record($this->planter, $right)->assertCreated();
    $fittings = $this->getJson("/api/planters/{$this->planter->id}/rows/1")->json('fittings');
    expect(array_column($fittings, 'id'))->toBe([$next['id'], $right['id']])
        ->and($fittings[1])->toMatchArray(['part_id' => $wrong['id'], 'size_mm' => 377.825, 'fitted_at' => '2024-04-01T10:00:00.000Z']);

    // What is not said anew stays: what the part had run before, and why the one before it came out.
    $used = $this->fitting(2, '2025-03-01', ['used' => true, 'ran_before' => '120 mi', 'reason' => 'failed']);
    $this->record($this->planter, $this->fitting(2, '2024-03-01'), $used)->assertCreated();
    $this->record($this->planter, array_diff_key($this->fitting(2, '2025-03-02', ['supersedes' => $used['id'], 'used' => true]), ['reason' => 1]))->assertCreated();
    $ofRow2 = $this->getJson("/api/planters/{$this->planter->id}/rows/2")->json('fittings');
    expect($ofRow2[0]['ran_before_m'] / 1609.344)->toEqualWithDelta(120, 0.01)
        ->and($ofRow2[1])->toMatchArray(['removal_reason' => 'failed', 'removed_at' => '2025-03-02T10:00:00.000Z']);

    $this->record($this->planter, ['id' => (string) Str::uuid7(), 'kind' => 'withdrawn', 'happened_at' => now()->toIso8601String(), 'supersedes' => $next['id']])->assertCreated();
    expect(array_column($this->ledgerOf($this->planter)['fitted'], 'id'))->toContain($right['id'])->not->toContain($next['id']);
    $this->record($this->planter, ['id' => (string) Str::uuid7()] + $right)
        ->assertUnprocessable()->assertJsonValidationErrors(['events.0.supersedes' => 'already corrected or undone']);
    expect(DB::table('ledger_events')->count())->toBe(7)->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('refuses what cannot be, in plain words, and writes none of it', function (Closure $events, string $field, string $message): void {
    $this->record($this->planter, $first = $this->fitting(1, '2024-03-01'))->assertCreated();
    $answer = $this->record($this->planter, $this->fitting(5, '2024-05-01'), ...$events->call($this, $first))->assertUnprocessable();
    expect($answer->json("errors.{$field}.0") ?? $answer->json('errors')[$field][0] ?? json_encode($answer->json()))->toContain($message)
        ->and(DB::table('ledger_events')->count())->toBe(1);
})->with([
    'overlap' => [fn ($first) => [$this->fitting(1, '2024-03-01')], 'events.1.happened_at', 'another part was in the slot from 2024-03-01'],
    'overlap in the middle of a row' => [fn ($first) => [$this->fitting(2, '2024-03-01', ['slot' => 'seed_tube', 'side' => 'centre', 'part_type_id' => null]), $this->fitting(2, '2024-03-01', ['slot' => 'seed_tube', 'side' => 'centre', 'part_type_id' => null])], 'events.2.happened_at', 'Row 2, seed tube: another part'],
    'out before in' => [fn ($first) => [['id' => (string) Str::uuid7(), 'kind' => 'removed', 'happened_at' => '2024-02-01T12:00:00Z', 'fitting_id' => $first['id'], 'reason' => 'worn']], 'events.1.happened_at', 'cannot be removed before it was fitted on 2024-03-01'],
    'in the future' => [fn ($first) => [$this->fitting(2, now()->addDays(3)->toDateString())], 'events.1.happened_at', 'not in the future'],
    'no such row' => [fn ($first) => [$this->fitting(9, '2024-05-01')], 'events.1.row', 'There is no row 9: this planter has 8'],
    'not on this planter' => [fn ($first) => [$this->fitting(2, '2024-05-01', ['slot' => 'coulter_blade', 'side' => 'centre'])], 'events.1.slot', 'have no coulter blade'],
    'wrong side' => [fn ($first) => [$this->fitting(2, '2024-05-01', ['side' => 'centre'])], 'events.1.side', 'not on that side'],
    'no such type' => [fn ($first) => [$this->fitting(2, '2024-05-01', ['part_type_id' => 999999])], 'events.1.part_type_id', 'no such part type'],
    'part for another slot' => [fn ($first) => [$this->fitting(2, '2024-05-01', ['part_type_id' => ($this->type)(['name' => 'Tire', 'slots' => ['gauge_tyre']])->id])], 'events.1.part_type_id', 'Tire is not for the opener blade'],
    'a size of what has none' => [fn ($first) => [$this->fitting(2, '2024-05-01', ['slot' => 'seed_tube', 'side' => 'centre', 'size' => '2'])], 'events.1.size', 'has no size that is measured'],
    'not a length' => [fn ($first) => [$this->fitting(2, '2024-05-01', ['size' => 'big'])], 'events.1.size', 'big'],
    'unknown piece' => [fn ($first) => [$this->fitting(2, '2024-05-01', ['part_id' => (string) Str::uuid7()])], 'events.1.part_id', 'never fitted on this planter'],
    'no shims at all' => [fn ($first) => [['id' => (string) Str::uuid7(), 'kind' => 'shims_moved', 'row' => 1, 'happened_at' => '2024-05-01T12:00:00Z', 'pairs' => 0]], 'events.1.pairs', '1 to 10'],
]);

it('does not fit heavy blades against a plain guard', function (): void {
    $heavy = ($this->type)(['name' => 'Heavy blade', 'heavy' => true]);
    $guard = ($this->type)(['name' => 'Guard', 'slots' => ['seed_tube_guard'], 'clearance' => true]);
    $this->record($this->planter, $blade = $this->fitting(2, '2024-05-01', ['part_type_id' => $heavy->id]))
        ->assertUnprocessable()->assertJsonValidationErrors(['events' => 'Row 2: ']);
    $this->record($this->planter, $blade, $this->fitting(2, '2024-05-01', ['slot' => 'seed_tube_guard', 'side' => 'centre', 'part_type_id' => $guard->id]))->assertCreated();
    $this->record($this->planter, $this->fitting(2, '2024-06-01', ['slot' => 'seed_tube_guard', 'side' => 'centre', 'part_type_id' => ($this->type)(['slots' => ['seed_tube_guard']])->id]))
        ->assertUnprocessable();
});

it('takes an id with other content for what it is', function (): void {
    $this->record($this->planter, $event = $this->fitting(1, '2024-03-01'))->assertCreated();
    $this->record($this->planter, ['row' => 2] + $event)->assertConflict();
});

it('plays three seasons in any order, with duplicates, to the same state as the rebuild', function (): void {
    mt_srand(11);
    $type = ($this->type)(['life_m' => 800_000]);
    $planter = $this->planter(['row_count' => 4, 'planting_start' => '2025-05-10', 'planned_acres' => 200, 'planting_days' => 10]);
    $walks = [];
    $sends = [];
    foreach ([2023, 2024, 2025] as $season) {
        $planter->update(['planting_start' => "{$season}-05-10"]);
        $walk = $this->openWalk($planter, ['opener_blade_diameter', 'blade_contact_length', 'inner_shims']);
        DB::table('walks')->where('id', $walk->id)->update(['started_at' => "{$season}-03-01 08:00:00+00", 'finished_at' => $season === 2025 ? null : "{$season}-03-02 08:00:00+00", 'finished_by' => $season === 2025 ? null : $this->technician->id]);
        $walks[$season] = $walk->refresh();
        foreach (range(1, 4) as $row) {
            foreach (['left', 'right'] as $side) {
                $sends[] = ['reading', $season, $this->reading($row, (string) (14.9 - 0.12 * ($season - 2023) - 0.01 * $row), ['side' => $side, 'confirmed' => true, 'taken_at' => "{$season}-03-01T09:00:00Z"])];
                $sends[] = ['event', null, $this->fitting($row, '2022-02-0'.$row, ['side' => $side, 'part_type_id' => $type->id])];
            }
            $sends[] = ['reading', $season, ['confirmed' => true, 'taken_at' => "{$season}-03-01T09:10:00Z"] + $this->contact($row, (string) (2.2 - 0.2 * ($season - 2023)))];
        }
        $sends[] = ['acres', null, ['id' => (string) Str::uuid7(), 'day' => "{$season}-05-12", 'field' => 'Long Field', 'acres' => 100 + $season % 5, 'soil' => 'sand', 'shut_off' => [['rows' => [2], 'share' => 0.4]]]];
        $sends[] = ['acres', null, ['id' => (string) Str::uuid7(), 'day' => "{$season}-05-15", 'field' => 'Far Down', 'acres' => 60]];
    }
    // The blades of one row are fitted only once each; the rest of what was drawn for it is dropped.
    $seen = [];
    $sends = array_values(array_filter($sends, function (array $send) use (&$seen): bool {
        $key = $send[0] === 'event' ? "{$send[2]['row']} {$send[2]['side']}" : null;
        $isNew = $key === null || ! isset($seen[$key]);
        $seen[$key ?? ''] = true;

        return $isNew;
    }));
    $change = $this->fitting(3, '2024-03-20', ['part_type_id' => $type->id]);
    $firstOf4 = collect($sends)->first(fn (array $send): bool => $send[0] === 'event' && $send[2]['row'] === 4 && $send[2]['side'] === 'left')[2];
    array_push(
        $sends, ['event', null, $change], ['event', null, $this->fitting(4, '2024-04-01', ['part_id' => null])],
        ['event', null, ['id' => (string) Str::uuid7(), 'kind' => 'shims_moved', 'row' => 2, 'pairs' => -1, 'happened_at' => '2025-03-01T12:00:00Z', 'contact_before' => '1.8 in']],
        ['event', null, ['id' => (string) Str::uuid7(), 'kind' => 'removed', 'fitting_id' => $change['id'], 'reason' => 'failed', 'happened_at' => '2025-03-05T12:00:00Z']],
        ['event', null, $this->fitting(1, '2025-03-03', ['part_id' => $firstOf4['id']])],
        ['reading', 2025, ['confirmed' => true, 'taken_at' => '2025-03-01T13:00:00Z'] + $this->contact(2, '2 1/8')],
    );

    $tables = ['fittings', 'cells', 'outlooks', 'renewals', 'walk_rows', 'forecasts'];
    $state = fn (): string => json_encode(array_map(fn (string $table): array => DB::table($table)->orderByRaw($table === 'fittings' ? 'id' : '1, 2, 3, 4')->get()->map(fn ($line) => collect($line)->except('outlook_hash'))->all(), $tables));
    $play = function (array $sends) use ($planter, $walks): void {
        DB::table('walks')->update(['finished_at' => now(), 'finished_by' => $this->technician->id]);
        $waiting = $sends;
        for ($round = 0; $waiting !== [] && $round < 10; $round++) {
            $again = [];
            foreach ($waiting as [$kind, $season, $item]) {
                if ($kind === 'reading') {
                    DB::table('walks')->where('id', $walks[$season]->id)->update(['finished_at' => null, 'finished_by' => null]);
                }
                $answer = match ($kind) {
                    'reading' => $this->send($walks[$season], $item),
                    'acres' => $this->actingAs($this->technician)->postJson("/api/planters/{$planter->id}/acres", $item),
                    default => $this->record($planter, $item),
                };
                if ($kind === 'reading') {
                    DB::table('walks')->where('id', $walks[$season]->id)->update(['finished_at' => now(), 'finished_by' => $this->technician->id]);
                }
                // What hangs on something that has not come yet waits on the device and is sent again.
                if ($answer->getStatusCode() === 422) {
                    $again[] = [$kind, $season, $item];
                }
            }
            $waiting = $again;
        }
        expect($waiting)->toBe([]);
    };

    $play($sends);
    $expected = $state();
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
    foreach ([...$tables, 'readings', 'acres_log'] as $table) {
        DB::table($table)->delete();
    }
    DB::table('ledger_events')->whereNotNull('fitting_id')->delete();
    DB::table('ledger_events')->delete();

    // As when the walks were started.
    $this->artisan('ustrel:rebuild');
    $shuffled = [...$sends, ...array_map(fn (int $at): array => $sends[$at], array_rand($sends, 12))];
    shuffle($shuffled);
    $play($shuffled);
    expect(json_decode($state(), true))->toEqual(json_decode($expected, true))
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});
