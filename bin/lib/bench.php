<?php

declare(strict_types=1);

// The measuring part of bin/bench: makes a 24-row planter with five seasons, times requests, weighs the client.

use App\Models\Planter;
use App\Models\SpecSheet;
use App\Models\User;
use App\Models\Walk;
use App\Projections\WalkProjector;
use App\Queries\StoredAnswer;
use Carbon\CarbonImmutable;
use Database\Demo\DemoScenario;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ustrel\Core\Spec\Answer;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Route;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();

const ROUNDS = 80;
const ROWS = 24;
const SEASONS = 5;

/** A signed-in client of the running server. */
final class Client
{
    private CurlHandle $curl;

    private string $token = '';

    public function __construct(private readonly string $base)
    {
        $this->curl = curl_init();
        $this->call('GET', '/sanctum/csrf-cookie');
        $this->call('POST', '/api/sign-in', ['email' => DemoScenario::EMAIL, 'password' => DemoScenario::PASSWORD]);
    }

    /**
     * @param  array<mixed>|null  $data
     * @return array{float, mixed} milliseconds, and the answer
     */
    public function call(string $method, string $path, ?array $data = null): array
    {
        curl_setopt_array($this->curl, [
            CURLOPT_URL => $this->base.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '',
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "Referer: {$this->base}", "X-XSRF-TOKEN: {$this->token}"],
            CURLOPT_POSTFIELDS => $data === null ? '' : json_encode($data, JSON_THROW_ON_ERROR),
        ]);
        $start = hrtime(true);
        $body = curl_exec($this->curl);
        $milliseconds = (hrtime(true) - $start) / 1e6;
        $status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        if ($status >= 400 || ! is_string($body)) {
            fwrite(STDERR, "{$method} {$path} answered {$status}\n");
            exit(1);
        }
        foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $fields = explode("\t", $cookie);
            $this->token = $fields[5] === 'XSRF-TOKEN' ? urldecode($fields[6]) : $this->token;
        }

        return [$milliseconds, json_decode($body, true)];
    }
}

/** @param  list<float>  $values */
function median(array $values): float
{
    sort($values);

    return $values[intdiv(count($values), 2)];
}

/** A large planter with walks behind it, and one open walk with all its readings. */
function largePlanter(): Planter
{
    $user = User::query()->where('email', DemoScenario::EMAIL)->firstOrFail();
    $sheet = SpecSheet::query()->whereNull('workshop_id')->where('type', 'vacuum')->firstOrFail();
    $planter = Planter::query()->create([
        'workshop_id' => $user->workshop_id, 'spec_sheet_id' => $sheet->id, 'farm' => 'Bench', 'name' => 'Bench', 'row_count' => ROWS,
        'spacing_mm' => 508, 'spacing_typed' => '20 in', 'sections' => [ROWS], 'planting_start' => CarbonImmutable::today()->addDays(20),
    ]);
    for ($season = 0; $season < SEASONS; $season++) {
        $at = CarbonImmutable::now()->subYears(SEASONS - 1 - $season)->subHour();
        $open = $season === SEASONS - 1;
        $walk = (new Walk([
            'id' => (string) Str::uuid7(), 'planter_id' => $planter->id, 'season' => $planter->season() - SEASONS + 1 + $season, 'kind' => WalkKind::PreSeason,
            'walk_order' => WalkOrder::RowByRow, 'row_count' => ROWS, 'sheet' => $sheet->sheet, 'started_by' => $user->id, 'started_at' => $at,
            'finished_by' => $open ? null : $user->id, 'finished_at' => $open ? null : $at->addHour(),
        ]))->countPlaces();
        $walk->save();
        $places = Route::through($walk->readSheet(), ROWS, WalkOrder::RowByRow)->places;
        $readings = array_map(static fn (Place $place): array => readingAt($place, $walk, $season, $at), $places);
        foreach (array_chunk($readings, 1000) as $chunk) {
            DB::table('readings')->insert($chunk);
        }
        app(WalkProjector::class)->project($walk->refresh());
    }

    return $planter;
}

/** @return array<string, mixed> a row of the table readings */
function readingAt(Place $place, Walk $walk, int $season, CarbonImmutable $at): array
{
    static $sheets = [];
    $check = ($sheets[$walk->id] ??= $walk->readSheet())->checks[$place->check->value];
    $largest = $check->rule->largest();
    $figure = $largest === null ? 2.0 : $check->unit->valueOf($largest) - 2 * $season;
    $answer = $check->kind->takesFigure() ? Answer::figure($check->unit->quantityOf($figure)) : Answer::state($check->kind->states()[0]);

    return StoredAnswer::columns($answer) + [
        'id' => (string) Str::uuid7(), 'walk_id' => $walk->id, 'planter_id' => $walk->planter_id, 'row_number' => $place->row, 'check_key' => $place->check->value,
        'side' => $place->side->value, 'result' => 'recorded', 'entry' => 'typed', 'typed' => $answer->quantity === null ? null : '',
        'confirmed' => false, 'taken_at' => $at, 'recorded_at' => $at, 'user_id' => $walk->started_by,
    ];
}

/** @return list<array<string, mixed>> */
function readings(int $count): array
{
    return array_map(static fn (int $index): array => [
        'id' => (string) Str::uuid7(), 'row' => 1 + $index % ROWS, 'check' => 'opener_blade_diameter', 'side' => $index % 2 === 0 ? 'left' : 'right',
        'typed' => '14 11/16', 'confirmed' => true, 'taken_at' => gmdate('Y-m-d\TH:i:s\Z'),
    ], range(0, $count - 1));
}

/** Compressed bytes of the script that a first visit to a screen loads. */
function scriptBytes(string $screen): int
{
    $build = dirname(__DIR__, 2).'/public/build';
    $manifest = json_decode((string) file_get_contents("{$build}/manifest.json"), true, 16, JSON_THROW_ON_ERROR);
    $files = [];
    $visit = function (string $key) use (&$visit, &$files, $manifest): void {
        if (isset($files[$key])) {
            return;
        }
        $files[$key] = $manifest[$key]['file'];
        array_map($visit, $manifest[$key]['imports'] ?? []);
    };
    $visit('resources/js/main.ts');
    $visit("resources/js/screens/{$screen}.vue");

    return array_sum(array_map(
        static fn (string $file): int => str_ends_with($file, '.js') ? strlen((string) gzencode((string) file_get_contents("{$build}/{$file}"), 6)) : 0, $files,
    ));
}

$over = 0;
$report = static function (string $what, float $measured, float $budget, string $unit) use (&$over): void {
    $held = $measured <= $budget;
    $over += $held ? 0 : 1;
    printf("%-62s %8.2f %s, budget %g %s: %s\n", $what, $measured, $unit, $budget, $unit, $held ? 'held' : 'OVER');
};

$planter = largePlanter();
$walk = $planter->walks()->whereNull('finished_at')->firstOrFail();
$client = new Client((string) getenv('BASE_URL'));

// Taken in turns, so that whatever else the machine does falls on both alike.
$times = ['plain' => [], 'board' => [], 'one' => [], 'many' => []];
for ($round = -10; $round < ROUNDS; $round++) {
    [$plain] = $client->call('GET', '/api/me');
    [$board] = $client->call('GET', "/api/planters/{$planter->id}/board");
    if ($round >= 0) {
        array_push($times['plain'], $plain);
        array_push($times['board'], $board);
    }
}
for ($round = 0; $round < 10; $round++) {
    $times['one'][] = $client->call('POST', "/api/walks/{$walk->id}/readings", ['readings' => readings(1)])[0];
    $times['many'][] = $client->call('POST', "/api/walks/{$walk->id}/readings", ['readings' => readings(500)])[0];
}

$report('Board of 24 rows and 5 seasons, to a plain signed-in route', median($times['board']) / median($times['plain']), 3, 'x');
$report('Saving 500 queued readings, to saving one', median($times['many']) / median($times['one']), 25, 'x');
$report('Script of a first visit (yard), compressed', scriptBytes('yard/YardScreen') / 1000, 350, 'kB');
$report('Script of a first visit straight to a walk, compressed', scriptBytes('walk/WalkScreen') / 1000, 350, 'kB');
exit($over > 0 ? 1 : 0);
