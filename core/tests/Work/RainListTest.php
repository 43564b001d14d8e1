<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Work;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\Schedule\InvalidPlan;
use Ustrel\Core\Work\Stops\RainJob;
use Ustrel\Core\Work\Stops\RainList;

it('counts once what comes off for two jobs, and gives each side of a row to one person', function (): void {
    $wheel = ['wheel 3 left' => 8];
    $jobs = [
        new RainJob('blade', 3, Side::Left, 10, $wheel, 90.0),
        new RainJob('scraper', 3, Side::Left, 4, $wheel, 30.0),
        new RainJob('tail', 5, Side::Left, 20, [], 60.0),
        new RainJob('hose', 9, Side::Centre, 25, [], 20.0),
    ];
    // 22 minutes of blade and scraper, 20 of the tail: one each. The hose is 23 minutes too long for who does the tail.
    $plan = RainList::of($jobs, 22, 2);
    expect($plan->worth)->toBe(180.0)->and($plan->people)->toEqualCanonicalizing([['blade', 'scraper'], ['tail']])->and($plan->minutes)->toEqualCanonicalizing([22, 20])
        ->and($plan->isBest)->toBeTrue()->and($plan->missed)->toBe(['hose' => 23]);
    // Alone in 22 minutes: blade and scraper.
    expect(RainList::of($jobs, 22, 1)->people)->toBe([['blade', 'scraper']])
        ->and(RainList::of([], 60, 2)->people)->toBe([[], []])
        // Two people do not help each other on one side: in 21 minutes each, only one of both is done.
        ->and(RainList::of(array_slice($jobs, 0, 2), 21, 2)->worth)->toBe(90.0);
});

it('puts two people together to what takes two, and leaves it where there is one', function (): void {
    $arm = new RainJob('arm', 4, Side::Centre, 25, ['wheel 4 left' => 8], 80.0, people: 2);
    $tail = new RainJob('tail', 5, Side::Left, 20, [], 60.0);
    // Both are at the arm for 33 minutes; the tail is done by one of them after.
    $plan = RainList::of([$arm, $tail], 60, 2);
    expect($plan->people)->toBe([['arm'], ['arm', 'tail']])->and($plan->minutes)->toBe([33, 53])->and($plan->worth)->toBe(140.0)
        ->and(RainList::of([$arm, $tail], 60, 1)->people)->toBe([['tail']])->and(RainList::of([$arm, $tail], 60, 1)->missed)->toBe([])
        // Of three, two are together; the third has the tail meanwhile.
        ->and(RainList::of([$arm, $tail], 33, 3)->worth)->toBe(140.0)->and(RainList::of([$arm, $tail], 33, 3)->people)->toEqualCanonicalizing([['arm'], ['arm'], ['tail']])
        ->and(RainList::of([$arm, $tail], 30, 2)->missed)->toBe(['arm' => 23]);
});

it('refuses what cannot be', function (callable $plan, string $says): void {
    expect($plan)->toThrow(InvalidPlan::class, $says);
})->with([
    'nobody' => [fn () => RainList::of([], 60, 0), 'from 1 to 8 people'],
    'no time' => [fn () => RainList::of([], 0, 2), 'from 1 to 1440 minutes'],
    'minutes' => [fn () => new RainJob('a', 1, Side::Left, 10_000, [], 1.0), '0 to 600'],
    'worth' => [fn () => new RainJob('a', 1, Side::Left, 10, [], -1.0), 'worth'],
    'a crowd' => [fn () => new RainJob('a', 1, Side::Left, 10, [], 1.0, people: 5), 'people'],
    'no figure' => [fn () => new RainJob('a', 1, Side::Left, 10, [], NAN), 'worth'],
]);

/**
 * The most there is, by giving every job to every person, to two together or to nobody. Of two people there is one pair.
 *
 * @param  list<RainJob>  $jobs
 */
function mostByTrying(array $jobs, int $minutes, int $people): float
{
    $best = 0.0;
    $try = function (int $at, array $who) use (&$try, &$best, $jobs, $minutes, $people): void {
        if ($at === count($jobs)) {
            $taken = array_fill(0, $people + 1, 0);
            $worth = 0.0;
            $off = $at = [];
            foreach ($jobs as $index => $job) {
                if ($who[$index] < 0) {
                    continue;
                }
                foreach ($job->side === Side::Centre ? [Side::Left, Side::Right] : [$job->side] as $side) {
                    $place = $job->row === 0 ? $job->key : "{$job->row} {$side->value}";
                    if (($at[$place] ?? $who[$index]) !== $who[$index]) {
                        return;
                    }
                    $at[$place] = $who[$index];
                }
                if ($job->people > 1 && $who[$index] < $people) {
                    return;
                }
                $taken[$who[$index]] += $job->minutes;
                $worth += $job->worth;
                foreach ($job->access as $name => $of) {
                    $taken[$who[$index]] += isset($off["{$who[$index]} {$name}"]) ? 0 : $of;
                    $off["{$who[$index]} {$name}"] = true;
                }
            }
            $best = $minutes >= $taken[$people] + max(array_slice($taken, 0, $people)) ? max($best, $worth) : $best;

            return;
        }
        for ($person = -1; $person < ($people === 2 ? 3 : $people); $person++) {
            $try($at + 1, [...$who, $person]);
        }
    };
    $try(0, []);

    return $best;
}

/** @return list<RainJob> as rows bring them: wheel, scraper and blade come off in that order; a guard needs both blades off */
function rainJobs(Randomizer $random, int $count, int $rows, int $together = 0): array
{
    $jobs = [];
    for ($at = 0; $at < $count; $at++) {
        $row = $random->getInt(0, 9) === 0 ? 0 : $random->getInt(1, $rows);
        $side = $row === 0 ? Side::Centre : [Side::Left, Side::Right, Side::Centre][$random->getInt(0, 2)];
        $off = [];
        foreach ($row === 0 ? [] : ($side === Side::Centre ? [Side::Left, Side::Right] : [$side]) as $of) {
            $off += array_slice(["wheel {$row} {$of->value}" => 8, "scraper {$row} {$of->value}" => 3, "blade {$row} {$of->value}" => 6], 0, $random->getInt(0, 3));
        }
        $jobs[] = new RainJob("j{$at}", $row, $side, $random->getInt(0, 15), $off, (float) $random->getInt(0, 40), $together > 0 && $random->getInt(1, $together) === 1 ? 2 : 1);
    }

    return $jobs;
}

it('finds the most there is', function (): void {
    $random = new Randomizer(new Mt19937(11));
    for ($case = 0; $case < 400; $case++) {
        $jobs = rainJobs($random, $random->getInt(1, $case % 40 === 0 ? 9 : 7), 3, $case % 2 === 0 ? 4 : 0);
        [$minutes, $people] = [$random->getInt(10, 70), $random->getInt(1, 2)];
        $plan = RainList::of($jobs, $minutes, $people);
        expect($plan->worth)->toBe(mostByTrying($jobs, $minutes, $people), "case {$case}")->and($plan->isBest)->toBeTrue();
    }
});

it('is done with thirty jobs in time, and says how far it can be off', function (): void {
    $random = new Randomizer(new Mt19937(3));
    for ($case = 0; $case < 4; $case++) {
        $jobs = rainJobs($random, 30, 4 + 4 * $case, $case === 3 ? 8 : 0);
        $began = hrtime(true);
        $plan = RainList::of($jobs, 180, 2);
        // Eight people have time for all of it, in more ways than can be looked at.
        expect(RainList::of($jobs, 720, 8)->worth)->toEqualWithDelta(array_sum(array_map(static fn (RainJob $job): float => $job->worth, $jobs)), 1e-9)
            ->and((hrtime(true) - $began) / 1e9)->toBeLessThan(6)->and($plan->atMost)->toBeGreaterThanOrEqual($plan->worth)->and($plan->isBest)->toBeTrue();
    }
});
