<?php

declare(strict_types=1);

use App\Models\Parts\PartType;
use App\Models\Planter;
use App\Models\Walk\Walk;
use App\Plan\PartPrices;
use App\Spec\CopySpecSheet;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Ustrel\Core\Measure\Day;

/** @return array<string, mixed> */
function eightRows(array $more = []): array
{
    return $more + [
        'farm' => 'Ardle', 'name' => 'Eight', 'row_count' => 8, 'spacing' => '30 in', 'equipment' => ['closing_wheels' => 'rubber', 'meter' => 'vacuum'],
        'other_rows' => [['rows' => [7, 8], 'equipment' => ['closing_wheels' => 'spiked_poly']], ['rows' => [3], 'equipment' => ['closing_wheels' => 'chain']]],
    ];
}

beforeEach(function (): void {
    $this->make = fn (array $more = []) => $this->actingAs($this->technician)->postJson('/api/planters', eightRows($more) + ['spec_sheet_id' => $this->typicalSheet()->id]);
    $this->gap = fn (Walk $walk, int $row, string $typed) => $this->send($walk, $this->reading($row, $typed, ['check' => 'closing_gap', 'side' => 'centre', 'confirmed' => true]))->assertOk()->json('receipts.0');
    $this->verdicts = fn (Planter $planter): array => collect($this->getJson("/api/planters/{$planter->id}/board")->assertOk()->json('cells'))->where('check', 'closing_gap')->pluck('now.verdict', 'row')->all();
});

it('walks, judges, prints and finishes each row by what it has', function (): void {
    $made = ($this->make)()->assertCreated()->json();
    // Stored with what differs, and with the stations that those rows have: a chain instead of wheels.
    expect($made['other_rows'][1]['rows'])->toBe([3])->and($made['other_rows'][1]['equipment'])->toBe(['closing_wheels' => 'chain'])
        ->and($made['other_rows'][1]['stations'])->toContain('closing_chain')->not->toContain('closing_wheels')->and($made['stations'])->toContain('closing_wheels')->not->toContain('closing_chain');
    $planter = Planter::query()->findOrFail($made['id']);
    $walk = $this->openWalk($planter, ['closing_gap', 'closing_chain']);
    $guide = $this->getJson("/api/planters/{$planter->id}/guide")->assertOk()->json();
    $asked = collect($guide['steps'])->whereIn('check', ['closing_gap', 'closing_chain'])->map(fn (array $step): string => "{$step['row']} {$step['check']}")->values()->all();
    expect($asked)->toBe(['1 closing_gap', '2 closing_gap', '3 closing_chain', '4 closing_gap', '5 closing_gap', '6 closing_gap', '7 closing_gap', '8 closing_gap'])
        ->and($walk->places())->toBe(8)
        ->and(collect($guide['row_checks'])->pluck('rows', 'key')->all())->toBe(['closing_centring' => [7, 8], 'closing_gap' => [7, 8]])
        ->and(collect($guide['checks'])->firstWhere('key', 'closing_gap')['rows'])->toBe([1, 2, 4, 5, 6]);

    $refused = ($this->gap)($walk, 3, '1 1/2 in');
    expect($refused['outcome'])->toBe('refused')->and($refused['message'])->toBe('Row 3 has no such check (Closing wheel gap). Other rows of this planter do.');
    foreach ([1 => '1 1/2', 2 => '1 1/4', 4 => '1 1/2', 5 => '1 1/2', 6 => '1 1/2', 7 => '1 1/4', 8 => '1 1/2'] as $row => $typed) {
        expect(($this->gap)($walk, $row, "{$typed} in")['outcome'])->toBe('stored');
    }
    expect(($this->verdicts)($planter))->toBe([1 => 'sound', 2 => 'change', 4 => 'sound', 5 => 'sound', 6 => 'sound', 7 => 'sound', 8 => 'change']);

    $this->postJson("/api/walks/{$walk->id}/finish")->assertUnprocessable()->assertJsonPath('errors.with_unchecked.0', 'Row 3 is not fully checked. Confirm to finish the walk anyway.');
    $this->send($walk, ['state' => 'sound', 'typed' => null] + $this->reading(3, '', ['check' => 'closing_chain', 'side' => 'centre']))->assertOk();
    $print = $this->printed("/api/planters/{$planter->id}/blank.pdf", inLines: true);
    // A line of their own for the spiked wheels, and a dash where a row has none.
    preg_match_all('/^.*Closing wheel gap.*$/m', $print, $lines);
    expect($lines[0])->toHaveCount(2)->and(substr_count($lines[0][0], '—'))->toBe(3)->and(substr_count($lines[0][1], '—'))->toBe(6);
    $this->postJson("/api/walks/{$walk->id}/finish")->assertOk();

    $slots = collect($this->getJson("/api/planters/{$planter->id}/ledger")->assertOk()->json('slots'));
    expect($slots->firstWhere('slot', 'closing_chain')['rows'])->toBe([3])->and($slots->firstWhere('slot', 'closing_wheel')['rows'])->toBe([1, 2, 4, 5, 6, 7, 8])->and($slots->firstWhere('slot', 'opener_blade')['rows'])->toBeNull();
    $wheel = $this->fitting(3, '2026-03-01', ['slot' => 'closing_wheel', 'side' => 'left']);
    $this->record($planter, $wheel)->assertUnprocessable()->assertJsonFragment(['Row 3 has no closing wheel. Other rows of this planter do.']);
    $this->record($planter, ['row' => 2] + $wheel)->assertCreated();

    $before = DB::table('cells')->orderBy('row_number')->get()->toArray();
    expect($this->artisan('ustrel:rebuild'))->toBe(0)->and(DB::table('cells')->orderBy('row_number')->get()->toArray())->toEqual($before);
});

it('holds rows against rows of their kind alone', function (): void {
    // Depth stops of the four rows from another planter bear at 3, those of the others at 6: each is like its own.
    $planter = Planter::query()->findOrFail(($this->make)(['other_rows' => [['rows' => [5, 6, 7, 8], 'equipment' => ['meter' => 'finger'], 'spec_sheet_id' => $this->typicalSheet('finger')->id]]])->assertCreated()->json('id'));
    $key = collect($this->getJson("/api/planters/{$planter->id}/guide")->json('checks'))->where('compares_rows', true)->where('whole_planter', false)->pluck('key')->all();
    expect($key)->toContain('depth_stop_notch');
    $walk = $this->openWalk($planter, ['depth_stop_notch']);
    foreach ([6, 6, 6, 6, 3, 3, 3, 3] as $at => $step) {
        $this->send($walk, $this->reading($at + 1, (string) $step, ['check' => 'depth_stop_notch', 'side' => 'centre', 'confirmed' => true]))->assertOk();
    }
    $cells = collect($this->getJson("/api/planters/{$planter->id}/board")->json('cells'))->where('check', 'depth_stop_notch');
    expect($cells->pluck('now.verdict')->unique()->all())->toBe(['sound']);
});

it('judges an open walk by the figures of the sheet that a row goes by', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet('finger'), $this->technician);
    $planter = Planter::query()->findOrFail(($this->make)(['other_rows' => [['rows' => [7, 8], 'spec_sheet_id' => $sheet->id]]])->assertCreated()->json('id'));
    // What is typical of finger rows is theirs, without a word.
    expect($planter->units()->at(7)->meter->value)->toBe('finger')->and($planter->units()->at(6)->meter->value)->toBe('vacuum');
    $walk = $this->openWalk($planter);
    $this->send($walk, $this->reading(1, '14 1/4 in', ['confirmed' => true]), $this->reading(7, '14 1/4 in', ['confirmed' => true]))->assertOk();
    $verdicts = fn (): array => collect($this->getJson("/api/planters/{$planter->id}/board")->json('cells'))->where('check', 'opener_blade_diameter')->where('side', 'left')->whereIn('row', [1, 7])->pluck('now.verdict', 'row')->all();
    expect($verdicts())->toBe([1 => 'change', 7 => 'change']);
    $written = $sheet->refresh()->sheet;
    $figures = array_map(fn (array $check): array => $check['figures'] ?? [], $written['checks']);
    $figures['opener_blade_diameter']['limit']['value'] = '14 in';
    $this->putJson("/api/spec-sheets/{$sheet->id}", ['name' => 'Added rows', 'notch' => $written['notch'], 'figures' => array_filter($figures)])->assertOk();
    expect($verdicts())->toBe([1 => 'change', 7 => 'sound']);
});

it('asks nothing of parked rows, and finishes without them', function (): void {
    $planter = Planter::query()->findOrFail(($this->make)(['other_rows' => [], 'parked_rows' => [2, 4, 6, 8]])->assertCreated()->assertJsonPath('parked_rows', [2, 4, 6, 8])->json('id'));
    $walk = $this->openWalk($planter, ['closing_gap']);
    expect($walk->row_places)->toBe([1, 0, 1, 0, 1, 0, 1, 0])->and(($this->gap)($walk, 2, '1 1/2 in'))->toMatchArray(['outcome' => 'refused', 'message' => 'Row 2 is parked: nothing is asked of it. Edit the planter if it is down again.']);
    foreach ([1, 3, 5, 7] as $row) {
        ($this->gap)($walk, $row, '1 1/2 in');
    }
    $yard = collect($this->getJson('/api/yard')->json())->firstWhere('id', $planter->id);
    expect($yard['share_walked'])->toEqual(1)->and(array_column($yard['ribbon'], 'parked', 'row'))->toBe([2 => true, 4 => true, 6 => true, 8 => true]);
    $this->postJson("/api/walks/{$walk->id}/finish")->assertOk();
});

it('refuses in words what rows cannot be', function (array $more, string $field, string $says): void {
    ($this->make)($more)->assertUnprocessable()->assertJsonValidationErrors([$field => $says]);
    expect(Planter::query()->count())->toBe(0);
})->with([
    'a row there is not' => [['other_rows' => [['rows' => [9], 'equipment' => ['coulter' => true]]]], 'other_rows.0.rows', 'such as 7, 8 or 9-12. This planter has rows 1 to 8.'],
    'no rows' => [['other_rows' => [['rows' => [], 'equipment' => ['coulter' => true]]]], 'other_rows.0.rows', 'Write which rows'],
    'a row as text' => [['other_rows' => [['rows' => ['7'], 'equipment' => ['coulter' => true]]]], 'other_rows.0.rows', 'Write which rows'],
    'a row twice in a group' => [['other_rows' => [['rows' => [7, 7], 'equipment' => ['coulter' => true]]]], 'other_rows.0.rows', 'Write which rows'],
    'a row in two groups' => [['other_rows' => [['rows' => [6, 7], 'equipment' => ['coulter' => true]], ['rows' => [7], 'equipment' => ['firmer' => false]]]], 'other_rows.1.rows', 'Row 7 stands in two groups. Leave it in one.'],
    'every row' => [['other_rows' => [['rows' => range(1, 8), 'equipment' => ['coulter' => true]]]], 'other_rows', 'Every row is in a group.'],
    'nothing that differs' => [['other_rows' => [['rows' => [7], 'equipment' => ['closing_wheels' => 'rubber']]]], 'other_rows.0', 'Rows 7 have the same as the other rows.'],
    'a part of the whole planter' => [['other_rows' => [['rows' => [7], 'equipment' => ['central_fill' => true]]]], 'other_rows.0.equipment', 'belongs to the whole planter. Rows cannot differ in it.'],
    'a part there is not' => [['other_rows' => [['rows' => [7], 'equipment' => ['wings' => true]]]], 'other_rows.0.equipment', 'is not a part that a planter can have'],
    'two openers' => [['other_rows' => [['rows' => [7], 'equipment' => ['opener' => ['double_disc', 'runner']]]]], 'other_rows.0.equipment', 'is not one of the kinds'],
    'what does not go together' => [['other_rows' => [['rows' => [7], 'equipment' => ['opener' => 'none', 'firmer' => true, 'scrapers' => false, 'seed_tube_guard' => false]]]], 'other_rows.0.equipment', 'firmer'],
    'a sheet of nobody' => [['other_rows' => [['rows' => [7], 'spec_sheet_id' => 999_999]]], 'other_rows.0.spec_sheet_id', 'Choose one of the spec sheets'],
    'no list' => [['other_rows' => 'rows 7 and 8'], 'other_rows', 'List the rows that differ'],
    'a parked row there is not' => [['parked_rows' => [0]], 'parked_rows', 'Write which rows'],
    'all rows parked' => [['parked_rows' => range(1, 8)], 'parked_rows', 'All rows are parked. Leave at least one down.'],
]);

it('holds what stands on record to what is changed beside it', function (): void {
    $planter = Planter::query()->findOrFail(($this->make)()->assertCreated()->json('id'));
    $form = eightRows() + ['spec_sheet_id' => $planter->spec_sheet_id];
    $put = fn (array $more) => $this->putJson("/api/planters/{$planter->id}", array_diff_key($more + $form, ['other_rows' => isset($more['other_rows']) ? null : true]));
    $put(['row_count' => 6])->assertUnprocessable()->assertJsonValidationErrors(['other_rows.0.rows' => 'This planter has rows 1 to 6.']);
    $put(['equipment' => ['closing_wheels' => 'spiked_poly', 'meter' => 'vacuum']])->assertUnprocessable()->assertJsonValidationErrors(['other_rows.0' => 'Rows 7, 8 have the same as the other rows.']);
    $put(['row_count' => 8, 'parked_rows' => [7]])->assertOk();
    $put(['row_count' => 6, 'other_rows' => []])->assertUnprocessable()->assertJsonValidationErrors(['parked_rows' => 'This planter has rows 1 to 6.']);
    // Said nothing of, it stays.
    $put(['name' => 'Nine'])->assertOk()->assertJsonPath('other_rows.0.rows', [7, 8]);
});

it('overwrites no make-up that somebody else has changed meanwhile, and knows what is sent again', function (): void {
    $made = ($this->make)()->assertCreated()->json();
    $form = eightRows() + ['spec_sheet_id' => $made['spec_sheet']['id'], 'version' => $made['version']];
    $ours = ['other_rows' => [['rows' => [1, 2], 'equipment' => ['closing_wheels' => 'cast']]]] + $form;
    $this->putJson("/api/planters/{$made['id']}", $ours)->assertOk();
    $this->putJson("/api/planters/{$made['id']}", ['other_rows' => [], 'parked_rows' => [2]] + $form)->assertConflict()->assertJsonPath('changed', ['other_rows', 'parked_rows']);
    $this->putJson("/api/planters/{$made['id']}", $ours)->assertOk()->assertJsonPath('other_rows.0.rows', [1, 2]);
});

it('lets parked rows run nothing, and counts seed by the rows that plant', function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $planter = Planter::query()->findOrFail(($this->make)(['spacing' => '15 in', 'planting_start' => '2026-04-17', 'other_rows' => [], 'parked_rows' => [2, 4, 6, 8]])->assertCreated()->json('id'));
    $this->logAcres($planter, '2026-04-20', 40)->assertCreated();
    $this->logAcres($planter, '2026-04-20', 10, ['shut_off' => []])->assertCreated();
    // Said in so many words: row 2 ran after all.
    $this->logAcres($planter, '2026-04-20', 10, ['shut_off' => [['rows' => [4], 'share' => 0.5]]])->assertCreated();
    // Last season nobody had parked them.
    $this->logAcres($planter, '2025-04-20', 30)->assertCreated();
    $off = collect($this->acresOf($planter)['lines'])->mapWithKeys(fn (array $line): array => ["{$line['day']} {$line['acres']}" => $line['shut_off']])->all();
    expect($off['2026-04-20 40'])->toEqual([['rows' => [2, 4, 6, 8], 'share' => 0]])->and($off['2025-04-20 30'])->toBe([]);

    // 6.5 in by 30 in are 32,167 seeds an acre; by 15 in they would be twice that.
    $dig = fn (int $row) => $this->postJson("/api/planters/{$planter->id}/first-pass/digs", ['digs' => [['id' => (string) Str::uuid7(), 'pass' => 1, 'row' => $row, 'target' => '2', 'spacing' => '6 1/2', 'depths' => ['2', '2', '2'], 'spacings' => ['6 1/2', '6 1/2'], 'happened_at' => '2026-04-20T09:00:00Z']]]);
    $dig(2)->assertUnprocessable()->assertJsonFragment(['digs.0.row' => ['Row 2 is parked and did not plant. Choose a row that did.']]);
    $dig(3)->assertCreated();
    $told = $this->getJson("/api/planters/{$planter->id}/first-pass")->assertOk()->json();
    expect($told['passes'][0]['rows'][0]['population'])->toStartWith('32,1')
        ->and(array_column($told['to_dig'], 'row'))->each->toBeIn([1, 3, 5, 7]);
});

it('writes its rows as a table, and reads it back as the form takes it', function (): void {
    $planter = Planter::query()->findOrFail(($this->make)(['parked_rows' => [8]])->assertCreated()->json('id'));
    $csv = $this->get("/api/planters/{$planter->id}/rows.csv")->assertOk()->getContent();
    $lines = array_map(fn (string $line): array => str_getcsv($line, escape: ''), explode("\n", trim($csv)));
    $table = array_map(fn (array $line): array => array_combine($lines[0], $line), array_slice($lines, 1));
    expect($table)->toHaveCount(8)
        ->and(array_column($table, 'closing_wheels', 'row'))->toBe([1 => 'rubber', 'rubber', 'chain', 'rubber', 'rubber', 'rubber', 'spiked_poly', 'spiked_poly'])
        ->and(array_column($table, 'parked'))->toBe(['no', 'no', 'no', 'no', 'no', 'no', 'no', 'yes'])
        ->and($table[0])->toHaveKey('firmer')->not->toHaveKey('central_fill');
    $read = fn (string $of) => $this->post("/api/planters/{$planter->id}/rows", ['file' => UploadedFile::fake()->createWithContent('rows.csv', $of)], ['Accept' => 'application/json']);
    $back = $read($csv)->assertOk()->json();
    $form = array_diff_key(eightRows(), ['equipment' => 0, 'other_rows' => 0]);
    $this->putJson("/api/planters/{$planter->id}", $back + $form)->assertOk()->assertJsonPath('other_rows.0.rows', [7, 8])->assertJsonPath('other_rows.1.equipment', ['closing_wheels' => 'chain'])->assertJsonPath('parked_rows', [8]);
    expect($planter->refresh()->units()->at(7)->toArray())->toBe($planter->units()->at(8)->toArray());

    // Half a table says only what it says: other rows and other parts stay. Words will do as well as names.
    $sheet = $this->typicalSheet('finger');
    $half = $read("Row;Closing wheels;Spec sheet;Firmer;Parked\n1;Spiked, steel;;;\n2;;{$sheet->name};no;\n8;;;;no\n")->assertOk()->json();
    expect(collect($half['other_rows'])->map(fn (array $of): array => [$of['rows'], $of['spec_sheet_id'], $of['equipment']['closing_wheels'] ?? null])->all())
        ->toEqualCanonicalizing([[[1], null, 'spiked_steel'], [[2], $sheet->id, 'rubber'], [[3], null, 'chain'], [[7, 8], null, 'spiked_poly']])
        ->and(collect($half['other_rows'])->firstWhere('rows', [2])['equipment']['firmer'])->toBeFalse()
        ->and($half['parked_rows'])->toBe([]);

    // What most lines have becomes what most rows have.
    $turned = $read("row,closing_wheels\n".implode("\n", array_map(fn (int $row): string => "{$row},cast", range(1, 5))))->assertOk()->json();
    expect($turned['equipment']['closing_wheels'])->toBe('cast')->and(collect($turned['other_rows'])->pluck('equipment.closing_wheels', 'rows.0')->all())->toEqual([6 => 'rubber', 7 => 'spiked_poly']);

    foreach ([
        ["closing_wheels,firmer\ncast,no\n", 'one of them is row'], ["row,closing_wheels\n9,cast\n", 'Line 2: there is no row “9”. This planter has rows 1 to 8.'],
        ["row,closing_wheels\n1,cast\n1,rubber\n", 'Line 3: row 1 stands in this file twice.'], ["row,closing_wheels\n1,iron\n", 'Line 2, closing_wheels: “iron” is not one of the kinds. Write one of rubber, cast'],
        ["row,firmer\n1,perhaps\n", 'is not one of the kinds. Write one of no, yes'], ["row,parked\n1,often\n", 'Write one of yes, no'], ["row,spec_sheet\n1,Nobody's\n", 'there is no spec sheet called “Nobody\'s”'],
    ] as [$wrong, $says]) {
        $read($wrong)->assertUnprocessable()->assertJsonValidationErrors(['file' => $says]);
    }
    expect($planter->refresh()->other_rows)->toHaveCount(2);
});

it('orders for each row what goes into that row', function (): void {
    $type = fn (string $name, array $with) => PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => $name] + $with)->id;
    $plain = $type('Blade', ['slots' => ['opener_blade'], 'heavy' => false]);
    $heavy = $type('Heavy blade', ['slots' => ['opener_blade'], 'heavy' => true]);
    $wheel = $type('Wheel', ['slots' => ['closing_wheel']]);
    $planter = Planter::query()->findOrFail(($this->make)(['other_rows' => [['rows' => [7], 'equipment' => ['heavy_blades' => true, 'clearance_guard' => true]], ['rows' => [3], 'equipment' => ['closing_wheels' => 'chain']]]])->assertCreated()->json('id'));
    $types = array_map(fn (PartType $of): int => $of->id, PartPrices::of($planter)->types);
    expect([$types['1:opener_blade:left'], $types['7:opener_blade:left'], $types['8:opener_blade:right'], $types['2:closing_wheel:left'] ?? $types['2:closing_wheel:centre'] ?? null])->toBe([$plain, $heavy, $plain, $wheel])
        ->and(array_filter(array_keys($types), fn (string $key): bool => str_starts_with($key, '3:closing_wheel')))->toBe([]);
});

it('turns no row by what a notch of another row unit is worth', function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $planter = Planter::query()->findOrFail(($this->make)(['planting_start' => '2026-04-17', 'other_rows' => [['rows' => [8], 'equipment' => ['depth_scale' => 'turns']]]])->assertCreated()->json('id'));
    $digs = array_map(fn (int $row): array => ['id' => (string) Str::uuid7(), 'pass' => 1, 'row' => $row, 'target' => '2', 'spacing' => '6', 'depths' => ['1 1/2', '1 1/2', '1 1/2'], 'spacings' => ['6', '6'], 'happened_at' => '2026-04-20T09:00:00Z'], [1, 2, 8]);
    $this->postJson("/api/planters/{$planter->id}/first-pass/digs", ['digs' => $digs])->assertCreated();
    $turns = collect($this->getJson("/api/planters/{$planter->id}/first-pass")->json('passes.0.rows'))->pluck('turn', 'row');
    // Half an inch too shallow is two notches of a quarter; of row 8 a turn says nothing yet.
    expect($turns[1])->toEqual(2)->and($turns[8])->toBeNull();
});

it('goes by the rows that were down when it was dug, run, counted and logged', function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $form = ['spacing' => '15 in', 'planting_start' => '2026-04-17', 'other_rows' => []];
    $made = ($this->make)($form + ['parked_rows' => [2, 4, 6, 8]])->assertCreated()->json();
    $planter = Planter::query()->findOrFail($made['id']);
    $path = "/api/planters/{$planter->id}";
    $dig = fn (int $row, int $pass, string $at) => $this->postJson("{$path}/first-pass/digs", ['digs' => [['id' => (string) Str::uuid7(), 'pass' => $pass, 'row' => $row, 'target' => '2', 'spacing' => '6 1/2', 'depths' => ['2', '2', '2'], 'spacings' => ['6 1/2', '6 1/2'], 'happened_at' => $at]]]);
    $run = fn (string $at) => $this->postJson("{$path}/bench", ['id' => (string) Str::uuid7(), 'row' => 3, 'stage' => 'pre', 'places' => 500, 'skips' => 1, 'doubles' => 1, 'cells' => 30, 'population' => 34_000, 'rpm' => 28.62, 'happened_at' => $at])->assertCreated();
    $speeds = fn (): array => array_map(static fn (array $of): array => [$of['mph'], $of['rpm']], $this->getJson("{$path}/bench")->json('runs'));
    $dug = fn (): array => collect($this->getJson("{$path}/first-pass")->assertOk()->json('passes'))->flatMap(static fn (array $of): array => $of['rows'])->mapWithKeys(static fn (array $of): array => [$of['row'] => substr($of['population'], 0, 4)])->all();
    $shut = fn (): array => collect($this->acresOf($planter)['lines'])->mapWithKeys(static fn (array $of): array => [$of['day'] => $of['shut_off'][0]['rows'] ?? []])->all();
    // 30 plants on a thousandth of an acre, if the rows are 30 in apart.
    $this->postJson("{$path}/emergence", ['counts' => [['id' => (string) Str::uuid7(), 'row' => 3, 'field' => 'Kiln Piece', 'planted_on' => '2026-04-18', 'plants' => 30, 'length' => 17.424, 'happened_at' => '2026-04-20T09:00:00Z']]])->assertSuccessful();
    $stand = fn (): string => $this->getJson("{$path}/emergence")->json('fields.0.stand');
    $dig(3, 1, '2026-04-20T09:00:00Z')->assertCreated();
    $run('2026-04-20T09:00:00Z');
    // 60 x 34,000 seeds an acre x 30 in x 5 mph of 30 cells: 28.6 turns a minute.
    expect($speeds())->toEqual([[5.0, 28.6]])->and($dug())->toBe([3 => '32,1'])->and($stand())->toStartWith('30,0');
    // For beans all rows go down, and 15 in lie between them.
    $this->travelTo('2026-05-04 10:00:00');
    $edit = $form + ['spec_sheet_id' => $made['spec_sheet']['id'], 'farm' => $made['farm'], 'name' => $made['name'], 'row_count' => 8, 'equipment' => $made['equipment']];
    $version = $this->putJson($path, $edit + ['parked_rows' => [], 'version' => $made['version']])->assertOk()->json('version');
    // Nothing was parked or let down: it is not told again.
    $this->putJson($path, $edit + ['parked_rows' => [], 'version' => $version])->assertOk();
    expect(Planter::query()->findOrFail($planter->id)->formerly_parked)->toEqual([['until' => '2025-08-17T00:00:00.000Z', 'rows' => []], ['until' => '2026-05-04T10:00:00.000Z', 'rows' => [2, 4, 6, 8]]]);
    $this->travelTo('2026-05-04 11:00:00');
    $dig(5, 2, '2026-05-04T10:30:00Z')->assertCreated();
    $dig(2, 2, '2026-05-04T10:30:00Z')->assertCreated();
    // Sent late: row 4 was up that morning, and what is logged of that day goes by how it ended.
    $dig(4, 1, '2026-04-20T09:30:00Z')->assertUnprocessable();
    $run('2026-04-20T09:30:00Z');
    $run('2026-05-04T10:30:00Z');
    foreach (['2025-04-20', '2026-04-20', '2026-05-03', '2026-05-04'] as $day) {
        $this->logAcres($planter, $day, 20)->assertCreated();
    }
    expect($dug())->toEqual([5 => '64,3', 2 => '64,3', 3 => '32,1'])->and($stand())->toStartWith('30,0')
        ->and($speeds())->toEqual([[10.0, 28.6], [5.0, 28.6], [5.0, 28.6]])
        ->and($shut())->toEqual(['2026-05-04' => [], '2026-05-03' => [2, 4, 6, 8], '2026-04-20' => [2, 4, 6, 8], '2025-04-20' => []]);
});

it('remembers in the next season that rows were up in this one', function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $planter = Planter::query()->findOrFail(($this->make)(['spacing' => '15 in', 'planting_start' => '2026-04-17', 'other_rows' => [], 'parked_rows' => [2, 4, 6, 8]])->assertCreated()->json('id'));
    $this->postJson("/api/planters/{$planter->id}/emergence", ['counts' => [['id' => (string) Str::uuid7(), 'row' => 3, 'field' => 'Kiln Piece', 'planted_on' => '2026-04-18', 'plants' => 30, 'length' => 17.424, 'happened_at' => '2026-04-20T09:00:00Z']]])->assertSuccessful();
    $planter->update(['planting_start' => '2027-04-17']);
    $this->travelTo('2027-03-01 10:00:00');
    $this->logAcres($planter, '2026-05-01', 30)->assertCreated();
    $this->logAcres($planter, '2025-05-01', 20)->assertCreated();
    expect(array_column($this->acresOf($planter)['lines'], 'shut_off', 'day'))->toEqual(['2026-05-01' => [['rows' => [2, 4, 6, 8], 'share' => 0]], '2025-05-01' => []])
        ->and(Planter::query()->findOrFail($planter->id)->plantedSpacingOn(Day::of('2026-04-18'))->toInches())->toBe(30.0);
});

it('leaves rows parked that a change says nothing of, and takes those of an earlier version as parked for their season', function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $made = ($this->make)(['planting_start' => '2026-04-17', 'other_rows' => [], 'parked_rows' => [2]])->assertCreated()->json();
    $planter = Planter::query()->findOrFail($made['id']);
    $edit = ['farm' => $made['farm'], 'name' => 'Renamed', 'row_count' => 8, 'spacing' => '30 in', 'spec_sheet_id' => $made['spec_sheet']['id'], 'planting_start' => '2026-04-17', 'version' => $made['version']];
    $this->putJson("/api/planters/{$planter->id}", $edit)->assertOk()->assertJsonPath('name', 'Renamed')->assertJsonPath('parked_rows', [2]);
    $begin = [['until' => '2025-08-17T00:00:00.000Z', 'rows' => []]];
    expect($planter->refresh()->formerly_parked)->toEqual($begin);
    $plain = $this->planter(['name' => 'None parked']);
    $migration = require database_path('migrations/2027_01_01_000047_when_rows_were_parked.php');
    $migration->down();
    $migration->up();
    expect($planter->refresh()->formerly_parked)->toEqual($begin)->and($plain->refresh()->formerly_parked)->toBe([]);
});

it('says in prints and files what a depth is held against in what it is set in', function (): void {
    $planter = Planter::query()->findOrFail(($this->make)(['equipment' => ['depth_scale' => 'turns'], 'other_rows' => []])->assertCreated()->json('id'));
    $walk = $this->openWalk($planter, ['depth_mark']);
    $this->send($walk, ...array_map(fn (int $row): array => $this->reading($row, $row === 3 ? '8' : '5', ['check' => 'depth_mark', 'side' => 'centre', 'confirmed' => true]), range(1, 8)))->assertOk();
    $said = __('reason.above_rows', ['ref' => '5 turns', 'by' => '3 turns']);
    expect($said)->toContain('5 turns')
        ->and($this->printed("/api/walks/{$walk->id}/sheet.pdf"))->toContain($said)
        ->and((string) $this->get("/api/walks/{$walk->id}/export.csv")->assertOk()->streamedContent())->toContain($said);
});

it('speaks of the depth of each row in what that is set in, from the walk to the cab sheet', function (): void {
    $this->travelTo('2026-04-20 10:00:00');
    $planter = Planter::query()->findOrFail(($this->make)(['planting_start' => '2026-04-17', 'other_rows' => [['rows' => [7, 8], 'equipment' => ['depth_scale' => 'turns']], ['rows' => [6], 'equipment' => ['depth_scale' => 'holes']], ['rows' => [5], 'equipment' => ['depth_scale' => 'inches']]]])->assertCreated()->json('id'));
    // Walked in turns, inches and holes: each kind by its own rows, and half a hole is refused.
    $walk = $this->openWalk($planter, ['depth_mark', 'depth_set_notch']);
    $read = fn (int $row, string $typed): array => $this->reading($row, $typed, ['check' => 'depth_mark', 'side' => 'centre', 'confirmed' => true]);
    $this->send($walk, $read(7, '3 1/4'), $read(8, '3 turns'), $read(6, '4'), $read(5, '1 1/2 in'))->assertOk();
    $this->send($walk, $read(6, '4.5'))->assertOk()->assertJsonPath('receipts.0.outcome', 'refused');
    $board = $this->getJson("/api/planters/{$planter->id}/board")->json();
    $units = collect([...$board['checks'], ...$board['row_checks']])->where('key', 'depth_mark')->mapWithKeys(fn (array $of): array => [implode(',', $of['rows'] ?? []) => $of['unit']]);
    expect($units->all())->toEqual(['7,8' => 'turn', '6' => 'hole', '5' => 'scale_in']);
    $csv = array_map(str_getcsv(...), explode("\n", trim((string) $this->get("/api/walks/{$walk->id}/export.csv")->assertOk()->streamedContent())));
    $lines = collect($csv)->skip(1)->map(static fn (array $line): array => array_combine($csv[0], $line))->where('check', 'depth_mark')->keyBy('row');
    expect($lines->only([5, 6, 7])->map(static fn (array $of): string => "{$of['value']} {$of['unit']}")->all())->toEqual([5 => '1.5 scale_in', 6 => '4 hole', 7 => '3.25 turn']);
    expect($this->printed("/api/walks/{$walk->id}/sheet.pdf"))->toContain('3.25 turns')->toContain('hole 4')->toContain('1.5 in');
    // Dug: each by its own scale, as it was found set on the walk; an inch of the scale is an inch.
    $digs = fn (int $pass, string $at, array $depths): array => array_map(fn (int $row, string $deep): array => ['id' => (string) Str::uuid7(), 'pass' => $pass, 'row' => $row, 'target' => '2', 'spacing' => '6', 'depths' => array_fill(0, 5, $deep), 'spacings' => ['6', '6'], 'happened_at' => $at], array_keys($depths), $depths);
    $send = fn (array $digs) => $this->postJson("/api/planters/{$planter->id}/first-pass/digs", ['digs' => $digs]);
    $this->travelTo('2026-04-21 10:00:00');
    $send($digs(1, '2026-04-21T09:00:00Z', [1 => '1 1/2', 5 => '1 1/2', 6 => '1 1/2', 7 => '1 1/2', 8 => '1 1/2']))->assertCreated();
    $told = $this->getJson("/api/planters/{$planter->id}/first-pass")->json();
    $row = fn (array $told, int $of): array => collect($told['passes'][0]['rows'])->firstWhere('row', $of);
    expect($told['depth_scales'])->toBe(['notches', 'notches', 'notches', 'notches', 'inches', 'holes', 'turns', 'turns'])
        ->and($row($told, 1))->toMatchArray(['scale' => 'notches', 'turn' => 2])->and($row($told, 5))->toMatchArray(['scale' => 'inches', 'turn' => 0.5, 'stands' => 1.5, 'turn_to' => 2])
        ->and($row($told, 6))->toMatchArray(['turn' => null, 'stands' => 4])->and($row($told, 7))->toMatchArray(['turn' => null, 'stands' => 3.25]);
    // Set in the words of each row: a notch is refused on a row of turns, and half a hole too; nothing of it is kept.
    $set = fn (string $line) => $this->postJson("/api/planters/{$planter->id}/settings", ['settings' => [['id' => (string) Str::uuid7(), 'line' => $line, 'happened_at' => '2026-04-21T09:30:00Z']]]);
    expect($set('depth 5 notches row 7')->assertUnprocessable()->json('errors'))->toEqual(['settings.0.figure' => ['The depth of row 7 is set in turns, not notches.']])
        ->and($set('depth 5.5 row 6')->assertUnprocessable()->json('errors'))->toEqual(['settings.0.figure' => ['Type the number of the hole, from 0 to 100, whole.']])
        ->and($set('depth 5 turns')->assertUnprocessable()->json('errors'))->toEqual(['settings.0.figure' => ['The depth of this planter is set in notches, not turns.']]);
    $set('depth 5 notches; depth 4 1/4 turns row 7; depth hole 5 row 6; depth 2 in row 5')->assertCreated();
    expect($this->get("/api/planters/{$planter->id}/settings/sheet.csv")->assertOk()->getContent())->toContain('depth,,"5 notches"')->toContain('depth,7,"4.25 turns"')->toContain('depth,6,"hole 5"')->toContain('depth,5,"2 in"');
    // One turn brought row 7 half an inch, one hole row 6 a quarter: neither is told of the other, nor of the notches, whose rows were set at once to what nobody had known.
    $this->travelTo('2026-04-21 12:00:00');
    $send($digs(2, '2026-04-21T11:00:00Z', [1 => '2', 5 => '2', 6 => '1 3/4', 7 => '2']))->assertCreated();
    $told = $this->getJson("/api/planters/{$planter->id}/first-pass")->json();
    expect(array_map(static fn (string $said): string => explode(':', $said)[0], $told['levers']))->toEqualCanonicalizing(['One turn up', 'One hole up', 'One inch up the scale'])
        ->and($row($told, 7)['turn'])->toEqual(0)->and($row($told, 6))->toMatchArray(['turn' => 1, 'stands' => 5, 'turn_to' => 6]);
    // Another planter takes a depth only where it is set the same way.
    $other = ($this->make)(['name' => 'Other'])->assertCreated()->json('id');
    $leaves = array_column($this->getJson("/api/planters/{$planter->id}/settings/for/{$other}")->json('leaves'), 'why', 'said');
    expect($leaves)->toHaveKey('depth 4.25 turns, row 7', 'its depth is set another way')->not->toHaveKey('depth 5 notches');
    // Made otherwise since: what was set in turns stays told in turns, can be taken back, and does not come back with the ground.
    $planter->update(['other_rows' => []]);
    $said = $this->getJson("/api/planters/{$planter->id}/settings")->json('now');
    $turns = collect($said)->firstWhere('row', 7);
    expect($turns['said'])->toBe('4.25 turns');
    $this->postJson("/api/planters/{$planter->id}/settings", ['settings' => [['id' => (string) Str::uuid7(), 'key' => 'depth_mark', 'row' => 7, 'figure' => 4.25, 'supersedes' => $turns['id'], 'withdrawn' => true, 'happened_at' => '2026-04-21T11:30:00Z']]])->assertCreated();
});

it('holds no depth of one scale against rows of another', function (): void {
    $this->travelTo('2026-04-21 08:00:00');
    $planter = Planter::query()->findOrFail(($this->make)(['planting_start' => '2026-04-17', 'other_rows' => [['rows' => [7, 8], 'equipment' => ['depth_scale' => 'turns']], ['rows' => [6], 'equipment' => ['depth_scale' => 'holes']]]])->assertCreated()->json('id'));
    $path = "/api/planters/{$planter->id}";
    $dig = fn (int $pass, string $at, int $row, string $deep, ?float $mark = null): array => ['id' => (string) Str::uuid7(), 'pass' => $pass, 'row' => $row, 'target' => '2', 'spacing' => '6', 'depths' => array_fill(0, 5, $deep), 'spacings' => ['6', '6'], 'happened_at' => $at, ...($mark === null ? [] : ['mark' => $mark])];
    $send = fn (array ...$digs) => $this->postJson("{$path}/first-pass/digs", ['digs' => $digs])->assertCreated();
    $set = fn (array $with) => $this->postJson("{$path}/settings", ['settings' => [$with + ['id' => (string) Str::uuid7(), 'happened_at' => '2026-04-21T09:30:00Z']]]);
    // Hole 5 plants deeper than three turns: that is no line for either of them.
    $this->travelTo('2026-04-21 09:10:00');
    $send($dig(1, '2026-04-21T09:00:00Z', 1, '1 1/2', 3), $dig(1, '2026-04-21T09:00:00Z', 6, '2', 5), $dig(1, '2026-04-21T09:00:00Z', 8, '1 1/2', 3));
    $told = $this->getJson("{$path}/first-pass")->json();
    $turns = array_column($told['passes'][0]['rows'], 'turn', 'row');
    expect($turns[8])->toBeNull()->and($turns[6])->toBeNull()->and($turns[1])->toEqual(2);
    // The calculator goes by the rows that most are like.
    $inputs = array_column(collect($this->getJson("{$path}/calculators?units=in")->json('calculators'))->firstWhere('key', 'depth_mark')['inputs'], 'value', 'key');
    expect($inputs['marks'])->toEqual([3]);
    // All notches are set higher, and row 8 plants deeper: of a turn that tells nothing.
    $this->travelTo('2026-04-21 11:10:00');
    $set(['line' => 'depth 5 notches', 'field' => 'Kiln Piece', 'soil' => 'clay'])->assertCreated();
    $set(['key' => 'depth_mark', 'row' => 5, 'figure' => 5.5, 'field' => 'Kiln Piece', 'soil' => 'clay'])->assertCreated();
    $send($dig(2, '2026-04-21T11:00:00Z', 8, '2'));
    expect($this->getJson("{$path}/first-pass")->json('levers'))->toBe([]);
    // Row 5 is set in holes from now on: what it was set to in notches does not come back with the ground, and can be taken back.
    $recalled = fn (): array => array_column($this->getJson("{$path}/settings?soil=clay")->assertOk()->json('recalled') ?? [], 'said', 'row');
    expect($recalled())->toEqual([0 => '5 notches', 5 => '5.5 notches']);
    $planter->update(['other_rows' => [['rows' => [5], 'spec_sheet_id' => null, 'equipment' => ['depth_scale' => 'holes']]]]);
    expect($recalled())->toEqual([0 => '5 notches']);
    $earlier = collect($this->getJson("{$path}/settings")->json('now'))->firstWhere('row', 5)['id'];
    $set(['key' => 'depth_mark', 'row' => 5, 'figure' => 5.5])->assertUnprocessable();
    $set(['key' => 'depth_mark', 'row' => 5, 'figure' => 5.5, 'supersedes' => $earlier, 'withdrawn' => true])->assertCreated();
});

it('judges an open walk by the targets of the planter itself, from the form to the readings', function (): void {
    $made = ($this->make)(['equipment' => ['fertilizer' => true, 'tires' => true, 'meter' => 'vacuum'], 'wanted' => ['fertilizer_band_offset' => '2', 'tyre_pressure' => '45 psi', 'fertilizer_band_depth' => '']])->assertCreated()->json();
    // With its unit, whoever reads it later; what was left empty is left to the sheet.
    expect($made['wanted'])->toEqual(['fertilizer_band_offset' => '2 in', 'tyre_pressure' => '45 psi']);
    $planter = Planter::query()->findOrFail($made['id']);
    $walk = $this->openWalk($planter, ['fertilizer_band_offset', 'tyre_pressure']);
    $this->send($walk, $this->reading(1, '2 1/4', ['check' => 'fertilizer_band_offset', 'side' => 'centre']), $this->reading(2, '3', ['check' => 'fertilizer_band_offset', 'side' => 'centre', 'confirmed' => true]), $this->reading(0, '46', ['check' => 'tyre_pressure', 'side' => 'centre', 'confirmed' => true]))->assertOk();
    $verdicts = fn (): array => collect($this->getJson("/api/planters/{$planter->id}/board")->json('cells'))->whereIn('check', ['fertilizer_band_offset', 'tyre_pressure'])->whereNotNull('now')->pluck('now.verdict', 'row')->all();
    expect($verdicts())->toEqual([1 => 'sound', 2 => 'change', 0 => 'sound']);
    // Other targets hold for the open walk at once, and none leave it to the sheet, which wants 60 psi and no band.
    $form = eightRows(['equipment' => ['fertilizer' => true, 'tires' => true, 'meter' => 'vacuum']]) + ['spec_sheet_id' => $planter->spec_sheet_id];
    $this->putJson("/api/planters/{$planter->id}", ['wanted' => ['fertilizer_band_offset' => '3 in']] + $form)->assertOk();
    expect($verdicts())->toEqual([1 => 'change', 2 => 'sound', 0 => 'change']);
    $this->putJson("/api/planters/{$planter->id}", ['name' => 'Other'] + $form)->assertOk()->assertJsonPath('wanted', ['fertilizer_band_offset' => '3 in']);
    $this->putJson("/api/planters/{$planter->id}", ['wanted' => []] + $form)->assertOk();
    expect($verdicts())->toEqual([1 => 'sound', 2 => 'sound', 0 => 'change']);
    // Who reads in metric types in metric.
    $this->technician->update(['units' => 'mm']);
    $this->putJson("/api/planters/{$planter->id}", ['wanted' => ['fertilizer_band_offset' => '50', 'tyre_pressure' => '3,1']] + $form)->assertOk()->assertJsonPath('wanted.fertilizer_band_offset', '50 mm')->assertJsonPath('wanted.tyre_pressure', '3,1 bar');
    expect($verdicts())->toEqual([1 => 'sound', 2 => 'change', 0 => 'sound']);
});

it('refuses targets that are none, and keeps nothing', function (mixed $wanted, string $field, string $says): void {
    ($this->make)(['wanted' => $wanted])->assertUnprocessable()->assertJsonValidationErrors([$field => $says]);
    expect(Planter::query()->count())->toBe(0);
})->with([
    ['two inches', 'wanted', 'Write a target as a figure'], [['opener_blade_diameter' => '15 in'], 'wanted', 'nothing of this planter'], [['wings' => '2'], 'wanted', 'nothing of this planter'],
    [['fertilizer_band_offset' => 2], 'wanted.fertilizer_band_offset', 'Write a target as a figure'], [['fertilizer_band_offset' => 'beside'], 'wanted.fertilizer_band_offset', 'beside'],
    [['tyre_pressure' => '0'], 'wanted.tyre_pressure', 'more than 0'], [['tyre_pressure' => '-5 psi'], 'wanted.tyre_pressure', 'below zero'],
]);

it('keeps the parts of parked rows, takes what they read before, and waits for none of their meters', function (): void {
    $this->travelTo('2026-03-10 10:00:00');
    $planter = Planter::query()->findOrFail(($this->make)(['planting_start' => '2026-04-20', 'other_rows' => [], 'parked_rows' => [8]])->assertCreated()->json('id'));
    // Its blades are changed in the winter like all others.
    $this->record($planter, $this->fitting(8, '2026-03-01'))->assertCreated();
    expect(collect($this->getJson("/api/planters/{$planter->id}/ledger")->json('slots'))->firstWhere('slot', 'opener_blade')['rows'])->toBeNull();
    // What is parked now was read last year.
    $file = UploadedFile::fake()->createWithContent('past.csv', "date,row,check,side,reading\n2025-03-01,8,opener_blade_diameter,left,14 7/8\n");
    $this->post("/api/planters/{$planter->id}/imports", ['file' => $file, 'kind' => 'readings', 'mode' => 'good'], ['Accept' => 'application/json'])->assertStatus(202);
    expect(DB::table('readings')->where('planter_id', $planter->id)->where('row_number', 8)->count())->toBe(1);
    $planter->workshop->update(['meter_school' => 'every_size']);
    $this->postJson('/api/seed/lots', ['name' => 'Popcorn 7', 'crop' => 'Popcorn', 'size' => 7.9, 'seeds_per_unit' => 80_000])->assertCreated();
    $this->putJson("/api/planters/{$planter->id}/season", ['revision' => 0, 'planting_start' => '2026-04-20', 'planting_end' => '2026-05-10', 'fields' => [['name' => 'Long Field', 'crop' => 'Popcorn', 'acres' => 60, 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => 'Popcorn 7', 'population' => 32_000]]])->assertOk();
    expect(array_column($this->getJson("/api/planters/{$planter->id}/bench")->assertOk()->json('due'), 'row'))->toBe([1, 2, 3, 4, 5, 6, 7]);
});

it('shows on a sheet what its own rows carry, and nothing of the others', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet('finger'), $this->technician);
    ($this->make)(['equipment' => ['covering_discs' => true, 'meter' => 'vacuum'], 'other_rows' => [['rows' => [7], 'spec_sheet_id' => $sheet->id, 'equipment' => ['front_shovel' => true]]]])->assertCreated();
    $checks = array_keys($sheet->refresh()->shown()->checks);
    expect($checks)->toContain('shovel_width')->not->toContain('covering_disc_diameter');
});

it('lists the spec sheets with no more queries for more of them', function (): void {
    $queries = function (): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->actingAs($this->technician)->getJson('/api/spec-sheets')->assertOk();

        return count(DB::getQueryLog());
    };
    $planter = fn (string $name) => ($this->make)(['name' => $name, 'other_rows' => []] + ['spec_sheet_id' => app(CopySpecSheet::class)($this->typicalSheet(), $this->technician)->id])->assertCreated();
    $planter('One');
    $one = $queries();
    $planter('Two');
    $planter('Three');
    expect($queries())->toBe($one);
});
