<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

// Starts Ustrel as a newcomer does, in a data folder of its own, and asks it.

/** What the test run itself has set must not reach the application under test. */
const OWN = ['APP_ENV' => false, 'APP_KEY' => false, 'APP_DEBUG' => false, 'APP_CONFIG_CACHE' => false, 'APP_ROUTES_CACHE' => false, 'APP_EVENTS_CACHE' => false, 'APP_SERVICES_CACHE' => false,
    'APP_PACKAGES_CACHE' => false, 'LARAVEL_STORAGE_PATH' => false, 'DB_PORT' => false, 'DB_DATABASE' => false, 'DB_PASSWORD' => false, 'CACHE_STORE' => false, 'SESSION_DRIVER' => false, 'QUEUE_CONNECTION' => false];

/** @param  array<string, string>  $settings */
function start(array $settings, string ...$options): Process
{
    $process = new Process([dirname(__DIR__, 2).'/bin/start', ...$options], env: $settings + OWN, timeout: 300);
    $process->setInput('no');
    $process->start();

    return $process;
}

function freePort(): int
{
    $server = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) explode(':', (string) stream_socket_get_name($server, false))[1];
    fclose($server);

    return $port;
}

/** @return list<string> the data folders that this process has made */
function dataFolders(?string $made = null): array
{
    static $folders = [];
    if ($made !== null) {
        $folders[] = $made;
    }

    return $folders;
}

function dataFolder(): string
{
    $folder = sys_get_temp_dir().'/ustrel-start-'.bin2hex(random_bytes(4));
    mkdir($folder, 0711);
    dataFolders($folder);

    return $folder;
}

/** Ends what a test that failed has left running. */
function endAll(): void
{
    foreach (dataFolders() as $folder) {
        // What looks after the others first, or it starts them again.
        for ($round = 0; $round < 20 && ($left = processesIn($folder)) !== []; $round++) {
            array_map(static fn (int $pid): bool => posix_kill($pid, SIGKILL), array_keys($left));
            usleep(100_000);
        }
        is_dir($folder) && removeFolder($folder);
    }
}

function runningIn(string $folder): string
{
    return implode("\n", processesIn($folder));
}

/** @return array<int, string> processes that have a data folder in what they were called with or in their surroundings, besides this one: by number, how they were called */
function processesIn(string $folder): array
{
    $running = [];
    // A process may be gone between the list and the look.
    set_error_handler(static fn (): true => true);
    foreach (glob('/proc/[0-9]*') ?: [] as $process) {
        $told = strtr((string) file_get_contents("{$process}/cmdline"), "\0", ' ');
        if (basename($process) !== (string) getmypid() && $told !== '' && (str_contains($told, $folder) || str_contains((string) file_get_contents("{$process}/environ"), "={$folder}") || (str_contains($told, 'nginx: worker') && hasOpen($process, $folder)))) {
            $running[(int) basename($process)] = trim($told);
        }
    }
    restore_error_handler();

    return $running;
}

/** A worker of nginx writes its title over its surroundings: what it has open tells whose it is. */
function hasOpen(string $process, string $folder): bool
{
    return array_filter(glob("{$process}/fd/*") ?: [], static fn (string $open): bool => str_starts_with((string) @readlink($open), "{$folder}/")) !== [];
}

/** Removes a data folder, also where its cluster belongs to the user postgres. */
function removeFolder(string $folder): void
{
    (new Process(['rm', '-rf', $folder]))->run();
}

/**
 * @param  array<string, mixed>  $body  a form where there is a file in it
 * @return array{int, string, string} status, headers and body
 */
function visit(string $method, string $url, array $body, string $jar): array
{
    $curl = curl_init($url);
    $root = implode('/', array_slice(explode('/', $url), 0, 3));
    $isForm = array_filter($body, is_object(...)) !== [];
    preg_match('/XSRF-TOKEN\t(\S+)/', is_file($jar) ? (string) file_get_contents($jar) : '', $token);
    curl_setopt_array($curl, [
        CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_SSL_VERIFYPEER => false, CURLOPT_SSL_VERIFYHOST => 0,
        CURLOPT_COOKIEJAR => $jar, CURLOPT_COOKIEFILE => $jar,
        CURLOPT_HTTPHEADER => ['Accept: application/json', "Referer: {$root}/", 'X-XSRF-TOKEN: '.rawurldecode($token[1] ?? ''), ...($isForm ? [] : ['Content-Type: application/json'])],
    ] + ($body === [] ? [] : [CURLOPT_POSTFIELDS => $isForm ? $body : json_encode($body)]));
    $answer = (string) curl_exec($curl);
    $length = curl_getinfo($curl, CURLINFO_HEADER_SIZE);
    [$status, $headers] = [curl_getinfo($curl, CURLINFO_RESPONSE_CODE), substr($answer, 0, $length)];
    curl_close($curl);

    return [$status, strtolower($headers), substr($answer, $length)];
}

/** @param  array<string, string>  $settings */
function command(array $settings, string ...$arguments): Process
{
    $process = new Process([dirname(__DIR__, 2).'/bin/ustrel', ...$arguments], env: $settings + OWN, timeout: 300);
    $process->run();

    return $process;
}

/** Against hanging only: how long it takes on a busy machine says nothing. */
const LONG = 180.0;

/** Whether it answers, as soon as it does. */
function comesUp(string $root): bool
{
    for ($began = microtime(true); microtime(true) - $began < LONG; usleep(100_000)) {
        if (visit('GET', "{$root}/up", [], '/dev/null')[0] === 204) {
            return true;
        }
    }

    return false;
}

/** Asks the database of a data folder. */
function asked(string $folder, string $sql): string
{
    $psql = new Process([...psql($folder), '-c', $sql], cwd: '/');
    $psql->mustRun();

    return trim($psql->getOutput());
}

/** Goes on and on with a statement, committing each time, until `stopRecording`. */
function recording(string $folder, string $sql): Process
{
    $process = new Process([...psql($folder), '-c', "DO $$ BEGIN LOOP {$sql}; COMMIT; PERFORM pg_sleep(0.005); END LOOP; END $$"], cwd: '/', timeout: LONG);
    $process->start();

    return $process;
}

/** @return int how many went on until now */
function stopRecording(string $folder): int
{
    return (int) asked($folder, "SELECT count(pg_terminate_backend(pid)) FROM pg_stat_activity WHERE query LIKE 'DO $$ BEGIN LOOP%'");
}

/** @return list<string> */
function psql(string $folder): array
{
    $as = posix_geteuid() === 0 ? ['runuser', '-u', 'postgres', '--'] : [];

    return [...$as, 'psql', '-qAtX', '-h', "{$folder}/pgrun", '-p', trim((string) file_get_contents("{$folder}/db_port")), '-U', 'postgres', '-d', 'ustrel'];
}
