<?php

declare(strict_types=1);

namespace App\Http;

use RuntimeException;

/** A table to take along, in CSV. */
final class CsvSheet
{
    /**
     * @param  list<string>  $columns
     * @param  iterable<array<array-key, string|int|float|null>>  $lines  in the order of the columns
     */
    public static function of(array $columns, iterable $lines): string
    {
        $out = fopen('php://memory', 'w+') ?: throw new RuntimeException('no memory');
        fputcsv($out, $columns, escape: '');
        foreach ($lines as $line) {
            fputcsv($out, array_map(self::cell(...), $line), escape: '');
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /** What a spreadsheet would run as a formula is text here, by an apostrophe: full-width signs too, which some take for the plain ones. */
    public static function cell(string|int|float|null $value): string
    {
        return is_string($value) && ! is_numeric($value) && preg_match('/^[=+\-@\t\r\x{FF1D}\x{FF0B}\x{FF0D}\x{FF20}]/u', $value) !== 0 ? "'{$value}" : (string) $value;
    }
}
