<?php

declare(strict_types=1);

// A person at work while the machine is failing: sends every kind of event and files to import, each again and again until it
// is acknowledged, and writes down what was. Called with the address, a planter, its walk, a number of its own, the journal, a
// picture; goes on until there is a file "stop" beside the journal.

[, $root, $planter, $walk, $own, $journal, $picture] = $argv;
require __DIR__.'/../../../vendor/autoload.php';

use Ramsey\Uuid\Uuid;

mt_srand((int) $own);
$jar = "{$journal}.jar";

/** @return array{int, array<mixed>} status, 0 where there was no answer, and what was said */
$ask = static function (string $method, string $path, ?array $body = null, bool $isForm = false) use ($root, $jar): array {
    preg_match('/XSRF-TOKEN\t(\S+)/', is_file($jar) ? (string) file_get_contents($jar) : '', $token);
    $curl = curl_init($root.$path);
    curl_setopt_array($curl, [
        CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 20, CURLOPT_COOKIEJAR => $jar, CURLOPT_COOKIEFILE => $jar,
        CURLOPT_HTTPHEADER => ['Accept: application/json', "Referer: {$root}/", 'X-XSRF-TOKEN: '.rawurldecode($token[1] ?? ''), ...($isForm ? [] : ['Content-Type: application/json'])],
    ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => $isForm ? $body : json_encode($body, JSON_THROW_ON_ERROR)]));
    $said = curl_exec($curl);
    $status = $said === false ? 0 : curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    curl_close($curl);

    return [$status, (array) json_decode((string) $said, true)];
};
$signIn = static function () use ($ask): void {
    $ask('GET', '/sanctum/csrf-cookie');
    $ask('POST', '/api/sign-in', ['email' => 'wren@tollgate.example', 'password' => 'tollgate-rows']);
};
/** Until somebody answers who is not about to fall over. */
$insist = static function (string $method, string $path, ?array $body, bool $isForm = false) use ($ask, $signIn): array {
    for (; ;) {
        [$status, $said] = $ask($method, $path, $body, $isForm);
        if ($status !== 0 && $status < 500 && $status !== 429 && $status !== 401 && $status !== 419) {
            return [$status, $said];
        }
        if ($status === 401 || $status === 419) {
            $signIn();
        }
        usleep(100_000);
    }
};

$turn = 0;
$kinds = [
    'readings' => static function () use ($walk): array {
        $id = Uuid::uuid7()->toString();

        return ['POST', "/api/walks/{$walk}/readings", ['readings' => [[
            'id' => $id, 'row' => mt_rand(1, 8), 'check' => 'opener_blade_diameter', 'side' => 'left', 'typed' => '14 '.mt_rand(1, 7).'/8', 'units' => 'in', 'confirmed' => true, 'taken_at' => gmdate('Y-m-d\TH:i:s.000\Z'),
        ]]], $id];
    },
    'notes' => static function () use ($walk): array {
        $id = Uuid::uuid7()->toString();

        return ['POST', "/api/walks/{$walk}/notes", ['id' => $id, 'row' => mt_rand(1, 8), 'check' => 'gauge_bearing', 'side' => 'left', 'kind' => 'note', 'text' => 'Bolt seized', 'taken_at' => gmdate('Y-m-d\TH:i:s.000\Z')], $id];
    },
    'photos' => static function () use ($walk, $picture): array {
        $id = Uuid::uuid7()->toString();

        return ['POST', "/api/walks/{$walk}/photos", ['id' => $id, 'row' => (string) mt_rand(1, 8), 'check' => 'gauge_bearing', 'side' => 'left', 'taken_at' => gmdate('Y-m-d\TH:i:s.000\Z'), 'photo' => new CURLFile($picture, 'image/png', 'a.png')], $id, true];
    },
    'ledger_events' => static function () use ($planter, $own, &$turn): array {
        $id = Uuid::uuid7()->toString();
        // Each row in its turn, later each time, so that no two of them stand in each other's way; the two people have a slot each.
        $turn++;

        return ['POST', "/api/planters/{$planter}/ledger", ['events' => [[
            'id' => $id, 'kind' => 'fitted', 'happened_at' => gmdate('Y-m-d\TH:i:s\Z', strtotime('2020-03-01 10:00 UTC') + 86_400 * $turn), 'row' => 1 + $turn % 8, 'slot' => (int) $own % 2 === 1 ? 'opener_blade' : 'gauge_tyre', 'side' => 'left', 'reason' => 'worn',
        ]]], $id];
    },
    'acres_log' => static function () use ($planter): array {
        $id = Uuid::uuid7()->toString();

        return ['POST', "/api/planters/{$planter}/acres", ['id' => $id, 'day' => '2025-05-'.sprintf('%02d', mt_rand(1, 28)), 'field' => 'Long Field', 'acres' => mt_rand(1, 90)], $id];
    },
];

$signIn();
$files = 0;
for ($round = 0; ! is_file(dirname($journal).'/stop'); $round++) {
    if ($round % 40 === 20) {
        // A file of its own, whose lines nobody else sends.
        $lines = "Date,Field,Acres\n";
        for ($line = 0; $line < 5000; $line++) {
            $lines .= sprintf("%d-05-%02d,Client %d file %d line %d,%d\n", 2000 + $line % 20, 1 + $line % 28, $own, $files, $line, 1 + $line % 80);
        }
        file_put_contents("{$journal}.csv", $lines);
        [$status, $said] = $insist('POST', "/api/planters/{$planter}/imports", ['file' => new CURLFile("{$journal}.csv", 'text/csv', "{$own}-{$files}.csv"), 'kind' => 'acres', 'mode' => 'good'], true);
        file_put_contents($journal, $status === 202 ? "file {$said['import']['id']} {$own}-{$files}\n" : "refused file {$status}\n", FILE_APPEND);
        $files++;

        continue;
    }
    $kind = array_keys($kinds)[$round % count($kinds)];
    [$method, $path, $body, $id, $isForm] = [...$kinds[$kind](), false];
    [$status, $said] = $insist($method, $path, $body, $isForm);
    file_put_contents($journal, $status < 300 ? "{$kind} {$id}\n" : "refused {$kind} {$status} ".json_encode($said)."\n", FILE_APPEND);
}
