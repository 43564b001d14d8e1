<?php

declare(strict_types=1);

// What a run on a test stand costs, and whether the board notices it: part of bin/bench.

use App\Bench\Stand\PrepareRun;
use App\Models\Bench\Device;
use App\Models\Bench\StandRun;
use App\Models\Planter;
use App\Models\User;
use App\Record\Fields;
use Database\Demo\DemoScenario;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ustrel\Core\Meter\PracticeMeter;
use Ustrel\Core\Meter\RunFigures;

/** Seconds that seeds stream in. */
const STREAM = 30;

/** @return float milliseconds to read 5,000 seeds: counts, indices and cells */
function seedsRead(): float
{
    $meter = new PracticeMeter(60, 30.0, 6.5);
    $times = $meter->drops(5000, 1);
    $taken = [];
    for ($round = 0; $round < 9; $round++) {
        $start = hrtime(true);
        RunFigures::of($times, $meter->every(), 60, 5000);
        $taken[] = (hrtime(true) - $start) / 1e6;
    }

    return median($taken);
}

/**
 * Two thousand lines a second, over ten runs that share them: half a second of them at a time.
 *
 * @return array{float, int} the board while they stream to the board by itself, and how many are lost or there twice
 */
function stream(Client $client, Planter $planter): array
{
    $user = User::query()->where('email', DemoScenario::EMAIL)->firstOrFail();
    $stand = Device::query()->create(['workshop_id' => $user->workshop_id, 'name' => 'Bench', 'user_id' => $user->id, 'made_at' => now()]);
    $token = $stand->createToken('Bench', [Device::STAND])->plainTextToken;
    $sheet = $planter->spec_sheet_id;
    $runs = array_map(static function (int $number) use ($user, $sheet): string {
        $own = Planter::query()->create(['workshop_id' => $user->workshop_id, 'spec_sheet_id' => $sheet, 'farm' => 'Bench', 'name' => "Streams {$number}", 'row_count' => 4, 'spacing_mm' => 508, 'spacing_typed' => '20 in', 'sections' => [4]]);

        return app(PrepareRun::class)($user, $own, Fields::of(['id' => (string) Str::uuid7(), 'row' => 1, 'stage' => 'pre', 'cells' => 60, 'places' => 5000], 'bench.item'))->id;
    }, range(1, 10));
    $board = static fn (): float => $client->call('GET', "/api/planters/{$planter->id}/board")[0];
    $idle = array_map(static fn (): float => $board(), range(1, 60));
    $feeder = pcntl_fork();
    if ($feeder === 0) {
        feed((string) getenv('BASE_URL'), $token, $runs);
        posix_kill(posix_getpid(), SIGKILL);
    }
    $busy = [];
    for ($until = hrtime(true) + STREAM * 10 ** 9; hrtime(true) < $until;) {
        $busy[] = $board();
        usleep(100_000);
    }
    pcntl_waitpid($feeder, $status);
    DB::purge();
    $there = DB::table('stand_drops')->whereIn('stand_run_id', $runs)->count();
    StandRun::query()->whereIn('id', $runs)->delete();

    return [median($busy) / median($idle), abs($there - 2000 * STREAM)];
}

/** @param  list<string>  $runs */
function feed(string $base, string $token, array $runs): void
{
    $curl = curl_init();
    $sent = array_fill_keys($runs, 0);
    $began = hrtime(true);
    for ($turn = 0; $turn < 2 * STREAM; $turn++) {
        $wait = $began + $turn * 5 * 10 ** 8 - hrtime(true);
        $wait > 0 && usleep(intdiv($wait, 1000));
        foreach ($runs as $run) {
            $lines = '';
            for ($line = 0; $line < 100; $line++) {
                $lines .= '{"seq":'.++$sent[$run].',"ms":'.(5 * $sent[$run])."}\n";
            }
            curl_setopt_array($curl, [CURLOPT_URL => "{$base}/api/stand/runs/{$run}", CURLOPT_POST => true, CURLOPT_POSTFIELDS => $lines, CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ["Authorization: Bearer {$token}", 'Accept: application/json', 'Content-Type: application/x-ndjson']]);
            curl_exec($curl);
        }
    }
}
