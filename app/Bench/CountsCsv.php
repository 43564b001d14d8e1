<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Meters\MetersQuery;
use App\Models\Bench\Meter;
use App\Models\Planter;
use App\Record\Import\CsvFile;
use App\Record\Import\RefusedFile;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\NumberReader;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnreadableNumber;
use Ustrel\Core\Meter\Places\MeterStays;

/** The report of a stand elsewhere as a table: a heading, then a meter a line, each by its row or by the shop's number of it. */
final readonly class CountsCsv
{
    /** What a column may be called, and the field of a run. */
    private const NAMES = [
        'row' => 'row', 'meter' => 'meter', 'serial' => 'meter', 'seeds' => 'places', 'places' => 'places', 'skips' => 'skips', 'doubles' => 'doubles', 'seed' => 'seed', 'lot' => 'seed',
        'disc' => 'disc', 'plate' => 'disc', 'air' => 'air', 'stage' => 'stage', 'note' => 'note',
    ];

    private const MOST_AIR = 100;

    private const MOST_SEEDS = 1_000_000;

    private const FIGURES = ['row', 'places', 'skips', 'doubles', 'air'];

    public function __construct(private MetersQuery $meters)
    {
    }

    /**
     * @return list<array<string, mixed>> as runs of the planter are recorded, which judges them
     *
     * @throws RefusedFile without the columns that a run needs, or where a line cannot be read
     */
    public function read(CsvFile $file, Planter $planter): array
    {
        $columns = array_map(static fn (string $column): string => self::NAMES[mb_strtolower(trim($column))] ?? '', $file->columns);
        if (! $file->hasHeader || array_diff(['places', 'skips', 'doubles'], $columns) !== [] || array_intersect(['row', 'meter'], $columns) === []) {
            throw RefusedFile::because('bench_columns');
        }
        $rows = in_array('meter', $columns, true) ? $this->rows($planter) : [];
        $runs = [];
        foreach ($file->lines() as $number => [$values, , $fault]) {
            if ($fault !== null) {
                throw RefusedFile::because('season_line', ['line' => $number]);
            }
            $run = ['stage' => 'final'];
            foreach ($columns as $at => $column) {
                $value = trim($values[$at] ?? '');
                if ($column !== '' && $value !== '') {
                    $run[$column] = in_array($column, self::FIGURES, true) ? self::figure($column, $value, $number, $file->numberStyle($planter->workshop->number_style)) : ltrim($value, "'");
                }
            }
            if (isset($run['meter'])) {
                $run['row'] ??= $rows[mb_strtolower((string) $run['meter'])] ?? throw RefusedFile::because('bench_meter', ['line' => $number, 'typed' => mb_substr((string) $run['meter'], 0, 40)]);
                unset($run['meter']);
            }
            if (count($run) > 1) {
                $runs[] = $run;
            }
        }

        return $runs === [] ? throw RefusedFile::because('bench_empty') : $runs;
    }

    /** @return array<string, int> the row of this planter that each meter is run for, by its number in small letters */
    private function rows(Planter $planter): array
    {
        $stays = $this->meters->stays($planter->workshop_id);
        $serials = Meter::query()->where('workshop_id', $planter->workshop_id)->pluck('serial', 'id');
        $now = Moment::of(now()->toIso8601ZuluString('millisecond'));
        $rows = [];
        for ($row = 1; $row <= $planter->row_count; $row++) {
            $meter = MeterStays::meterOf($stays, [$planter->id, $row], $now);
            if ($meter !== null) {
                $rows[mb_strtolower((string) $serials[$meter])] = $row;
            }
        }

        return $rows;
    }

    private static function figure(string $column, string $value, int $line, ?NumberStyle $style): int|float
    {
        try {
            $isAir = $column === 'air';
            $figure = (new NumberReader($isAir ? ['in h2o' => 1.0, 'in' => 1.0, '"' => 1.0] : [], 0, $isAir ? self::MOST_AIR : self::MOST_SEEDS, ! $isAir, style: $style))->read($value);

            return $isAir ? $figure : (int) $figure;
        } catch (UnreadableNumber $unreadable) {
            throw RefusedFile::because('bench_number', ['line' => $line, 'about' => __($unreadable->wordKey(), $unreadable->fill())]);
        }
    }
}
