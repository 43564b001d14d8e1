<?php

declare(strict_types=1);

namespace App\Season;

use App\Http\CsvSheet;
use App\Record\Import\CsvFile;
use App\Record\Import\RefusedFile;

/** The fields of a season as a table: a heading, then a line a field. */
final class FieldsCsv
{
    public const COLUMNS = ['field', 'crop', 'acres', 'soil', 'residue', 'tillage', 'seed', 'population'];

    /** What a column may be called, and the field of the plan. */
    private const NAMES = [
        'field' => 'name', 'name' => 'name', 'crop' => 'crop', 'acres' => 'acres', 'area' => 'acres', 'soil' => 'soil', 'residue' => 'residue', 'tillage' => 'tillage',
        'seed' => 'seed', 'lot' => 'seed', 'population' => 'population',
    ];

    /** @param  list<array<string, mixed>>  $fields */
    public static function write(array $fields): string
    {
        return CsvSheet::of(self::COLUMNS, array_map(static fn (array $field): array => array_map(static fn (string $column): mixed => $field[$column === 'field' ? 'name' : $column] ?? null, self::COLUMNS), $fields));
    }

    /**
     * @return list<array<string, mixed>> as a season's plan takes them, which judges them
     *
     * @throws RefusedFile without a column of fields and one of acres, or where a line cannot be read
     */
    public static function read(CsvFile $file): array
    {
        $columns = array_map(static fn (string $column): string => self::NAMES[mb_strtolower(trim($column))] ?? '', $file->columns);
        if (! $file->hasHeader || ! in_array('name', $columns, true) || ! in_array('acres', $columns, true)) {
            throw RefusedFile::because('season_columns');
        }
        $fields = [];
        foreach ($file->lines() as $number => [$values, , $fault]) {
            if ($fault !== null) {
                throw RefusedFile::because('season_line', ['line' => $number]);
            }
            $field = array_fill_keys(['name', 'crop', 'acres', 'soil', 'residue', 'tillage', 'seed', 'population'], null);
            foreach ($columns as $at => $column) {
                $value = trim($values[$at] ?? '');
                if ($column !== '' && $value !== '') {
                    $field[$column] = self::value($column, $value, $number);
                }
            }
            if (array_filter($field) !== []) {
                $fields[] = $field;
            }
        }

        return $fields === [] ? throw RefusedFile::because('season_empty') : $fields;
    }

    private static function value(string $column, string $value, int $line): string|float|int
    {
        if ($column === 'acres' || $column === 'population') {
            // 1.234,5 and 1,234.5 alike: the last mark that is followed by one or two digits is the decimal one.
            $plain = preg_match('/^(.*)[.,](\d{1,2})$/', $value, $parts) === 1 ? preg_replace('/[.,\s]/', '', $parts[1]).".{$parts[2]}" : preg_replace('/[.,\s]/', '', $value);
            if (! is_numeric($plain)) {
                throw RefusedFile::because('season_number', ['line' => $line, 'typed' => mb_substr($value, 0, 40)]);
            }

            return $column === 'acres' ? round((float) $plain, 1) : (int) $plain;
        }

        return in_array($column, ['soil', 'residue', 'tillage'], true) ? str_replace([' ', '-'], '_', mb_strtolower($value)) : ltrim($value, "'");
    }
}
