<?php

declare(strict_types=1);

use Ustrel\Core\Meter\Counts;
use Ustrel\Core\Meter\PastRun;
use Ustrel\Core\Meter\StartSettings;
use Ustrel\Core\Meter\TagSeed;

/** A run whose skips and doubles follow curves that the code does not know: skips halve and doubles double with each inch about the best air. */
function pastRun(string $lot, TagSeed $seed, string $singulator, float $air, float $best, float $level = 0.01, int $places = 500): PastRun
{
    return new PastRun($lot, $seed, $singulator, $air, new Counts($places, (int) round($places * $level * 2 ** ($best - $air)), (int) round($places * $level * 2 ** ($air - $best))));
}

it('knows seed of one size by caliper, by class, or by seeds per pound, in that order', function (TagSeed $one, TagSeed $other, ?string $by): void {
    expect($one->sizedLike($other))->toBe($by)->and($other->sizedLike($one))->toBe($by);
})->with([
    'calipers a tenth of a millimeter apart' => [new TagSeed(5.2, 'Popcorn'), new TagSeed(5.3, 'popcorn'), 'measured'],
    'calipers fifteen hundredths apart' => [new TagSeed(5.2, 'Popcorn'), new TagSeed(5.35, 'Popcorn'), null],
    'a caliper says otherwise than the class' => [new TagSeed(5.2, 'Popcorn', 'medium flat'), new TagSeed(6.0, 'Popcorn', 'medium flat'), null],
    'one class' => [new TagSeed(null, 'Popcorn', 'Medium flat', 2_900), new TagSeed(6.0, 'Popcorn', 'medium  flat', 3_190), 'meant'],
    'one class, counts over a tenth apart' => [new TagSeed(null, 'Popcorn', 'medium flat', 2_900), new TagSeed(null, 'Popcorn', 'medium flat', 3_200), null],
    'another class, counts alike' => [new TagSeed(null, 'Popcorn', 'medium flat', 2_900), new TagSeed(null, 'Popcorn', 'medium round', 2_900), null],
    'counts within a tenth' => [new TagSeed(null, 'Popcorn', '', 3_000), new TagSeed(5.2, 'Popcorn', 'large', 3_300), 'estimated'],
    'counts alike of crops that nobody named' => [new TagSeed(null, '', '', 3_000), new TagSeed(null, '', '', 3_000), null],
    'one size of two crops' => [new TagSeed(6.0, 'Popcorn'), new TagSeed(6.0, 'Soybeans'), null],
    'nothing on the tag' => [new TagSeed(null, 'Popcorn'), new TagSeed(null, 'Popcorn'), null],
]);

it('starts at the singulator step and the air that served seed of its size', function (): void {
    $flat = new TagSeed(6.1, 'Popcorn');
    $runs = [];
    foreach ([8.0, 10.0, 12.0, 14.0] as $air) {
        $runs[] = pastRun('#1', $flat, 'step 2', $air, 11.0, 0.004);
        // The other step is worse at its best, and that lies elsewhere.
        $runs[] = pastRun('#2', $flat, 'Step 3', $air, 9.0, 0.02);
        // Small seed, which needs little air: none of its size.
        $runs[] = pastRun('#3', new TagSeed(4.9, 'Popcorn'), 'step 1', $air / 2, 5.5, 0.001);
    }
    $start = StartSettings::of('#9', new TagSeed(6.0, 'popcorn'), $runs);
    expect($start?->singulator)->toBe('step 2')
        ->and($start?->by)->toBe('measured')
        ->and($start?->air)->toBeGreaterThan(10.3)->toBeLessThan(11.7)
        ->and($start?->way)->toBeNull()
        ->and([$start?->runs, $start?->lots])->toBe([4, ['#1']])
        ->and($start?->skips + $start?->doubles)->toBeGreaterThan(0.004)->toBeLessThan(0.015);
});

it('starts within what was tried, and says where to go on', function (): void {
    $seed = new TagSeed(6.1, 'Popcorn');
    $runs = array_map(static fn (float $air): PastRun => pastRun('#1', $seed, '', $air, 14.0), [8.0, 9.0, 10.0]);
    $start = StartSettings::of('#1', $seed, $runs);
    expect($start?->air)->toBe(10.0)->and($start?->way)->toBe('more')->and($start?->by)->toBe('same')
        // 16 times the level in skips at 10 in, and next to no doubles.
        ->and($start?->skips)->toBeGreaterThan(0.1)->toBeLessThan(0.22)->and($start?->doubles)->toBeLessThan(0.01);
});

it('takes seed that is known less well only until there are three runs', function (): void {
    $seed = new TagSeed(6.1, 'Popcorn', 'large flat', 2_000);
    $measured = static fn (string $lot): PastRun => pastRun($lot, new TagSeed(6.1, 'Popcorn'), 'a', 10.0, 10.0);
    $meant = pastRun('#5', new TagSeed(null, 'Popcorn', 'large flat'), 'a', 10.0, 10.0);
    $estimated = pastRun('#6', new TagSeed(null, 'Popcorn', '', 2_050), 'a', 10.0, 10.0);
    $start = static fn (PastRun ...$runs): ?StartSettings => StartSettings::of('#9', $seed, array_values($runs));
    expect($start($measured('#1'), $measured('#2'), $measured('#3'), $meant, $estimated)?->by)->toBe('measured')
        ->and($start($measured('#1'), $measured('#2'), $meant, $estimated)?->by)->toBe('meant')
        ->and($start($measured('#1'), $measured('#2'), $meant, $estimated)?->lots)->toBe(['#1', '#2', '#5'])
        ->and($start($measured('#1'), $estimated)?->by)->toBe('estimated')
        ->and($start())->toBeNull()
        ->and($start(pastRun('#7', new TagSeed(null, 'Soybeans', 'large flat', 2_000), 'a', 10.0, 10.0)))->toBeNull();
});

it('does not prefer a step for one lucky run, nor asks for air of a meter that has none', function (): void {
    $seed = new TagSeed(6.1, 'Popcorn');
    $run = static fn (string $step, int $places, int $skips): PastRun => new PastRun('#1', $seed, $step, null, new Counts($places, $skips, 0));
    $start = StartSettings::of('#1', $seed, [$run('new belt', 100, 0), ...array_fill(0, 6, $run('old belt', 500, 1))]);
    // By hand: (0.5 + 6) of 3,050 and 0.5 of 3,050 against 0.5 and 0.5 of 150.
    expect($start?->singulator)->toBe('old belt')->and($start?->air)->toBeNull()
        ->and($start?->skips)->toEqualWithDelta(6.5 / 3_050, 1e-9)->and($start?->doubles)->toEqualWithDelta(0.5 / 3_050, 1e-9);
});
