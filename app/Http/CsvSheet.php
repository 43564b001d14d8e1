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

    /** What a spreadsheet would run as a formula is text here, by an apostrophe. */
    public static function cell(string|int|float|null $value): string
    {
        return is_string($value) && ! is_numeric($value) && preg_match('/^[=+\-@\t\r]/', $value) === 1 ? "'{$value}" : (string) $value;
    }
}
