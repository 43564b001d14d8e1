<?php

declare(strict_types=1);

// What watching rows costs, and whether the board notices it: part of bin/bench.

use App\Field\Watch\StartWatch;
use App\Models\Bench\Device;
use App\Models\Field\WatchRun;
use App\Models\Planter;
use App\Models\User;
use App\Record\Fields;
use Database\Demo\DemoScenario;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ustrel\Core\Field\Watch\MonitorLine;
use Ustrel\Core\Field\Watch\PracticeField;
use Ustrel\Core\Field\Watch\RowWatch;

const WATCHED_ROWS = 48;

/** Seconds that a monitor tells, five times a second. */
const WATCHED = 60;

/** @return float milliseconds to watch one row for a second, at five moments a second */
function watchedRow(): float
{
    $field = new PracticeField(WATCHED_ROWS, 7);
    $lines = array_map(static fn (int $at): MonitorLine => MonitorLine::of(['ms' => 200 * $at] + $field->at(10 + intdiv($at, 5)), WATCHED_ROWS), range(0, 899));
    $watch = RowWatch::begin(120.0, [], 1600.0);
    $start = hrtime(true);
    foreach ($lines as $line) {
        $watch->take($line);
    }

    return (hrtime(true) - $start) / 1e6 / (180 * WATCHED_ROWS);
}

/** @return array{float, int} the board while a monitor tells of 48 rows to the board by itself, and how many moments are lost */
function watchRows(Client $client, Planter $planter): array
{
    $user = User::query()->where('email', DemoScenario::EMAIL)->firstOrFail();
    $monitor = Device::query()->create(['workshop_id' => $user->workshop_id, 'kind' => Device::MONITOR, 'name' => 'Bench', 'user_id' => $user->id, 'made_at' => now()]);
    $token = $monitor->createToken('Bench', [Device::MONITOR])->plainTextToken;
    $own = Planter::query()->create(['workshop_id' => $user->workshop_id, 'spec_sheet_id' => $planter->spec_sheet_id, 'farm' => 'Bench', 'name' => 'Watched', 'row_count' => WATCHED_ROWS, 'spacing_mm' => 508, 'spacing_typed' => '20 in', 'sections' => [24, 24]]);
    $run = app(StartWatch::class)($user, $own, Fields::of(['id' => (string) Str::uuid7()], 'watch.item'))->id;
    $board = static fn (): float => $client->call('GET', "/api/planters/{$planter->id}/board")[0];
    $idle = array_map(static fn (): float => $board(), range(1, 60));
    $feeder = pcntl_fork();
    if ($feeder === 0) {
        tell((string) getenv('BASE_URL'), $token, $run);
        posix_kill(posix_getpid(), SIGKILL);
    }
    $busy = [];
    for ($until = hrtime(true) + WATCHED * 10 ** 9; hrtime(true) < $until;) {
        $busy[] = $board();
        usleep(100_000);
    }
    pcntl_waitpid($feeder, $status);
    DB::purge();
    $last = WatchRun::query()->findOrFail($run)->last_ms;
    WatchRun::query()->whereKey($run)->delete();
    $own->delete();

    return [median($busy) / median($idle), (int) ((200 * (5 * WATCHED - 1) - $last) / 200)];
}

function tell(string $base, string $token, string $run): void
{
    $field = new PracticeField(WATCHED_ROWS, 7);
    $curl = curl_init();
    $began = hrtime(true);
    for ($second = 0; $second < WATCHED; $second++) {
        $wait = $began + $second * 10 ** 9 - hrtime(true);
        $wait > 0 && usleep(intdiv($wait, 1000));
        $lines = implode("\n", array_map(static fn (int $at): string => (string) json_encode(['ms' => 1000 * $second + 200 * $at] + $field->at(10 + $second)), range(0, 4)));
        curl_setopt_array($curl, [CURLOPT_URL => "{$base}/api/monitor/runs/{$run}", CURLOPT_POST => true, CURLOPT_POSTFIELDS => $lines, CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ["Authorization: Bearer {$token}", 'Accept: application/json', 'Content-Type: application/x-ndjson']]);
        curl_exec($curl);
    }
}
