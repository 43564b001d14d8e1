<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

use DateTimeImmutable;
use DateTimeZone;

/** A day of the calendar, from 1900-01-01 to 2200-12-31, wherever that day is lived through. */
final readonly class Day
{
    private const FIRST_YEAR = 1900;

    private const LAST_YEAR = 2200;

    /** @param  string  $iso  as 2026-04-28 */
    private function __construct(public string $iso)
    {
    }

    /**
     * @param  string  $iso  as 2026-04-28
     *
     * @throws UnreadableTime
     */
    public static function of(string $iso): self
    {
        $isDay = preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $iso, $found) === 1
            && checkdate((int) $found[2], (int) $found[3], (int) $found[1])
            && $found[1] >= self::FIRST_YEAR && $found[1] <= self::LAST_YEAR;

        return $isDay ? new self($iso) : throw UnreadableTime::day($iso);
    }

    /** @param  int  $day  a 29th of February is the 28th in a year without one */
    public static function inYear(int $year, int $month, int $day): self
    {
        return self::of(sprintf('%04d-%02d-%02d', $year, $month, checkdate($month, $day, $year) ? $day : 28));
    }

    public function year(): int
    {
        return (int) substr($this->iso, 0, 4);
    }

    public function month(): int
    {
        return (int) substr($this->iso, 5, 2);
    }

    public function dayOfMonth(): int
    {
        return (int) substr($this->iso, 8, 2);
    }

    public function isBefore(self $other): bool
    {
        return $this->iso < $other->iso;
    }

    public function plusDays(int $days): self
    {
        return self::of($this->atMidnight()->modify("{$days} days")->format('Y-m-d'));
    }

    /** Days from this one to another; negative where that lies before. */
    public function daysUntil(self $other): int
    {
        return (int) $this->atMidnight()->diff($other->atMidnight())->format('%r%a');
    }

    /** Its noon at a place: the moment of what is only known by its day. */
    public function noon(DateTimeZone $zone): Moment
    {
        return Moment::ofMilliseconds(1000 * (new DateTimeImmutable("{$this->iso} 12:00:00", $zone))->getTimestamp());
    }

    /** The moment at which the next one begins there. */
    public function end(DateTimeZone $zone): Moment
    {
        return Moment::ofMilliseconds(1000 * (new DateTimeImmutable($this->plusDays(1)->iso, $zone))->getTimestamp());
    }

    private function atMidnight(): DateTimeImmutable
    {
        return new DateTimeImmutable($this->iso, new DateTimeZone('UTC'));
    }
}
