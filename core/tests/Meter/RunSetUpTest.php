<?php

declare(strict_types=1);

use Ustrel\Core\Meter\RunSetUp;

it('pools runs of one set-up, near in speed', function (RunSetUp $other, bool $isLike): void {
    $run = new RunSetUp('#7', '24 large', 'step 2', 'talc', 5.0);
    expect($run->isLike($other))->toBe($isLike)->and($other->isLike($run))->toBe($isLike);
})->with([
    'the same' => [new RunSetUp('#7', '24 large', ' Step 2', 'Talc', 5.0), true], 'half a mile faster' => [new RunSetUp('#7', '24 large', 'step 2', 'talc', 5.5), true],
    'a mile slower' => [new RunSetUp('#7', '24 large', 'step 2', 'talc', 4.0), false], 'at a speed nobody said' => [new RunSetUp('#7', '24 large', 'step 2', 'talc'), true],
    'another lot' => [new RunSetUp('#8', '24 large', 'step 2', 'talc', 5.0), false], 'another disc' => [new RunSetUp('#7', '30 small', 'step 2', 'talc', 5.0), false],
    'another step' => [new RunSetUp('#7', '24 large', 'step 3', 'talc', 5.0), false], 'without talc' => [new RunSetUp('#7', '24 large', 'step 2', '', 5.0), false],
]);

it('knows how fast a meter turns, and how fast that drives, worked by hand', function (): void {
    // 34,000 an acre at 30 in and 5 mph: 34,000 x 2.5 x 7.3333 / 43,560 = 14.310 seeds a second; over 30 cells 28.62 turns a minute.
    expect(RunSetUp::rpm(34_000, 30, 5, 30))->toEqualWithDelta(28.62, 0.005)->and(RunSetUp::mph(34_000, 30, 28.62, 30))->toEqualWithDelta(5.0, 0.001)->and(RunSetUp::rpm(34_000, 30, 5, 60))->toEqualWithDelta(14.31, 0.005);
});
