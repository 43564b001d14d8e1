<?php

declare(strict_types=1);

// What a fitting costs: part of bin/bench.

use App\Models\Planter;
use App\Models\User;
use App\Parts\RecordEvents;
use Carbon\CarbonImmutable;
use Database\Demo\DemoScenario;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** @return array<string, mixed> one fitting of the left opener blade, as the API takes it */
function fitting(int $row, CarbonImmutable $at): array
{
    return ['id' => (string) Str::uuid7(), 'kind' => 'fitted', 'row' => $row, 'slot' => 'opener_blade', 'side' => 'left', 'happened_at' => $at->toIso8601ZuluString()];
}

/**
 * What one fitting takes on a planter of 16 rows and three seasons: now, and put on record two years late; to a plain
 * signed-in route, and in statements to the database.
 *
 * @return array{now: float, late: float, statements: int}
 */
function fittings(Client $client): array
{
    $planter = largePlanter(rows: 16, seasons: 3);
    DB::statement('VACUUM ANALYZE');
    $now = CarbonImmutable::now()->subMinute();
    $times = [];
    for ($round = -3; $round < ROUNDS / 2; $round++) {
        $taken = ['plain' => $client->call('GET', '/api/me')[0]];
        foreach (['now' => $now, 'late' => $now->subYears(2)] as $name => $at) {
            $taken[$name] = $client->call('POST', "/api/planters/{$planter->id}/ledger", ['events' => [fitting(1 + ($round + 3) % 16, $at->addSeconds($round))]])[0];
        }
        foreach ($round < 0 ? [] : $taken as $name => $milliseconds) {
            $times[$name][] = $milliseconds;
        }
    }
    $statements = 0;
    DB::listen(static function () use (&$statements): void {
        $statements++;
    });
    $user = User::query()->where('email', DemoScenario::EMAIL)->firstOrFail();
    $planter = Planter::query()->findOrFail($planter->id);
    $statements = 0;
    app(RecordEvents::class)($planter, $user, [fitting(5, $now)]);

    return ['now' => median($times['now']) / median($times['plain']), 'late' => median($times['late']) / median($times['plain']), 'statements' => $statements];
}
