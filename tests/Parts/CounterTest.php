<?php

declare(strict_types=1);

use App\Models\Parts\PartType;
use App\Models\Parts\Supplier;
use App\Parts\CounterAddress;
use Illuminate\Support\Facades\Http;
use Illuminate\Testing\TestResponse;
use Symfony\Component\Process\Process;

beforeAll(function (): void {
    $socket = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) explode(':', (string) stream_socket_get_name($socket, false))[1];
    fclose($socket);
    $process = new Process(['setsid', PHP_BINARY, 'artisan', 'ustrel:stand-in', 'parts', "--port={$port}"], dirname(__DIR__, 2));
    $process->start();
    for ($tries = 0; $tries < 200 && @fsockopen('127.0.0.1', $port) === false; $tries++) {
        usleep(50_000);
    }
    counterStandIn($port, $process);
});
// The whole group: those that answer outlive the one that started them.
afterAll(fn () => posix_kill(-counterStandIn()[1]->getPid(), SIGTERM));

/** @return array{int, Process} where it answers, and what runs it */
function counterStandIn(?int $port = null, ?Process $process = null): array
{
    static $runs = [];

    return $port === null ? $runs : $runs = [$port, $process];
}

/** @return array{int, Process} a counter of somebody who means ill: it sends what is written there, again and again */
function counterThatSends(string $head, string $again, int $times): array
{
    $process = new Process([PHP_BINARY, '-r', <<<'PHP'
        $server = stream_socket_server('tcp://127.0.0.1:0');
        echo explode(':', stream_socket_get_name($server, false))[1], "\n";
        $client = stream_socket_accept($server, 30);
        fread($client, 65536);
        fwrite($client, "HTTP/1.1 {$argv[1]}\r\n");
        for ($again = base64_decode($argv[2]), $i = 0; $i < $argv[3] && @fwrite($client, $again) !== false; $i++);
        PHP, $head, base64_encode($again), (string) $times]);
    $process->start();
    $process->waitUntil(static fn (string $kind, string $out): bool => str_contains($out, "\n"));

    return [(int) $process->getOutput(), $process];
}

/** Says where the stand-in answers; null: nowhere. */
function standInAt(?int $port): void
{
    $file = tempnam(sys_get_temp_dir(), 'port');
    file_put_contents((string) $file, (string) $port);
    config(['ustrel.stand_in_port_file' => $file]);
}

beforeEach(function (): void {
    standInAt(counterStandIn()[0]);
    $this->actingAs($this->technician);
    $part = fn (?string $number, string $name): int => PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => $name, 'own_number' => $number, 'slots' => ['seed_tube'], 'price' => null, 'per_row' => 1])->id;
    [$this->tube, $this->boot] = [$part('T-140', 'Tube'), $part(null, 'Boot')];
    $this->supplier = fn (?string $counter, array $more = []): array => $this->postJson('/api/suppliers', $more + ['name' => 'Brook Supply', 'prices' => [], 'counter' => $counter])->assertCreated()->json();
    $this->behaves = fn (array $supplier, ?string $counter): array => $this->putJson("/api/suppliers/{$supplier['id']}", ['name' => $supplier['name'], 'prices' => $supplier['prices'], 'counter' => $counter, 'revision' => $supplier['revision']])->assertOk()->json();
    $this->ask = fn (array $supplier): TestResponse => $this->postJson("/api/suppliers/{$supplier['id']}/ask");
    $this->shelf = fn (string $name): array => array_column($this->getJson('/api/store')->json(), null, 'name')[$name];
});

it('asks a parts counter what the shop has a number for, and goes by what it says', function (): void {
    $supplier = ($this->supplier)('practice:works');
    expect(($this->shelf)('Tube')['price'])->toBeNull();
    ($this->ask)($supplier)->assertOk()->assertJsonPath('answered', 1)->assertJsonPath('fault', null);
    $tube = ($this->shelf)('Tube');
    expect($tube['price'])->toBeGreaterThan(0)->and($tube['in_stock'])->toBeInt()->and($tube['supplier_id'])->toBe($supplier['id'])
        // Nobody asked for what has no number.
        ->and(($this->shelf)('Boot'))->toMatchArray(['price' => null, 'supplier_id' => null]);
    // Asked again, it says the same.
    ($this->ask)($supplier)->assertOk()->assertJsonPath('revision', $supplier['revision']);
    expect(($this->shelf)('Tube'))->toBe($tube);
});

it('goes by what is newer, what somebody wrote down or what the counter said', function (string $since, bool $isWritten): void {
    $supplier = ($this->supplier)('practice:works', ['prices' => [['part_type_id' => $this->tube, 'price' => 1.25, 'lead_days' => 2, 'since' => $since]]]);
    ($this->ask)($supplier)->assertOk();
    expect(($this->shelf)('Tube')['price'] === 1.25)->toBe($isWritten);
})->with(['long ago' => ['2020-01-10', false], 'after it' => ['2099-01-10', true]]);

it('keeps what a counter said before where it cannot be used, and says why', function (string $manner, string $says): void {
    $supplier = ($this->supplier)('practice:works');
    $answered = ($this->ask)($supplier)->json('answered_at');
    $tube = ($this->shelf)('Tube');
    $supplier = ($this->behaves)($supplier, "practice:{$manner}");
    $began = microtime(true);
    ($this->ask)($supplier)->assertOk()->assertJsonPath('fault', $says)->assertJsonPath('answered_at', $answered)->assertJsonPath('answered', 1);
    expect(microtime(true) - $began)->toBeLessThan(7)->and(($this->shelf)('Tube'))->toBe($tube);
    // It is well again.
    $supplier = ($this->behaves)($supplier, 'practice:works');
    ($this->ask)($supplier)->assertJsonPath('fault', null);
})->with([
    'down' => ['down', 'It did not answer.'],
    '30 s late' => ['late', 'It took longer than five seconds to answer.'],
    'wrong' => ['wrong', 'Its line for T-140 is impossible, so nothing of its answer was used.'],
    'half' => ['half', 'Its answer broke off.'],
]);

it('waits for one that is slow', function (): void {
    ($this->ask)(($this->supplier)('practice:slow'))->assertJsonPath('fault', null)->assertJsonPath('answered', 1);
});

it('works without: the stand-in is not there, the shop counts in another currency, another counter is named', function (): void {
    $supplier = ($this->supplier)('practice:works');
    standInAt(null);
    ($this->ask)($supplier)->assertJsonPath('fault', 'It did not answer.')->assertJsonPath('answered', 0);
    standInAt(1);
    ($this->ask)($supplier)->assertJsonPath('fault', 'It did not answer.');
    standInAt(counterStandIn()[0]);
    ($this->ask)($supplier)->assertJsonPath('answered', 1);
    expect(($this->behaves)($supplier, 'https://parts.example/counter'))->toMatchArray(['answered' => 0, 'answered_at' => null])
        ->and(($this->shelf)('Tube')['price'])->toBeNull();
    ($this->ask)(($this->supplier)(null, ['name' => 'Without']))->assertUnprocessable()->assertJsonValidationErrors(['counter' => 'Without has no parts counter to ask.']);
});

it('lets go of an answer that comes after a newer one', function (): void {
    $supplier = ($this->supplier)('practice:works');
    // Another has asked meanwhile, later, and had its answer.
    Supplier::query()->whereKey($supplier['id'])->update(['answered_at' => now()->addSeconds(3)]);
    $newer = Supplier::query()->findOrFail($supplier['id'])->answered_at;
    ($this->ask)($supplier)->assertOk()->assertJsonPath('answered', 0);
    expect(Supplier::query()->findOrFail($supplier['id'])->answered_at)->toEqual($newer);
});

it('asks nobody behind its own walls, whatever the address is called', function (string $address): void {
    Http::fake();
    ($this->ask)(($this->supplier)($address))->assertOk()->assertJsonPath('fault', 'It did not answer.');
    Http::assertNothingSent();
})->with(['http://127.0.0.1:8000/', 'http://localhost/', 'http://127.1/', 'http://2130706433/', 'http://0.0.0.0/', 'http://10.0.0.4/x', 'http://192.168.1.1/', 'http://169.254.169.254/latest', 'http://172.16.3.4/', 'http://224.0.0.1/', 'http://239.255.255.250:1900/', 'http://192.88.99.1/', 'https://nobody.invalid/']);

it('refuses what is no address', function (mixed $counter): void {
    $this->postJson('/api/suppliers', ['name' => 'Brook', 'prices' => [], 'counter' => $counter])->assertUnprocessable()->assertJsonValidationErrors(['counter' => 'address of the parts counter']);
})->with(['parts', 'ftp://parts.example/', 'file:///etc/passwd', 'http://a:b@parts.example/', 'http://[::1]/', 'practice:hack', 'practice:../up', [['https://parts.example']], 7, 'https://parts.example/'.str_repeat('x', 300)]);

it('asks the one address that it looked up, and no other', function (): void {
    expect(CounterAddress::of('http://1.2.3.4:81/x')?->pinned())->toBe([CURLOPT_RESOLVE => ['1.2.3.4:81:1.2.3.4']])
        ->and(CounterAddress::of('https://1.2.3.4/x')?->pinned())->toBe([CURLOPT_RESOLVE => ['1.2.3.4:443:1.2.3.4']]);
});

it('lets nobody fill its memory, hold it up or send it elsewhere', function (string $head, string $again, int $times, string $says): void {
    [$port, $process] = counterThatSends($head, $again, $times);
    standInAt($port);
    $supplier = ($this->supplier)('practice:works');
    memory_reset_peak_usage();
    [$began, $before] = [microtime(true), memory_get_usage()];
    ($this->ask)($supplier)->assertOk()->assertJsonPath('fault', $says)->assertJsonPath('answered', 0);
    expect(microtime(true) - $began)->toBeLessThan(7)->and(memory_get_peak_usage() - $before)->toBeLessThan(40_000_000);
    $process->stop(0);
})->with([
    'endless' => ["200 OK\r\n", str_repeat("{\"number\":\"T-140\"}\n", 5_000), 2_000, 'Its answer is not a price list.'],
    'says it is long' => ["200 OK\r\nContent-Length: 900000000\r\n", str_repeat(' ', 90_000), 9_000, 'Its answer is not a price list.'],
    'one deep line' => ["200 OK\r\n", str_repeat('[', 90_000), 10, 'Its answer is not a price list.'],
    'sends elsewhere' => ["302 Found\r\nLocation: http://127.0.0.1:1/\r\n", '', 1, 'Its answer is not a price list.'],
    'packed' => ["200 OK\r\nContent-Encoding: gzip\r\n", (string) gzencode(str_repeat('[', 50_000_000)), 1, 'Its answer is not a price list.'],
    'headers without end' => ['200 OK', 'X-More: '.str_repeat('x', 9_000)."\r\n", 100_000, 'It did not answer.'],
]);
