<?php

declare(strict_types=1);

use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Field\Dig\FirstPassDone;
use Ustrel\Core\Measure\Moment;

function minute(string $time): Moment
{
    return Moment::of("2026-04-20T{$time}:00.000Z");
}

it('is done by enough digs after the last adjustment and a sign-off after them', function (array $dug, ?string $adjusted, ?string $signed, bool $isDone): void {
    expect(FirstPassDone::isDone(array_map(minute(...), $dug), $adjusted === null ? null : minute($adjusted), $signed === null ? null : minute($signed), 16))->toBe($isDone);
})->with([
    'four rows, nothing set, signed' => [[1 => '08:00', 2 => '08:05', 7 => '08:10', 16 => '08:15'], null, '08:20', true],
    'signed at the very minute of the last dig' => [[1 => '08:00', 2 => '08:05', 7 => '08:10', 16 => '08:15'], '07:30', '08:15', true],
    'three rows' => [[1 => '08:00', 2 => '08:05', 7 => '08:10'], null, '08:20', false],
    'nobody signed' => [[1 => '08:00', 2 => '08:05', 7 => '08:10', 16 => '08:15'], null, null, false],
    'set after three of the digs' => [[1 => '08:00', 2 => '08:05', 7 => '08:10', 16 => '08:15'], '08:12', '08:20', false],
    'set between the digs and the sign-off' => [[1 => '08:00', 2 => '08:05', 7 => '08:10', 16 => '08:15'], '08:18', '08:20', false],
    'dug again after the sign-off' => [[1 => '08:00', 2 => '08:05', 7 => '08:10', 16 => '08:25'], null, '08:20', false],
    'digs of before that were set aside do not count against it' => [[1 => '07:00', 2 => '08:05', 7 => '08:10', 9 => '08:11', 16 => '08:15'], '08:00', '08:20', true],
]);

it('wants all rows of a small planter', function (): void {
    expect(FirstPassDone::isDug([1 => minute('08:00'), 2 => minute('08:01')], null, 2))->toBeTrue()
        ->and(FirstPassDone::isDug([1 => minute('08:00')], null, 2))->toBeFalse()->and(FirstPassDone::enough(16))->toBe(4);
});

it('calls a row off by more than a quarter of an inch of depth, or a twentieth of the rate', function (): void {
    // 2 1/4 in where 2 is wanted, 2 5/16, and 1 3/4; spacing of 6.2 and of 9 in where 6 is set.
    $dug = static fn (float $depth, float $spacing): DugRow => new DugRow([$depth, $depth], [$spacing, $spacing]);
    expect($dug(57.15, 157.48)->isOffDepth(50.8))->toBeFalse()->and($dug(58.7, 157.48)->isOffDepth(50.8))->toBeTrue()->and($dug(44.45, 157.48)->isOffDepth(50.8))->toBeFalse()
        ->and($dug(50.8, 157.48)->isOffRate(152.4))->toBeFalse()->and($dug(50.8, 228.6)->isOffRate(152.4))->toBeTrue()->and((new DugRow([50.8], []))->isOffRate(152.4))->toBeFalse();
});
