<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Plan\Jobs\JobTimes;
use Ustrel\Core\Spec\Side;

/** @param  list<float>  $minutes  of pieces of one kind whose typical time is 10 */
function toldBy(string $kind, array $minutes): array
{
    return array_reduce($minutes, static fn (array $sums, float $taken): array => JobTimes::together($sums, JobTimes::told([$kind], $taken, 10)), []);
}

it('goes by what is typical where nothing is known, and by the shop the more it knows', function (): void {
    expect(JobTimes::of([])->pace)->toBe(1.0);
    $factors = array_map(static fn (int $count): float => JobTimes::of(toldBy('a', array_fill(0, $count, 20.0)))->kinds['a'], [1, 3, 30, 300]);
    expect($factors[0])->toBeGreaterThan(1.1)->toBeLessThan($factors[1])->and($factors[1])->toBeLessThan($factors[2])->and($factors[2])->toBeLessThan($factors[3])->and($factors[3])->toEqualWithDelta(2.0, 0.05);
});

it('is, with one kind and three pieces of double time, what the formula gives by hand', function (): void {
    // y = ln 2 three times; scatter (4 x 0.16 + 0) / (4 + 2) = 0.106667, of the mean 0.035556; between 0.01 at least.
    // pace = (ln 2 / 0.045556) / (1 / 0.25 + 1 / 0.045556) = 0.586309; kind = (ln 2 / 0.035556 + 0.586309 / 0.01) / (1 / 0.035556 + 1 / 0.01).
    $times = JobTimes::of(toldBy('a', [20.0, 20.0, 20.0]));
    expect(log($times->pace))->toEqualWithDelta(0.586309, 1e-5)->and(log($times->kinds['a']))->toEqualWithDelta(0.609761, 1e-5);
});

it('counts a clock that ran on over lunch as four times, not as forty', function (): void {
    expect(JobTimes::told(['a'], 400, 10))->toBe(JobTimes::told(['a'], 40, 10))->and(JobTimes::told(['a', 'a', 'b'], 20, 10)['a'][0])->toEqualWithDelta(2 / 3, 1e-12);
});

it('comes closer to the true minutes than what is typical and than the bare mean, in shops that are not as it assumes', function (string $world): void {
    $random = new Randomizer(new Mt19937(20));
    $unit = static fn (): float => $random->getInt(1, 1_000_000) / 1_000_001;
    $normal = static fn (): float => sqrt(-2 * log($unit())) * cos(2 * M_PI * $unit());
    $off = ['typical' => 0.0, 'mean' => 0.0, 'told' => 0.0];
    for ($shop = 0; $shop < 400; $shop++) {
        $pace = match ($world) {
            // Half the shops are beginners, far off what is usual.
            'two crowds' => $unit() < 0.5 ? 0.6 : -0.1,
            default => 0.4 * $normal(),
        };
        $sums = $truth = $means = [];
        for ($kind = 0; $kind < 6; $kind++) {
            $truth[$kind] = exp($pace + 0.25 * $normal());
            $taken = [];
            for ($piece = $random->getInt(0, 6); $piece > 0; $piece--) {
                $noise = $world === 'skew' ? -log($unit()) * 0.4 - 0.3 : 0.35 * $normal();
                // Clocks that ran on, and minutes typed to the five.
                $minutes = 10 * $truth[$kind] * exp($noise) * ($world === 'clocks' && $unit() < 0.1 ? 8 : 1);
                $taken[] = max(5.0, 5 * round($minutes / 5));
            }
            $sums = JobTimes::together($sums, toldBy((string) $kind, $taken));
            $means[$kind] = $taken === [] ? 1.0 : exp(array_sum(array_map(static fn (float $of): float => log($of / 10), $taken)) / count($taken));
        }
        $times = JobTimes::of($sums);
        foreach ($truth as $kind => $of) {
            $off['typical'] += log($of) ** 2;
            $off['mean'] += (log($means[$kind]) - log($of)) ** 2;
            $off['told'] += (log($times->kinds[$kind] ?? $times->pace) - log($of)) ** 2;
        }
    }
    expect($off['told'])->toBeLessThan(0.7 * $off['typical'])->and($off['told'])->toBeLessThan(0.8 * $off['mean']);
})->with(['as assumed', 'two crowds', 'skew', 'clocks']);

it('makes a book of it: a kind by its own pieces, what comes off by the pace of the shop', function (): void {
    $job = Job::change(new SlotPlace(3, Slot::from('seed_tube'), Side::Centre));
    $other = Job::change(new SlotPlace(3, Slot::from('meter_seal'), Side::Centre));
    $times = JobTimes::of(toldBy(JobTimes::kind($job), array_fill(0, 9, 20.0)));
    $book = JobBook::typical()->learned($times);
    expect($book->own($job))->toEqualWithDelta(3 * $times->kinds['change:seed_tube'], 1e-9)
        ->and($book->minutesOnRows([$other]))->toEqualWithDelta((6 + 3) * $times->pace, 1e-9)
        ->and(JobBook::typical()->minutesOnRows([$other]))->toBe(9.0);
});
