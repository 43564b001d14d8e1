<?php

declare(strict_types=1);

namespace App\Season;

use App\Http\CsvSheet;
use App\Record\Import\CsvFile;
use App\Record\Import\RefusedFile;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\NumberReader;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnreadableNumber;

/** The fields of a season as a table: a heading, then a line a field. */
final class FieldsCsv
{
    public const COLUMNS = ['field', 'crop', 'acres', 'soil', 'residue', 'tillage', 'seed', 'population'];

    private const MOST_ACRES = 100_000;

    private const MOST_SEEDS = 2_000_000;

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
    public static function read(CsvFile $file, ?NumberStyle $shop): array
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
                    $field[$column] = self::value($column, $value, $number, $file->numberStyle($shop));
                }
            }
            if (array_filter($field) !== []) {
                $fields[] = $field;
            }
        }

        return $fields === [] ? throw RefusedFile::because('season_empty') : $fields;
    }

    private static function value(string $column, string $value, int $line, ?NumberStyle $style): string|float|int
    {
        try {
            return match ($column) {
                'acres' => round((new NumberReader(['ac' => 1.0, 'acres' => 1.0, 'ha' => FurrowDistance::ACRES_PER_HECTARE], 0, self::MOST_ACRES, style: $style))->read($value), 2),
                'population' => (int) round((new NumberReader(['k' => 1000.0, 'seeds' => 1.0], 0, self::MOST_SEEDS, style: $style))->read($value)),
                'soil', 'residue', 'tillage' => str_replace([' ', '-'], '_', mb_strtolower($value)),
                default => ltrim($value, "'"),
            };
        } catch (UnreadableNumber $unreadable) {
            throw RefusedFile::because('season_number', ['line' => $line, 'about' => __($unreadable->wordKey(), $unreadable->fill())]);
        }
    }
}
