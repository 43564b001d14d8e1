<?php

declare(strict_types=1);

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

it('says which steps are done, in the order of work', function (bool $isTurned, array $dug, ?string $adjusted, bool $isOff, bool $isSigned, array $done): void {
    expect(array_column(FirstPassDone::steps($isTurned, array_map(minute(...), $dug), $adjusted === null ? null : minute($adjusted), $isOff, $isSigned, 16), 'value'))->toBe($done);
})->with([
    'nothing yet' => [false, [], null, false, false, []],
    'turned' => [true, [], null, false, false, ['turn_by_hand']],
    'dug, and a row is off' => [true, [1 => '08:00', 2 => '08:05'], null, true, false, ['turn_by_hand', 'dig']],
    'set before it was dug, and a row is off' => [true, [1 => '08:00', 2 => '08:05'], '07:30', true, false, ['turn_by_hand', 'dig']],
    'set after that' => [true, [1 => '08:00', 2 => '08:05'], '08:10', true, false, ['turn_by_hand', 'dig', 'adjust']],
    'dug again, too few rows' => [true, [1 => '08:20', 2 => '08:05'], '08:10', false, false, ['turn_by_hand', 'dig', 'adjust']],
    'dug again on four' => [true, [1 => '08:20', 2 => '08:25', 8 => '08:26', 16 => '08:30'], '08:10', false, false, ['turn_by_hand', 'dig', 'adjust', 'dig_again']],
    'dug again, and still off' => [true, [1 => '08:20', 2 => '08:25', 8 => '08:26', 16 => '08:30'], '08:10', true, false, ['turn_by_hand', 'dig']],
    'right at once' => [false, [1 => '08:20', 2 => '08:25', 8 => '08:26', 16 => '08:30'], null, false, true, ['dig', 'adjust', 'dig_again', 'sign_off']],
]);

it('wants what bears looked at again on the rows that were moved, after they were', function (array $moved, array $looked, bool $isAgain): void {
    expect(FirstPassDone::isLookedAtAgain(array_map(minute(...), $moved), array_map(minute(...), $looked)))->toBe($isAgain);
})->with([
    'the row that was turned' => [[6 => '08:00'], [6 => '08:05'], true],
    'another row' => [[6 => '08:00'], [5 => '08:05'], false],
    'before it was turned' => [[6 => '08:00'], [6 => '07:55'], false],
    'one row of sixteen' => [array_fill(1, 16, '08:00'), [1 => '08:05'], false],
    'four rows of sixteen' => [array_fill(1, 16, '08:00'), [1 => '08:05', 6 => '08:05', 11 => '08:05', 16 => '08:05'], true],
    'the wheel of the planter' => [[0 => '08:00'], [0 => '08:05'], true],
]);
