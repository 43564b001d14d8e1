<?php

declare(strict_types=1);

use App\Http\CsvSheet;
use App\Models\Parts\LedgerEvent;
use App\Models\Parts\PartType;
use App\Models\People\Attempt;
use App\Models\Planter;
use App\Models\SpecSheet;
use App\Models\Walk\Reading;
use App\Models\Wear\AcresEntry;
use App\Spec\CopySpecSheet;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\ApiRoutes;
use Tests\HostileRequests;

it('answers whatever is sent with something other than a fault of its own', function (): void {
    $planter = $this->planter();
    $walk = $this->openWalk($planter, null);
    $ids = $this->everything($planter, $walk) + ['run' => (string) Str::uuid7()];
    $requests = new HostileRequests((int) (getenv('FUZZ_SEED') ?: 1), array_map(strval(...), $ids));
    $operations = $requests->operations();
    // Every route that there is gets its turn, with something that is there to name.
    $routes = array_map(static fn (array $operation): string => "{$operation[0]} ".ltrim($operation[1], '/'), $operations);
    expect($routes)->toEqualCanonicalizing(array_keys(ApiRoutes::all()));
    preg_match_all('/\{(\w+)\}/', implode(' ', $routes), $named);
    expect(array_values(array_diff(array_unique($named[1]), array_keys($ids))))->toBe([]);
    $count = (int) (getenv('FUZZ') ?: 3000);
    // Held back they would not reach what they are meant for.
    RateLimiter::for('writes', static fn (): Limit => Limit::none());
    $faults = [];
    $statuses = [];
    for ($turn = 0; $turn < $count; $turn++) {
        [$method, $path, $operation] = $operations[$turn % count($operations)];
        if ($path === '/api/sign-out') {
            continue;
        }
        [$address, $type, $body] = $requests->make($path, $operation);
        Attempt::query()->delete();
        $this->switchTo($this->technician);
        $form = $type === 'multipart/form-data' ? (array) json_decode($body, true) : [];
        $files = $form === [] || $turn % 7 === 0 ? [] : [str_contains($path, 'photos') ? 'photo' : 'file' => UploadedFile::fake()->createWithContent('x.csv', "Date,Field,Acres\n2025-04-28,A,5\n")];
        $answer = $this->call($method, $address, $form, [], $files, [
            'CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json', 'HTTP_REFERER' => config('app.url'),
        ], $form === [] ? $body : '');
        $statuses[$answer->getStatusCode()] = ($statuses[$answer->getStatusCode()] ?? 0) + 1;
        if ($answer->getStatusCode() >= 500) {
            $why = $answer->exception === null ? '' : get_class($answer->exception).': '.substr($answer->exception->getMessage(), 0, 200).' at '.$answer->exception->getFile().':'.$answer->exception->getLine();
            $faults[] = "{$method} {$address} ".substr($body, 0, 300)." => {$answer->getStatusCode()} {$why}";
        }
    }
    expect(array_slice($faults, 0, 8))->toBe([])
        // It did reach what is behind the reader.
        ->and(($statuses[200] ?? 0) + ($statuses[201] ?? 0))->toBeGreaterThan($count / 20)
        ->and($statuses[422] ?? 0)->toBeGreaterThan($count / 10)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('takes nothing for what it is not', function (string $method, string $path, array $body, string $field): void {
    $planter = $this->planter();
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $address = strtr($path, ['{planter}' => $planter->id, '{specSheet}' => $sheet->id]);
    $counts = fn (): array => [Planter::query()->count(), AcresEntry::query()->count(), LedgerEvent::query()->count(), Reading::query()->count(), PartType::query()->count(), SpecSheet::query()->get('sheet')->toJson()];
    $before = $counts();
    $answer = $this->actingAs($this->technician)->json($method, $address, $body)->assertUnprocessable();
    expect(array_keys($answer->json('errors')))->toContain($field)
        ->and($counts())->toBe($before);
})->with([
    'true for 1' => ['POST', '/api/planters', ['farm' => 'A', 'name' => 'B', 'row_count' => true, 'spacing' => '30', 'spec_sheet_id' => 1], 'row_count'],
    'a list for a length' => ['POST', '/api/planters', ['farm' => 'A', 'name' => 'B', 'row_count' => 4, 'spacing' => ['30'], 'spec_sheet_id' => 1], 'spacing'],
    'fields for a list' => ['POST', '/api/planters', ['farm' => 'A', 'name' => 'B', 'row_count' => 4, 'spacing' => '30', 'sections' => ['a' => 4], 'spec_sheet_id' => 1], 'sections'],
    'text for rows' => ['POST', '/api/planters', ['farm' => 'A', 'name' => 'B', 'row_count' => '4', 'spacing' => '30', 'spec_sheet_id' => 1], 'row_count'],
    'the 30th of February' => ['POST', '/api/planters', ['farm' => 'A', 'name' => 'B', 'row_count' => 4, 'spacing' => '30', 'planting_start' => '2026-02-30', 'spec_sheet_id' => 1], 'planting_start'],
    'a list for a size' => ['POST', '/api/part-types', ['name' => 'A', 'slots' => ['opener_blade'], 'per_row' => 2, 'new_size' => ['15']], 'new_size'],
    'a list for a life' => ['POST', '/api/part-types', ['name' => 'A', 'slots' => ['opener_blade'], 'per_row' => 2, 'life' => [1]], 'life'],
    'a list for acres' => ['POST', '/api/planters/{planter}/acres', ['id' => '0198b0c0-0000-7000-8000-000000000001', 'day' => '2026-04-20', 'field' => 'A', 'acres' => [1]], 'acres'],
    'acres as text' => ['POST', '/api/planters/{planter}/acres', ['id' => '0198b0c0-0000-7000-8000-000000000001', 'day' => '2026-04-20', 'field' => 'A', 'acres' => '80'], 'acres'],
    'hardly any acres' => ['POST', '/api/planters/{planter}/acres', ['id' => '0198b0c0-0000-7000-8000-000000000001', 'day' => '2026-04-20', 'field' => 'A', 'acres' => 0.0004], 'acres'],
    'acres too fine' => ['POST', '/api/planters/{planter}/acres', ['id' => '0198b0c0-0000-7000-8000-000000000001', 'day' => '2026-04-20', 'field' => 'A', 'acres' => 9999.9999], 'acres'],
    'speed as text' => ['POST', '/api/planters/{planter}/acres', ['id' => '0198b0c0-0000-7000-8000-000000000001', 'day' => '2026-04-20', 'field' => 'A', 'acres' => 8, 'mph' => '5'], 'mph'],
    'a day no calendar has' => ['POST', '/api/planters/{planter}/acres', ['id' => '0198b0c0-0000-7000-8000-000000000001', 'day' => '2026-02-30', 'field' => 'A', 'acres' => 8], 'day'],
    'a row as text' => ['POST', '/api/planters/{planter}/ledger', ['events' => [['id' => '0198b0c0-0000-7000-8000-000000000001', 'kind' => 'fitted', 'happened_at' => '2025-03-01T10:00:00Z', 'row' => '1', 'slot' => 'opener_blade', 'side' => 'left']]], 'events.0.row'],
    'a row as 1.0' => ['POST', '/api/planters/{planter}/ledger', ['events' => [['id' => '0198b0c0-0000-7000-8000-000000000001', 'kind' => 'fitted', 'happened_at' => '2025-03-01T10:00:00Z', 'row' => 1.5, 'slot' => 'opener_blade', 'side' => 'left']]], 'events.0.row'],
    'a type as text' => ['POST', '/api/planters/{planter}/ledger', ['events' => [['id' => '0198b0c0-0000-7000-8000-000000000001', 'kind' => 'fitted', 'happened_at' => '2025-03-01T10:00:00Z', 'row' => 1, 'slot' => 'opener_blade', 'side' => 'left', 'part_type_id' => '1']]], 'events.0.part_type_id'],
    'an id of 70,000 letters' => ['POST', '/api/planters/{planter}/ledger', ['events' => [['id' => str_repeat('a', 70_000), 'kind' => 'removed', 'happened_at' => '2025-03-01T10:00:00Z']]], 'events.0.id'],
    'a list for an address' => ['POST', '/api/sign-in', ['email' => ['x'], 'password' => 'x'], 'email'],
    'odds as text' => ['PATCH', '/api/workshop', ['watch_chance' => '0.3'], 'watch_chance'],
    'no such zone' => ['PATCH', '/api/workshop', ['time_zone' => 'Ardle/Valley'], 'time_zone'],
]);

it('turns away what nobody can read, on every way of sending it', function (string $method, string $body, int $status): void {
    $walk = $this->openWalk($this->planter());
    $answer = $this->actingAs($this->technician)->call($method, "/api/walks/{$walk->id}".($method === 'POST' ? '/notes' : ''), [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $body);
    expect($answer->getStatusCode())->toBe($status)->and($answer->json('message'))->toContain('Nothing was stored');
})->with([
    'broken off' => ['PATCH', '{"order": "row_by', 400],
    'no fields' => ['PATCH', '"row_by_row"', 400],
    'a NUL' => ['POST', '{"text": "a\u0000b"}', 422],
    'a byte that is no letter' => ['POST', "{\"text\": \"a\xffb\"}", 400],
    'a number beyond all measure' => ['POST', '{"row": 1e400}', 422],
]);

it('turns away addresses that nobody can read', function (string $address, int $status): void {
    $planter = $this->planter();
    $this->actingAs($this->technician)->getJson(strtr($address, ['{planter}' => (string) $planter->id]))->assertStatus($status);
})->with([
    ['/api/planters/{planter}/toolbar-level?pitch=%ff', 422], ['/api/planters/{planter}/rows/99999999999999999999', 404], ['/api/planters/{planter}/board?walk[]=1', 404],
    ['/api/planters/{planter}/history?row[]=1&check=seed_tube&side=centre', 422], ['/api/planters/{planter}/history?row=1e1&check=seed_tube&side=centre', 422],
]);

it('keeps a picture whole or not at all', function (): void {
    $image = imagecreatetruecolor(600, 400);
    for ($line = 0; $line < 400; $line++) {
        imageline($image, 0, $line, 600, 400 - $line, (int) imagecolorallocate($image, $line % 256, ($line * 7) % 256, 90));
    }
    ob_start();
    imagejpeg($image, null, 90);
    $whole = (string) ob_get_clean();
    $walk = $this->openWalk($this->planter(), null);
    $send = fn (string $content) => $this->actingAs($this->technician)->post("/api/walks/{$walk->id}/photos", [
        'id' => (string) Str::uuid7(), 'row' => 1, 'check' => 'seed_tube', 'side' => 'centre', 'taken_at' => '2026-03-01T09:30:00Z', 'photo' => UploadedFile::fake()->createWithContent('photo.jpg', $content),
    ], ['Accept' => 'application/json']);
    $send(substr($whole, 0, intdiv(strlen($whole), 2)))->assertUnprocessable()->assertJsonPath('errors.photo.0', 'This picture cannot be read. Take it again.');
    $send($whole)->assertCreated();
});

it('answers a device token whose number no database holds as it answers any that is wrong', function (): void {
    foreach (['9999999999999999999|x', '99999999999999999999999999|x', '7|x', 'x'] as $token) {
        $this->withToken($token)->getJson('/api/yard')->assertUnauthorized();
    }
});

it('takes no character that nobody sees, and no moment of the last century', function (): void {
    $planter = $this->planter(['planting_start' => '2026-04-17']);
    $this->actingAs($this->technician);
    foreach (["Long\u{202E}Field", "Long\u{0007}Field", "Long\u{200F}Field"] as $name) {
        $this->logAcres($planter, '2026-04-20', 20, ['field' => $name])->assertUnprocessable();
        $this->postJson('/api/seed/lots', ['name' => $name, 'seeds_per_unit' => 80_000])->assertUnprocessable();
    }
    $sign = fn (string $at): TestResponse => $this->postJson("/api/planters/{$planter->id}/first-pass/sign-offs", ['kind' => 'hand_turned', 'id' => (string) Str::uuid7(), 'happened_at' => $at]);
    $sign('1900-01-01T00:00:00Z')->assertUnprocessable()->assertJsonPath('errors.happened_at.0', 'That says it was on 1900-01-01. Check the date and the device\'s clock.');
    $this->postJson("/api/planters/{$planter->id}/first-pass/sign-offs", ['kind' => 'hand_turned', 'rows' => 'all', 'id' => (string) Str::uuid7(), 'happened_at' => '2026-04-01T00:00:00Z'])
        ->assertUnprocessable()->assertJsonPath('errors.rows.0', 'Name rows that this planter has: 1 to 8.');
    $this->getJson("/api/planters/{$planter->id}/season/speed?acres_an_hour=1e-400")->assertUnprocessable();
});

it('guards a table against formulas, full-width ones too', function (): void {
    expect(array_map(CsvSheet::cell(...), ['=1+1', "\u{FF1D}1+1", "\u{FF0B}1", "\u{FF20}x", '-3.5', 'Ölfeld']))->toBe(["'=1+1", "'\u{FF1D}1+1", "'\u{FF0B}1", "'\u{FF20}x", '-3.5', 'Ölfeld']);
});
