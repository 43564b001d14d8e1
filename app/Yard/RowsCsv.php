<?php

declare(strict_types=1);

namespace App\Yard;

use App\Http\CsvSheet;
use App\Models\Planter;
use App\Models\SpecSheet;
use App\Record\Import\CsvFile;
use App\Record\Import\RefusedFile;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;
use Ustrel\Core\Unit\Assembly;
use Ustrel\Core\Unit\Catalogue;

/** What a planter's rows have as a table: a heading, then a line a row. Layout: docs/formats.md. */
final class RowsCsv
{
    private const YES = ['yes' => true, 'true' => true, '1' => true, 'no' => false, 'false' => false, '0' => false];

    /** @var Collection<int, SpecSheet> by id */
    private readonly Collection $sheets;

    /** @var array<string, Assembly> what rows can differ in, by name */
    private readonly array $assemblies;

    public function __construct(private readonly Planter $planter)
    {
        $this->sheets = SpecSheet::usableBy($planter->workshop_id)->orderBy('workshop_id')->orderBy('id')->get()->keyBy('id');
        $this->assemblies = Catalogue::shipped()->ofRows();
    }

    public function write(): string
    {
        $said = static fn (string|bool|int|null $kind): string => is_bool($kind) ? ($kind ? 'yes' : 'no') : (string) $kind;

        return CsvSheet::of(['row', 'parked', 'spec_sheet', ...array_keys($this->assemblies)], array_map(
            fn (int $row, array $of): array => [$row, $said($of['parked']), $this->sheets[$of['sheet']]->name ?? '', ...array_map($said, array_values($of['equipment']))],
            array_keys($this->now()),
            $this->now(),
        ));
    }

    /**
     * @return array{spec_sheet_id: int, equipment: array<string, string|bool|int|null>, other_rows: list<array{rows: list<int>, spec_sheet_id: int|null, equipment: array<string, string|bool|int|null>}>, parked_rows: list<int>} as the planter's form takes them, which judges them
     *
     * @throws RefusedFile without a column of rows, or where a line cannot be read
     */
    public function read(CsvFile $file): array
    {
        $columns = array_map(static fn (string $column): string => str_replace(' ', '_', mb_strtolower(trim($column))), $file->columns);
        $at = array_search('row', $columns, true);
        if (! $file->hasHeader || $at === false) {
            throw RefusedFile::because('rows_columns');
        }
        $rows = $this->now();
        $read = [];
        foreach ($file->lines() as $number => [$values, , $fault]) {
            if ($fault !== null) {
                throw RefusedFile::because('season_line', ['line' => $number]);
            }
            if (implode('', $values) === '') {
                continue;
            }
            $typed = trim($values[$at] ?? '');
            $row = preg_match('/^\d{1,2}$/', $typed) === 1 && isset($rows[(int) $typed]) ? (int) $typed : throw RefusedFile::because('rows_row', ['line' => $number, 'text' => Str::limit($typed, 20), 'rows' => $this->planter->row_count]);
            if (isset($read[$row])) {
                throw RefusedFile::because('rows_twice', ['line' => $number, 'row' => $row]);
            }
            $read[$row] = true;
            foreach ($columns as $place => $column) {
                $value = ltrim(trim($values[$place] ?? ''), "'");
                if ($value !== '') {
                    $rows[$row] = $this->changed($rows[$row], $column, $value, $number);
                }
            }
        }

        return $this->grouped($rows);
    }

    /** @return array<int, array{parked: bool, sheet: int, equipment: array<string, string|bool|int|null>}> by row */
    private function now(): array
    {
        $units = $this->planter->units();
        $sheets = $rows = [];
        foreach ($this->planter->other_rows as $other) {
            $sheets += array_fill_keys($other['rows'], $other['spec_sheet_id']);
        }
        foreach (range(1, $this->planter->row_count) as $row) {
            $rows[$row] = ['parked' => $units->isParked($row), 'sheet' => $sheets[$row] ?? $this->planter->spec_sheet_id, 'equipment' => $units->at($row)->ofRows()];
        }

        return $rows;
    }

    /**
     * @param  array{parked: bool, sheet: int, equipment: array<string, string|bool|int|null>}  $row
     * @return array{parked: bool, sheet: int, equipment: array<string, string|bool|int|null>}
     */
    private function changed(array $row, string $column, string $value, int $line): array
    {
        if ($column === 'parked') {
            return ['parked' => self::YES[mb_strtolower($value)] ?? throw RefusedFile::because('rows_kind', ['line' => $line, 'column' => $column, 'text' => Str::limit($value, 40), 'kinds' => 'yes, no'])] + $row;
        }
        if ($column === 'spec_sheet') {
            $isNow = mb_strtolower($this->sheets[$row['sheet']]->name ?? '') === mb_strtolower($value);

            return $isNow ? $row : ['sheet' => $this->sheets->first(static fn (SpecSheet $of): bool => mb_strtolower($of->name) === mb_strtolower($value))->id ?? throw RefusedFile::because('rows_sheet', ['line' => $line, 'text' => Str::limit($value, 80)])] + $row;
        }
        $assembly = $this->assemblies[$column] ?? null;
        if ($assembly !== null) {
            $row['equipment'][$column] = self::kind($assembly, $value, $line);
        }

        return $row;
    }

    private static function kind(Assembly $assembly, string $value, int $line): string|bool|int|null
    {
        foreach ($assembly->kinds as $kind) {
            $names = is_bool($kind) ? array_keys(self::YES, $kind, true) : [(string) $kind, mb_strtolower(__("{$assembly->name}.{$kind}"))];
            if (in_array(mb_strtolower($value), array_map(strval(...), $names), true)) {
                return $kind;
            }
        }
        $kinds = array_map(static fn (string|bool|int|null $kind): string => is_bool($kind) ? ($kind ? 'yes' : 'no') : (string) $kind, $assembly->kinds);

        throw RefusedFile::because('rows_kind', ['line' => $line, 'column' => $assembly->name, 'text' => Str::limit($value, 40), 'kinds' => implode(', ', $kinds)]);
    }

    /**
     * What most lines have becomes what most rows have.
     *
     * @param  array<int, array{parked: bool, sheet: int, equipment: array<string, string|bool|int|null>}>  $rows
     * @return array{spec_sheet_id: int, equipment: array<string, string|bool|int|null>, other_rows: list<array{rows: list<int>, spec_sheet_id: int|null, equipment: array<string, string|bool|int|null>}>, parked_rows: list<int>}
     */
    private function grouped(array $rows): array
    {
        $groups = [];
        foreach ($rows as $row => $of) {
            $groups[json_encode([$of['sheet'], $of['equipment']], JSON_THROW_ON_ERROR)][] = $row;
        }
        usort($groups, static fn (array $one, array $other): int => count($other) <=> count($one));
        $most = $rows[$groups[0][0]];
        $others = array_map(static function (array $of) use ($rows, $most): array {
            ['sheet' => $sheet, 'equipment' => $equipment] = $rows[$of[0]];

            return ['rows' => $of, 'spec_sheet_id' => $sheet === $most['sheet'] ? null : $sheet, 'equipment' => $sheet === $most['sheet'] ? array_filter($equipment, static fn (mixed $kind, string $name): bool => $kind !== $most['equipment'][$name], ARRAY_FILTER_USE_BOTH) : $equipment];
        }, array_slice($groups, 1));

        return [
            'spec_sheet_id' => $most['sheet'],
            'equipment' => $most['equipment'] + $this->planter->units()->most->toArray(),
            'other_rows' => $others,
            'parked_rows' => array_keys(array_filter($rows, static fn (array $of): bool => $of['parked'])),
        ];
    }
}
