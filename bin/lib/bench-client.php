<?php

declare(strict_types=1);

// Asks the running server, and weighs what a first visit loads from it: part of bin/bench.

use Database\Demo\DemoScenario;

/** A signed-in client of the running server. */
final class Client
{
    private CurlHandle $curl;

    private string $token = '';

    public function __construct(/** @var non-empty-string */ private readonly string $base)
    {
        $this->curl = curl_init();
        $this->call('GET', '/sanctum/csrf-cookie');
        $this->call('POST', '/api/sign-in', ['email' => DemoScenario::EMAIL, 'password' => DemoScenario::PASSWORD]);
    }

    /**
     * @param  non-empty-string  $method
     * @param  array<mixed>|null  $data
     * @return array{float, mixed} milliseconds, and the answer
     */
    public function call(string $method, string $path, ?array $data = null, string ...$headers): array
    {
        curl_setopt_array($this->curl, [
            CURLOPT_URL => $this->base.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '',
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "Referer: {$this->base}", "X-XSRF-TOKEN: {$this->token}", ...array_values($headers)],
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

/** @return array{float, float} compressed kilobytes of script and of style that a first visit to a screen loads */
function firstVisit(string $screen): array
{
    $build = dirname(__DIR__, 2).'/public/build';
    $manifest = json_decode((string) file_get_contents("{$build}/manifest.json"), true, 16, JSON_THROW_ON_ERROR);
    $files = [];
    $visit = function (string $key) use (&$visit, &$files, $manifest, $build): void {
        if (isset($files[$manifest[$key]['file']])) {
            return;
        }
        foreach ([$manifest[$key]['file'], ...$manifest[$key]['css'] ?? []] as $file) {
            $files[$file] = strlen((string) gzencode((string) file_get_contents("{$build}/{$file}"), 6)) / 1000;
        }
        array_map($visit, $manifest[$key]['imports'] ?? []);
    };
    $visit('resources/js/main.ts');
    $visit("resources/js/{$screen}.vue");
    $of = static fn (string $kind): float => array_sum(array_filter($files, static fn (string $file): bool => str_ends_with($file, $kind), ARRAY_FILTER_USE_KEY));

    return [$of('.js'), $of('.css')];
}
