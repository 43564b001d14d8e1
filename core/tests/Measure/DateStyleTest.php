<?php

declare(strict_types=1);

use Ustrel\Core\Measure\DateStyle;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\NumberStyle;

beforeEach(function (): void {
    $this->today = Day::of('2026-12-01');
    [$this->us, $this->dayFirst] = [DateStyle::beside(null), DateStyle::beside(NumberStyle::Comma)];
});

it('names the day of the week of a day that is near, and the year only where it is another one', function (): void {
    expect($this->us->week(Day::of('2026-12-16'), $this->today))->toBe('Wed, Dec 16')
        ->and($this->us->week(Day::of('2027-01-08'), $this->today))->toBe('Fri, Jan 8, 2027')
        ->and($this->dayFirst->week(Day::of('2026-12-16'), $this->today))->toBe('Wed 16 Dec')
        ->and($this->dayFirst->week(Day::of('2027-01-08'), $this->today))->toBe('Fri 8 Jan 2027');
});

it('gives a day of any year its year', function (): void {
    expect($this->us->full(Day::of('2025-03-01')))->toBe('Mar 1, 2025')->and($this->dayFirst->full(Day::of('2025-03-01')))->toBe('1 Mar 2025')
        ->and($this->us->long($this->today))->toBe('Tuesday, December 1, 2026')->and($this->dayFirst->long($this->today))->toBe('Tuesday 1 December 2026');
});

it('says the time of day with twelve hours, or with 24', function (int $minutes, string $us, string $dayFirst): void {
    expect($this->us->clock($minutes))->toBe($us)->and($this->dayFirst->clock($minutes))->toBe($dayFirst);
})->with([[0, '12:00 AM', '00:00'], [492, '8:12 AM', '08:12'], [720, '12:00 PM', '12:00'], [1439, '11:59 PM', '23:59']]);

it('goes by the decimal point where that is what the workshop writes', function (): void {
    expect(DateStyle::beside(NumberStyle::Point)->clock(492))->toBe('8:12 AM');
});
