<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Season\PlantingProgress;
use Ustrel\Core\Wear\Acres\AcresLine;
use Ustrel\Core\Wear\Acres\FieldRun;
use Ustrel\Core\Wear\Acres\Ground;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\RowUse;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Stretch;
use Ustrel\Core\Wear\Acres\Tillage;
use Ustrel\Core\Wear\Acres\UnreadableAcresLine;
use Ustrel\Core\Wear\Acres\UseLog;

function spacing(int $inches): Length
{
    return Length::ofSixteenths(16 * $inches);
}

function at(string $iso): Moment
{
    return Moment::of(str_contains($iso, 'T') ? $iso : "{$iso}T00:00:00Z");
}

function run(string $day, float $acres, float $severity = 1.0, array $shares = []): FieldRun
{
    return new FieldRun(Day::of($day), $acres, $severity, $shares);
}

/** @param  list<FieldRun>  $runs */
function logOf(array $runs, int $rows, string $zone = 'UTC'): UseLog
{
    return UseLog::of($runs, spacing(30), $rows, new DateTimeZone($zone));
}

/** Feet of furrow that a row had run before a day. */
function feet(UseLog $log, int $row, string $moment): int
{
    return (int) round($log->before($row, at($moment))->metres / 0.3048);
}

it('knows that an acre at 30 inches is 17,424 feet of furrow', function (): void {
    $acre = FurrowDistance::ofRowAcres(1, spacing(30));
    // 43,560 / 2.5 ft; 3.30 mi; 5.31 km.
    expect($acre->metres / 0.3048)->toEqualWithDelta(17_424, 1e-6)
        ->and($acre->toMiles())->toEqualWithDelta(3.30, 1e-9)
        ->and($acre->metres / 1000)->toEqualWithDelta(5.3108, 1e-4)
        ->and($acre->toPlanterAcres(spacing(30), 16))->toEqualWithDelta(16, 1e-9)
        ->and(FurrowDistance::ofMiles(3.3)->metres)->toEqualWithDelta($acre->metres, 1e-6);
});

it('counts a day at its end, and what a row was shut off for not at all', function (): void {
    $log = logOf([
        // In any order; 16 acres of 16 rows are one acre a row.
        run('2026-05-03', 32, 1.5, [3 => 0.25, 4 => 0]),
        run('2026-05-01', 16),
        run('2026-05-01', 8, 2),
    ], 16);

    expect(feet($log, 1, '2026-05-01'))->toBe(0)
        ->and(feet($log, 1, '2026-05-02'))->toBe(26_136)
        ->and(feet($log, 1, '2026-05-03T23:59:59Z'))->toBe(26_136)
        ->and(feet($log, 1, '2026-05-04'))->toBe(60_984)
        ->and(feet($log, 3, '2026-05-04'))->toBe(26_136 + 8_712)
        ->and(feet($log, 4, '2026-05-04'))->toBe(26_136)
        // (1 + 0.5 x 2 + 2 x 1.5) acres' worth.
        ->and($log->total(1)->effective / 0.3048)->toEqualWithDelta(5 * 17_424, 1e-6)
        ->and($log->total(4)->effective / 0.3048)->toEqualWithDelta(2 * 17_424, 1e-6)
        ->and(logOf([], 16)->total(1))->toEqual(new RowUse);
});

it('sums up what each row ran as adding up line by line does', function (): void {
    mt_srand(13);
    $days = array_map(static fn (int $day): string => sprintf('2026-05-%02d', $day), range(1, 28));
    $runs = [];
    for ($field = 0; $field < 120; $field++) {
        $shares = [];
        foreach (mt_rand(0, 1) === 0 ? [] : (array) array_rand(array_flip(range(1, 8)), mt_rand(1, 3)) as $row) {
            $shares[$row] = mt_rand(0, 9) / 10;
        }
        $runs[] = run($days[array_rand($days)], mt_rand(1, 900) / 10, mt_rand(50, 200) / 100, $shares);
    }
    $log = logOf($runs, 8);
    foreach ([1, 4, 8] as $row) {
        foreach ($days as $day) {
            $acres = $harsh = 0.0;
            foreach ($runs as $run) {
                if ($run->day->iso < $day) {
                    $acres += $run->acres / 8 * ($run->shares[$row] ?? 1);
                    $harsh += $run->acres / 8 * ($run->shares[$row] ?? 1) * $run->severity;
                }
            }
            $use = $log->before($row, at($day));
            expect($use->metres / 0.3048)->toEqualWithDelta(17_424 * $acres, 1e-3)->and($use->effective / 0.3048)->toEqualWithDelta(17_424 * $harsh, 1e-3);
        }
    }
});

it('takes a part\'s use along from row to row', function (): void {
    $log = logOf([run('2026-05-01', 2), run('2026-05-03', 2, 1, [2 => 0.5]), run('2026-05-05', 2)], 2);
    $there = new Stretch(1, at('2026-04-01T10:00:00Z'), at('2026-05-02T10:00:00Z'));
    $here = new Stretch(2, at('2026-05-02T10:00:00Z'));
    $acre = 17_424 * 0.3048;
    expect($there->use($log, at('2026-06-01'))->metres)->toEqualWithDelta($acre, 1e-6)
        ->and($here->use($log, at('2026-05-02T10:00:00Z'))->metres)->toBe(0.0)
        ->and($here->use($log, at('2026-05-04'))->metres)->toEqualWithDelta($acre / 2, 1e-6)
        ->and($here->use($log, at('2026-06-01'))->metres)->toEqualWithDelta($acre * 1.5, 1e-6)
        ->and($there->holds(at('2026-05-02T10:00:00Z')))->toBeFalse()
        ->and($here->holds(at('2026-05-02T10:00:00Z')))->toBeTrue();
});

it('keeps the severity of any ground between a half and two, and one where nothing is said', function (): void {
    foreach ([null, ...Soil::cases()] as $soil) {
        foreach ([null, ...Residue::cases()] as $residue) {
            foreach ([null, ...Tillage::cases()] as $tillage) {
                expect((new Ground($soil, $residue, $tillage))->severity())->toBeBetween(Ground::MILDEST, Ground::HARSHEST);
            }
        }
    }
    expect((new Ground)->severity())->toBe(1.0)
        ->and((new Ground(Soil::Sand, Residue::Heavy, Tillage::NoTill))->severity())->toBe(1.64)
        ->and((new Ground(Soil::Sand, own: 0.7))->severity())->toBe(0.7);
});

it('reads acres the way they are told', function (string $line, array $expected): void {
    $read = AcresLine::read($line);
    expect([round($read->acres, 2), $read->field, $read->crop, $read->mph === null ? null : round($read->mph, 2), $read->day?->iso, $read->ground->severity()])->toBe($expected);
})->with([
    ['62.5 ac, Long Field, popcorn, 5 mph, no-till', [62.5, 'Long Field', 'popcorn', 5.0, null, 1.15]],
    ['Long Field; 62,5 acres', [62.5, 'Long Field', null, null, null, 1.0]],
    ['25 ha, Over the Brook, soybeans, 8 km/h, sandy, heavy residue, 2026-04-30', [61.78, 'Over the Brook', 'soybeans', 4.97, '2026-04-30', 1.43]],
]);

it('says what is missing in a line of acres', function (string $line, string $fault): void {
    expect(fn () => AcresLine::read($line))->toThrow(fn (UnreadableAcresLine $unreadable) => expect($unreadable->fault)->toBe($fault));
})->with([
    ['', 'no_acres'], ['Long Field, popcorn', 'no_acres'], ['62 ac', 'no_field'], ['62, Long Field', 'bare_number'],
    ['62 ac, Long Field, 2026-02-30', 'no_day'], ['62 ac, 3 ac, Long Field', 'acres_twice'], ['62 ac, Long Field, popcorn, windy', 'too_many_names'],
]);

it('knows what a season still has to bring, and on which day', function (): void {
    // 160 acres on 16 rows in 8 days, 40 of them done: 7.5 acres or 24.75 miles a row to come, half as much again in harsh ground.
    $plan = new PlantingProgress(160, 40, 8, spacing(30), 16, 1.5);
    expect($plan->acresLeft())->toBe(120.0)
        ->and($plan->effectiveLeft() / 1609.344)->toEqualWithDelta(24.75 * 1.5, 1e-6)
        // 60 more make 100 of 160: in the fifth of eight days.
        ->and($plan->dayOf(60))->toBe(5)
        ->and($plan->dayOf(0))->toBe(2)
        ->and($plan->dayOf(120))->toBeNull()
        ->and((new PlantingProgress(160, 200, null, spacing(30), 16))->acresLeft())->toBe(0.0)
        ->and((new PlantingProgress(160, 0, null, spacing(30), 16))->dayOf(10))->toBeNull();
});
