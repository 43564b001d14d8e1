<?php

declare(strict_types=1);

use Database\Demo\DemoScenario;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

/** @return list<list<string>> */
function csvLines(string $csv): array
{
    return array_map(fn (string $line): array => str_getcsv($line, ',', '"', ''), explode("\r\n", rtrim($csv, "\r\n")));
}

it('exports a walk as CSV, one place a line', function (): void {
    $planter = $this->planter(['row_count' => 2, 'farm' => '=Bank, "lower"', 'name' => 'Quill', 'planting_start' => '2026-04-20']);
    $walk = $this->openWalk($planter);
    $this->send($walk, $this->reading(1, '14 3/8', ['taken_at' => '2026-03-01T09:30:00.000Z']), $this->contact(1, '0'), $this->state(1, 'seed_tube', 'watch', ['chips' => ['dog_ear', 'curled_lip']]))->assertOk();

    $answer = $this->get("/api/walks/{$walk->id}/export.csv")->assertOk()->assertHeader('Content-Disposition', 'attachment; filename=bank-lower-quill-2026-pre-season.csv');
    $lines = csvLines($answer->streamedContent());
    $line = fn (string ...$place): array => collect($lines)->firstOrFail(fn (array $line): bool => [$line[4], $line[6], $line[7]] === $place);
    expect($lines)->toHaveCount(1 + 2 * 62 + 13)
        ->and($lines[0])->toBe(['farm', 'planter', 'season', 'walk', 'row', 'station', 'check', 'side', 'result', 'value', 'unit', 'inches', 'state', 'ticked', 'verdict', 'reason', 'last_value', 'last_state', 'last_season', 'taken_at'])
        ->and($line('1', 'opener_blade_diameter', 'left'))->toBe(['\'=Bank, "lower"', 'Quill', '2026', 'pre_season', '1', 'opener_blades', 'opener_blade_diameter', 'left', 'recorded', '365.125', 'mm', '14.375', '', '', 'change', '1/8 in under the limit of 14 1/2 in.', '', '', '', '2026-03-01T09:30:00Z'])
        ->and($line('1', 'blade_contact_length', 'centre'))->toContain('0', 'No contact: two grooves with a ridge between. The window starts at 1 1/2 in.')
        ->and($line('1', 'seed_tube', 'centre'))->toContain('watch', 'curled_lip dog_ear', 'Curled lip. Dog-ear.')
        ->and(array_slice($line('2', 'blade_contact_length', 'centre'), 8, 8))->toBe(['unchecked', '', '', '', '', '', 'unchecked', '']);
});

it('reads the board and the yard in a fixed number of queries', function (): void {
    $count = function (string $address): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->actingAs($this->technician)->getJson($address)->assertOk();
        DB::disableQueryLog();

        return count(DB::getQueryLog());
    };
    $small = $this->planter(['row_count' => 1]);
    $large = $this->planter(['row_count' => 48]);
    $walk = $this->openWalk($large);
    $this->send($walk, ...array_map(fn (int $row): array => $this->reading($row, '14 3/4'), range(1, 48)))->assertOk();
    $this->openWalk($small);

    expect($count("/api/planters/{$large->id}/board"))->toBe($count("/api/planters/{$small->id}/board"))->toBeLessThan(10);
    $two = $count('/api/yard');
    for ($more = 0; $more < 5; $more++) {
        $this->planter();
    }
    expect($count('/api/yard'))->toBe($two)->toBeLessThan(6);
});

it('shows what a walk is expected to find, and what waits once it has found it', function (): void {
    $planter = $this->planter(['row_count' => 3, 'planned_acres' => 300, 'planting_days' => 10]);
    $this->actingAs($this->technician);
    $past = $this->openWalk($planter);
    $this->send($past, $this->reading(1, '14 1/4', ['confirmed' => true]), $this->reading(2, '14 15/16'))->assertOk();
    $this->postJson("/api/walks/{$past->id}/finish", ['with_unchecked' => true])->assertOk();
    App\Models\Walk\Walk::query()->whereKey($past->id)->update(['season' => 2020]);

    $told = fn (array $ribbon): array => array_map(fn (array $row): array => [$row['verdict'], $row['expected'] ?? null], $ribbon);
    $expected = [['unchecked', 'change'], ['unchecked', 'sound'], ['unchecked', null]];
    expect($told($this->getJson('/api/yard')->json('0.ribbon')))->toBe($expected)
        ->and($told($this->getJson("/api/planters/{$planter->id}/board")->json('ribbon')))->toBe($expected)
        ->and($told($this->getJson("/api/planters/{$planter->id}/face")->json('ribbon')))->toBe($expected);
    $this->getJson('/api/yard')->assertJsonPath('0.to_decide', 0)->assertJsonPath('0.rows_to_change', 0);

    $walk = $this->openWalk($planter);
    $this->send($walk, $this->reading(1, '14 1/4', ['confirmed' => true]), $this->contact(1, '0'))->assertOk();
    $this->getJson('/api/yard')->assertJsonPath('0.to_decide', 2)->assertJsonPath('0.to_measure_again', 0)
        ->assertJsonPath('0.ribbon.0.verdict', 'change')->assertJsonPath('0.ribbon.1.expected', 'sound')->assertJsonMissingPath('0.ribbon.0.expected');
    $this->postJson("/api/planters/{$planter->id}/ledger", ['events' => [$this->fitting(1, now()->toDateString(), ['happened_at' => now()->addSeconds(2)->toIso8601ZuluString()])]])->assertCreated();
    // The new blade is sound; the contact has to be measured again.
    $this->getJson('/api/yard')->assertJsonPath('0.to_decide', 0);
    expect($this->getJson('/api/yard')->json('0.to_measure_again'))->toBeGreaterThan(0);
});

it('loads the demo: four planters, past seasons walked, one walk half done, and the state agrees with the record', function (): void {
    $today = Carbon\CarbonImmutable::parse('2026-03-02');
    $this->travelTo($today->setTime(12, 0));
    app(DemoScenario::class)->load($today);
    $wren = App\Models\User::query()->where('email', DemoScenario::EMAIL)->firstOrFail();

    $yard = $this->actingAs($wren)->getJson('/api/yard')->assertOk()->json();
    expect(array_column($yard, 'row_count', 'name'))->toEqual(['Quill Bottom' => 16, 'Hask Hill' => 8, 'Merrow Flats' => 24, 'Pell Garden' => 2]);
    $quill = collect($yard)->firstWhere('name', 'Quill Bottom');
    expect($quill['share_walked'])->toEqualWithDelta(0.5528, 0.0001)->and($quill['walk_open'])->toBeTrue()->and($quill['days_to_planting'])->toBe(23);

    $cells = collect($this->getJson("/api/planters/{$quill['id']}/board")->json('cells'));
    $steps = collect($this->getJson("/api/planters/{$quill['id']}/guide")->json('steps'));
    $at = fn (int $row, string $check): array => $cells->where('row', $row)->firstWhere('check', $check);
    expect($at(3, 'opener_blade_diameter')['now']['reasons'][0]['code'])->toBe('under_limit')
        ->and($at(6, 'blade_contact_length')['now']['reasons'][0]['code'])->toBe('no_contact')
        // A seed tube that was changed since has no last time.
        ->and($steps->whereNull('last')->pluck('check')->unique()->all())->toBe(['seed_tube']);

    // Rows behind the tractor's tires have lost more than their neighbours.
    $lost = fn (array $rows): float => $steps->where('check', 'opener_blade_diameter')->whereIn('row', $rows)->avg(fn (array $cell): float => 381 - $cell['last']['value']);
    expect($lost([4, 5, 12, 13]))->toBeGreaterThan($lost([1, 2, 7, 9, 10, 11, 14, 15, 16]) * 1.1);
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('describes every route in the OpenAPI document', function (): void {
    $document = json_decode((string) file_get_contents(public_path('openapi.json')), true);
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'api/')) {
            expect($document['paths']['/'.rtrim($route->uri(), '/')] ?? [])->toHaveKey(strtolower($route->methods()[0]), message: $route->uri());
        }
    }
});
