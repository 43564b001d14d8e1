<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\SidedFigure;

it('reads the side behind a figure', function (string $typed, string $figure, ?Chip $side): void {
    $read = SidedFigure::read($typed);
    expect($read->figure)->toBe($figure)->and($read->side)->toBe($side);
})->with([
    ['1/4 L', '1/4', Chip::OffLeft], ['1/4l', '1/4', Chip::OffLeft], ['6 mm right', '6 mm', Chip::OffRight], ['3/8" R.', '3/8"', Chip::OffRight],
    ['1/4', '1/4', null], ['0', '0', null], ['leftover', 'leftover', null], ['L', '', Chip::OffLeft],
]);

it('says to which side the closing wheels are off, and judges by how far alone', function (): void {
    $check = sheetFor()->check(CheckKey::from('closing_centring'));
    $judged = fn (string $typed, Chip ...$chips): array => words($check->judge(Answer::figure(Unit::Millimetre->read($typed, UnitSystem::Inch), array_values($chips)), Background::of()));
    expect($judged('3/8', Chip::OffLeft))->toBe(['change', 'off_centre', 'off_left'])
        ->and($judged('1/4', Chip::OffRight))->toBe(['sound', 'on_centre', 'off_right'])
        ->and($judged('3/8'))->toBe(['change', 'off_centre']);
});
