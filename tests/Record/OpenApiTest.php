<?php

declare(strict_types=1);

use App\Http\ApiDigest;
use App\Spec\CopySpecSheet;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\OpenApiSchema;

/** Calls a route and holds the answer, good or bad, against what openapi.json says of it. */
function agrees(string $method, string $path, array $ids = [], array $body = []): TestResponse
{
    $address = preg_replace_callback('/\{(\w+)\}/', fn (array $found): string => (string) $ids[$found[1]], $path);
    $answer = test()->json($method, $address.($ids['query'] ?? ''), $body);
    $faults = (new OpenApiSchema)->faults(strtolower($method), $path, $answer->getStatusCode(), $answer->json());
    expect($faults)->toBe([], "{$method} {$path}");

    return $answer;
}

it('answers as the OpenAPI document says, all the way through a walk', function (): void {
    agrees('GET', '/api/me')->assertUnauthorized();
    agrees('POST', '/api/sign-in', body: ['email' => 'nobody@example.test', 'password' => 'x'])->assertUnprocessable();
    $this->actingAs($this->technician);
    agrees('GET', '/api/me');
    agrees('PATCH', '/api/me', body: ['theme' => 'dark']);

    $form = ['farm' => 'Pell Cottage', 'name' => 'Pell Garden', 'row_count' => 5, 'spacing' => '30 in', 'spec_sheet_id' => $this->typicalSheet()->id];
    agrees('POST', '/api/planters', body: ['row_count' => 0] + $form)->assertUnprocessable();
    $ids = ['planter' => agrees('POST', '/api/planters', body: $form)->assertCreated()->json('id')];
    agrees('GET', '/api/planters/{planter}', $ids);
    agrees('PUT', '/api/planters/{planter}', $ids, $form + ['sections' => [2, 3], 'planting_start' => '2026-04-01']);
    agrees('GET', '/api/planters/{planter}/board', $ids)->assertJsonPath('walk', null);
    agrees('GET', '/api/yard')->assertJsonPath('0.last_walk', null);

    agrees('GET', '/api/planters/{planter}/guide', $ids)->assertJsonPath('walk', null);
    $start = ['kind' => 'pre_season', 'order' => 'row_by_row', 'cautions_acknowledged' => true, 'id' => (string) Str::uuid7()];
    agrees('POST', '/api/planters/{planter}/walks', $ids, ['cautions_acknowledged' => false] + $start)->assertUnprocessable();
    $ids['walk'] = agrees('POST', '/api/planters/{planter}/walks', $ids, $start)->assertCreated()->json('id');
    agrees('POST', '/api/planters/{planter}/walks', $ids, $start)->assertOk();
    agrees('POST', '/api/planters/{planter}/walks', $ids, ['id' => (string) Str::uuid7()] + $start)->assertUnprocessable();
    $readings = [
        ...array_map(fn (int $row): array => $this->reading($row, '14 3/4'), range(1, 4)), ...array_map(fn (int $row): array => $this->reading($row, '14 3/4', ['side' => 'right']), [3, 4, 6, 7, 8]),
        $this->reading(5, '15 1/4'), $this->reading(9, '14'), $this->contact(1, '0'), $this->contact(2, ''), $this->reading(2, '', ['side' => 'right', 'result' => 'not_fitted']),
    ];
    agrees('POST', '/api/walks/{walk}/readings', $ids, ['readings' => $readings]);
    agrees('POST', '/api/walks/{walk}/readings', $ids, ['readings' => [['typed' => '14'] + $readings[0]]])->assertConflict();
    agrees('POST', '/api/walks/{walk}/readings', $ids, ['readings' => []])->assertUnprocessable();
    agrees('GET', '/api/walks/{walk}', $ids)->assertJsonCount(1, 'row_doubts');
    agrees('PATCH', '/api/walks/{walk}', $ids, ['order' => 'station_by_station']);
    agrees('GET', '/api/planters/{planter}/board', $ids);
    agrees('GET', '/api/planters/{planter}/history', $ids + ['query' => '?row=1&check=opener_blade_diameter&side=left'])->assertJsonCount(1);
    agrees('POST', '/api/walks/{walk}/readings', $ids, ['readings' => [$this->state(1, 'seed_tube', 'watch', ['chips' => ['hole_rubbed']]), ...array_map(fn (int $row): array => $this->reading($row, '5', ['check' => 'depth_stop_notch', 'side' => 'centre']), range(1, 5))]]);
    $note = ['id' => (string) Str::uuid7(), 'row' => 2, 'check' => 'gauge_bearing', 'side' => 'left', 'kind' => 'hard_joint', 'text' => 'Seized', 'taken_at' => '2026-03-01T09:30:00Z'];
    agrees('POST', '/api/walks/{walk}/notes', $ids, $note)->assertCreated();
    agrees('POST', '/api/walks/{walk}/notes', $ids, $note)->assertOk();
    agrees('GET', '/api/walks/{walk}/news', $ids + ['query' => '?since=2026-01-01T00:00:00Z'])->assertJsonCount(1, 'notes');
    agrees('GET', '/api/planters/{planter}/guide', $ids);
    agrees('GET', '/api/planters/{planter}/rows/{row}', $ids + ['row' => 2])->assertJsonCount(1, 'notes');
    agrees('GET', '/api/walks/{walk}/depth-index', $ids)->assertJsonCount(5, 'rows');
    agrees('GET', '/api/planters/{planter}/toolbar-level', $ids + ['query' => '?pitch=-1&hitch=160']);
    agrees('POST', '/api/walks/{walk}/finish', $ids)->assertUnprocessable();
    agrees('POST', '/api/walks/{walk}/finish', $ids, ['with_unchecked' => true]);
    agrees('POST', '/api/walks/{walk}/reopen', $ids);
    agrees('GET', '/api/planters/{planter}/walks', $ids);
    agrees('GET', '/api/yard');
    agrees('GET', '/api/walks/{walk}', ['walk' => 'nonsense'])->assertNotFound();
});

it('answers as the OpenAPI document says about parts, acres and wear', function (): void {
    $this->actingAs($this->technician);
    $planter = $this->planter(['planned_acres' => 300, 'planting_days' => 12]);
    $ids = ['planter' => $planter->id];
    $edit = ['name' => 'Blade', 'slots' => ['opener_blade'], 'per_row' => 2, 'new_size' => '15 in', 'price' => 38.5, 'life' => '800 mi'];
    agrees('POST', '/api/part-types', body: ['slots' => []])->assertUnprocessable();
    $type = agrees('POST', '/api/part-types', body: $edit)->assertCreated()->json('id');
    agrees('PUT', '/api/part-types/{partType}', ['partType' => $type], $edit);
    agrees('GET', '/api/part-types');
    $edit = ['name' => 'Tubes', 'kind' => 'rain_day', 'checks' => ['seed_tube']];
    agrees('POST', '/api/packs', body: ['checks' => []])->assertUnprocessable();
    $pack = agrees('POST', '/api/packs', body: $edit)->assertCreated()->json('id');
    agrees('PUT', '/api/packs/{pack}', ['pack' => $pack], $edit);
    agrees('GET', '/api/packs')->assertJsonCount(9);
    $this->deleteJson("/api/packs/{$pack}")->assertNoContent();

    $fitted = array_map(fn (int $row): array => $this->fitting($row, '2025-03-01', ['part_type_id' => $type]), range(1, 8));
    agrees('POST', '/api/planters/{planter}/ledger', $ids, ['events' => [['kind' => 'fitted']]])->assertUnprocessable();
    agrees('POST', '/api/planters/{planter}/ledger', $ids, ['events' => $fitted])->assertCreated();
    agrees('POST', '/api/planters/{planter}/ledger', $ids, ['events' => [['row' => 7] + $fitted[0]]])->assertConflict();
    agrees('POST', '/api/planters/{planter}/acres', $ids, ['acres' => -1])->assertUnprocessable();
    agrees('POST', '/api/planters/{planter}/acres', $ids, ['id' => (string) Str::uuid7(), 'day' => '2025-04-20', 'field' => 'A', 'acres' => 80, 'shut_off' => [['rows' => [1], 'share' => 0.5]]])->assertCreated();
    $walk = $this->openWalk($planter);
    $this->send($walk, ...array_map(fn (int $row): array => $this->reading($row, '14 3/4', ['confirmed' => true]), range(1, 7)))->assertOk();
    $this->send($walk, $this->contact(1, '1 1/4'))->assertOk();
    agrees('POST', '/api/planters/{planter}/ledger', $ids, ['events' => [
        $this->fitting(2, now()->toDateString(), ['happened_at' => now()->addSeconds(2)->toIso8601ZuluString(), 'part_type_id' => $type, 'reason' => 'with_the_set']),
        ['id' => (string) Str::uuid7(), 'kind' => 'shims_moved', 'row' => 1, 'pairs' => -1, 'happened_at' => now()->addSeconds(2)->toIso8601ZuluString()],
    ]])->assertCreated();
    foreach (['ledger', 'forecast', 'contact', 'acres', 'board', 'guide', 'imports'] as $what) {
        agrees('GET', "/api/planters/{planter}/{$what}", $ids)->assertOk();
    }
    $import = $this->post("/api/planters/{$planter->id}/imports", ['file' => UploadedFile::fake()->createWithContent('a.csv', "Date,Field,Acres\n2025-04-28,A,5\nx,B,5\n"), 'kind' => 'acres', 'mode' => 'good'])->json('import.id');
    agrees('GET', '/api/planters/{planter}/imports', $ids)->assertJsonCount(1);
    agrees('GET', '/api/planters/{planter}/imports/{import}', $ids + ['import' => $import])->assertJsonPath('result.bad', 1);
    agrees('POST', '/api/planters/{planter}/imports/{import}/cancel', $ids + ['import' => $import])->assertConflict();
    agrees('GET', '/api/planters/{planter}/rows/{row}', $ids + ['row' => 1])->assertJsonCount(1, 'shim_moves');
    agrees('GET', '/api/planters/{planter}/wear-chart', $ids + ['query' => '?row=3&check=opener_blade_diameter&side=left'])->assertJsonCount(1, 'points');
    agrees('GET', '/api/planters/{planter}/wear-chart', $ids + ['query' => '?row=3&check=seed_tube&side=centre'])->assertNotFound();
    agrees('GET', '/api/part-types/{partType}/lives', ['partType' => $type, 'query' => "?against={$type}"])->assertJsonPath('curve.parts', 9);
    agrees('GET', '/api/workshop');
    agrees('PATCH', '/api/workshop', body: ['watch_chance' => 0.3, 'ground_factors' => ['soil' => ['sand' => 1.5]], 'measuring_sd' => ['guard_width' => 0.5]]);
    agrees('PATCH', '/api/workshop', body: ['watch_chance' => 7])->assertUnprocessable();
});

it('answers as the OpenAPI document says about spec sheets', function (): void {
    $this->actingAs($this->technician);
    $typical = $this->typicalSheet();
    agrees('GET', '/api/spec-sheets');
    $sheet = agrees('POST', '/api/spec-sheets/{specSheet}/copies', ['specSheet' => $typical->id])->assertCreated()->json();
    $edit = ['name' => 'Own', 'figures' => [], 'notch' => ['value' => '1/4', 'source' => 'manual']];
    agrees('PUT', '/api/spec-sheets/{specSheet}', ['specSheet' => $typical->id], $edit)->assertForbidden();
    agrees('PUT', '/api/spec-sheets/{specSheet}', ['specSheet' => $sheet['id']], ['notch' => ['value' => '0', 'source' => '']] + $edit)->assertUnprocessable();
    agrees('PUT', '/api/spec-sheets/{specSheet}', ['specSheet' => $sheet['id']], $edit)->assertOk();
    agrees('GET', '/api/spec-sheets/{specSheet}', ['specSheet' => $sheet['id']])->assertJsonPath('name', 'Own');

    agrees('POST', '/api/spec-sheets/{specSheet}/preview', ['specSheet' => $sheet['id']], $edit)->assertOk();
    agrees('POST', '/api/spec-sheets/{specSheet}/reset', ['specSheet' => $sheet['id']])->assertOk();
    agrees('PUT', '/api/spec-sheets/{specSheet}', ['specSheet' => $sheet['id']], $edit)->assertOk();

    $own = ['name' => 'Spring length, cm', 'station' => 'downforce', 'kind' => 'at_least', 'limit' => '30', 'sided' => true];
    agrees('POST', '/api/spec-sheets/{specSheet}/own-checks', ['specSheet' => $sheet['id']], $own)->assertCreated();
    agrees('POST', '/api/spec-sheets/{specSheet}/own-checks', ['specSheet' => $sheet['id']], $own)->assertUnprocessable();
    agrees('DELETE', '/api/spec-sheets/{specSheet}/own-checks/{check}', ['specSheet' => $sheet['id'], 'check' => 'own_1'])->assertOk();

    $other = app(CopySpecSheet::class)($typical, $this->technician);
    agrees('PUT', '/api/spec-sheets/{specSheet}', ['specSheet' => $other->id], ['name' => 'own'] + $edit)
        ->assertUnprocessable()->assertJsonPath('errors.name.0', 'You already have a spec sheet named "own". Give this one another name.');
});

it('notices an answer that the document does not describe', function (): void {
    $schema = new OpenApiSchema;
    $me = ['id' => 1, 'name' => 'W', 'email' => 'w@example.test', 'role' => 'owner', 'may' => ['see'], 'planter' => null, 'workshop' => 'T', 'is_demo' => false, 'currency' => 'USD', 'time_zone' => 'UTC', 'units' => 'in', 'number_style' => null, 'theme' => 'light', 'seal' => 'c2VhbA=='];
    expect($schema->faults('get', '/api/me', 200, $me))->toBe([])
        ->and($schema->faults('get', '/api/me', 200, ['units' => 'ell'] + $me))->toBe(['$.units is "ell", not one of in, mm'])
        ->and($schema->faults('get', '/api/me', 200, ['id' => '1'] + $me))->toBe(['$.id is "1", not integer'])
        ->and($schema->faults('get', '/api/me', 200, array_diff_key($me, ['theme' => 1])))->toBe(['$.theme is missing'])
        ->and($schema->faults('get', '/api/me', 200, $me + ['secret' => 1]))->toBe(['$.secret is not described'])
        ->and($schema->faults('get', '/api/me', 418, $me))->toHaveCount(1);
});

it('shows the API to people, and hands it to programs', function (): void {
    $this->get('/openapi')->assertOk()->assertSee('GET /api/yard')->assertSee('Whether it plants deeper after that')->assertSee('seeds_to_tell')->assertSee('Not in this workshop')->assertDontSee('<div id="app">', false);
    expect(json_decode((string) file_get_contents(public_path('openapi.json')), true)['openapi'])->toBe('3.1.0');
});

it('tells the contract in a line for each route and schema', function (): void {
    $told = ApiDigest::of(['paths' => ['/api/rows/{row}' => ['parameters' => [], 'put' => [
        'parameters' => [['$ref' => '#/components/parameters/row'], ['name' => 'again', 'in' => 'query']],
        'requestBody' => ['content' => ['application/json' => ['schema' => ['$ref' => '#/components/schemas/RowEdit']]]],
        'responses' => ['200' => ['content' => ['application/json' => ['schema' => ['type' => 'array', 'items' => ['$ref' => '#/components/schemas/Row']]]]], '404' => [], '201' => ['content' => ['text/csv' => []]]],
    ]]], 'components' => ['schemas' => [
        'Row' => ['type' => 'object', 'required' => ['id'], 'properties' => ['id' => ['type' => 'integer'], 'side' => ['type' => ['string', 'null'], 'enum' => ['left', 'right']], 'of' => ['type' => 'object', 'required' => [], 'properties' => ['mm' => ['type' => ['number', 'null']]]]]],
        'Both' => ['allOf' => [['$ref' => '#/components/schemas/Row'], ['type' => 'object', 'required' => ['so'], 'properties' => ['so' => ['type' => 'boolean']]]]],
    ]]]);
    expect($told)->toBe([
        'PUT /api/rows/{row}(row, again?) RowEdit -> 200 Row[], 404, 201 text/csv',
        '',
        'Both: Row & {so boolean}',
        'Row: {id integer, side? "left"|"right"|null, of? {mm? number|null}}',
    ]);
});
