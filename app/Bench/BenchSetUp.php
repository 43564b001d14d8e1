<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Planter;
use App\Record\Fields;
use App\Record\Refused;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Meter\RunSetUp;

/** How a meter is set up for a run, as it is typed: alike for a run that was counted by hand and one that a stand is to count. */
final class BenchSetUp
{
    public const LONGEST = 80;

    private const LONGEST_NOTE = 300;

    private const LEAST_AIR = 0.5;

    private const MOST_AIR = 60;

    private const MOST_CELLS = 400;

    private const LEAST_SEEDS = 500;

    private const MOST_SEEDS = 2_000_000;

    private const LEAST_MPH = 0.5;

    private const MOST_MPH = 20;

    private const MOST_RUN_IN = 5000;

    /**
     * @param  Moment  $at  when it ran: rows may be parked or let down since
     * @return array{disc: string, air: string|null, cells: int|null, population: int|null, mph: string|null, singulator: string, lubricant: string, run_in: int|null, note: string}
     *
     * @throws Refused
     */
    public static function of(Fields $fields, Planter $planter, Moment $at): array
    {
        return [
            'disc' => trim($fields->text('disc', self::LONGEST, 'bench.disc')),
            'air' => self::air($fields),
            ...self::speed($fields, $planter->plantedSpacingAt($at)->toInches()),
            'singulator' => trim($fields->text('singulator', self::LONGEST, 'bench.singulator')),
            'lubricant' => trim($fields->text('lubricant', self::LONGEST, 'bench.lubricant')),
            'run_in' => $fields->whole('run_in', 0, self::MOST_RUN_IN, 'bench.run_in'),
            'note' => $fields->text('note', self::LONGEST_NOTE, 'bench.note'),
        ];
    }

    /**
     * How fast it ran: by the speed that it stands for, or by the turns of the disc.
     *
     * @param  float  $width  between rows, inches
     * @return array{cells: int|null, population: int|null, mph: string|null}
     */
    private static function speed(Fields $fields, float $width): array
    {
        $cells = $fields->whole('cells', 1, self::MOST_CELLS, 'stand.cells');
        $population = $fields->whole('population', self::LEAST_SEEDS, self::MOST_SEEDS, 'bench.population');
        [$mph, $rpm] = [$fields->number('mph', 'bench.mph'), $fields->number('rpm', 'bench.rpm')];
        if ($mph === null && $rpm !== null) {
            $mph = $cells === null || $population === null || $rpm <= 0 ? throw Refused::because('rpm', 'bench.rpm') : RunSetUp::mph($population, $width, $rpm, $cells);
        }
        if ($mph !== null && ! self::isSpeed($mph)) {
            throw Refused::because($fields->has('mph') ? 'mph' : 'rpm', $fields->has('mph') ? 'bench.mph' : 'bench.rpm');
        }

        return ['cells' => $cells, 'population' => $population, 'mph' => $mph === null ? null : number_format($mph, 1, '.', '')];
    }

    public static function isSpeed(float $mph): bool
    {
        return $mph >= self::LEAST_MPH && $mph <= self::MOST_MPH;
    }

    /** Inches of water, to a tenth; null where none is said. */
    public static function air(Fields $fields): ?string
    {
        $air = $fields->number('air', 'bench.air');

        return match (true) {
            $air === null => null,
            $air < self::LEAST_AIR || $air > self::MOST_AIR || abs($air - round($air, 1)) > 1e-9 => throw Refused::because('air', 'bench.air'),
            default => number_format($air, 1, '.', ''),
        };
    }
}
