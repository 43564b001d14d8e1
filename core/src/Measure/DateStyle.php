<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

use DateTimeImmutable;

/** How a workshop writes dates and times: `Wed, Dec 16` and `8:12 AM`, or with the day first and 24 hours. */
final readonly class DateStyle
{
    private function __construct(private bool $isDayFirst)
    {
    }

    /** @param  NumberStyle|null  $numbers  who writes a decimal comma has the day first; null where nobody said */
    public static function beside(?NumberStyle $numbers): self
    {
        return new self($numbers === NumberStyle::Comma);
    }

    /** A day of any year: `Mar 1, 2025` or `1 Mar 2025`. */
    public function full(Day $day): string
    {
        return self::at($day)->format($this->isDayFirst ? 'j M Y' : 'M j, Y');
    }

    /** A day that is near: `Wed, Dec 16` or `Wed 16 Dec`; with its year where that is not the year of today. */
    public function week(Day $day, Day $today): string
    {
        $year = $day->year() === $today->year() ? '' : ($this->isDayFirst ? ' Y' : ', Y');

        return self::at($day)->format(($this->isDayFirst ? 'D j M' : 'D, M j').$year);
    }

    /** As a heading: `Tuesday, December 1, 2026` or `Tuesday 1 December 2026`. */
    public function long(Day $day): string
    {
        return self::at($day)->format($this->isDayFirst ? 'l j F Y' : 'l, F j, Y');
    }

    /**
     * The time of day: `8:12 AM` or `08:12`.
     *
     * @param  int  $minutes  since midnight, 0 to 1439
     */
    public function clock(int $minutes): string
    {
        return (new DateTimeImmutable('2000-01-01 00:00:00'))->setTime(0, $minutes)->format($this->isDayFirst ? 'H:i' : 'g:i A');
    }

    private static function at(Day $day): DateTimeImmutable
    {
        return new DateTimeImmutable("{$day->iso} 12:00:00");
    }
}
