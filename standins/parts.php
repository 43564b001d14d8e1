<?php

declare(strict_types=1);

/*
 * A stand-in for a supplier's parts counter, run by php artisan ustrel:stand-in parts. It speaks as docs/formats.md lays down;
 * prices are made up from the number, always the same. The address says how it behaves: /works, /slow, /late, /down, /wrong, /half.
 */

$manner = trim((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH), '/');
[$head, $parts] = [null, []];
foreach (preg_split('/\R/', trim((string) file_get_contents('php://input'))) ?: [] as $text) {
    $line = json_decode($text, true);
    if (is_array($line) && is_string($line['number'] ?? null)) {
        $parts[] = $line['number'];
    } elseif (is_array($line)) {
        $head = $line;
    }
}

if ($manner === 'down') {
    http_response_code(503);
    exit;
}
if (! in_array($manner, ['works', 'slow', 'late', 'wrong', 'half'], true) || ($head['ustrel'] ?? null) !== 'counter' || ($head['version'] ?? null) !== 1) {
    http_response_code(400);
    exit;
}
sleep(['slow' => 2, 'late' => 30][$manner] ?? 0);

$lines = array_map(static function (string $number) use ($manner): array {
    $made = crc32($number);
    if ($made % 9 === 0) {
        return ['number' => $number, 'known' => false];
    }

    return [
        'number' => $number,
        'price' => $manner === 'wrong' ? -1 : 8 + $made % 6_000 / 100,
        'in_stock' => intdiv($made, 7) % 40,
        'lead_days' => $made % 5 === 0 ? null : 1 + intdiv($made, 11) % 14,
    ];
}, $parts);
array_unshift($lines, ['ustrel' => 'counter', 'version' => 1, 'currency' => $head['currency'] ?? '', 'lines' => count($parts)]);
$said = implode("\n", array_map(static fn (array $line): string => json_encode($line, JSON_THROW_ON_ERROR), $lines))."\n";

header('Content-Type: application/x-ndjson');
echo $manner === 'half' ? substr($said, 0, intdiv(strlen($said), 2)) : $said;
