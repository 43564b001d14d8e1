<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

use DateTimeImmutable;
use DateTimeZone;

/** An instant, to the millisecond, the same all over the world. */
final readonly class Moment
{
    /** A quarter of an hour: no place on earth begins its day at any other minute. */
    private const QUARTER = 900_000;

    private function __construct(
        /** Milliseconds since 1970-01-01T00:00:00Z. */
        public int $milliseconds,
    ) {
    }

    public static function ofMilliseconds(int $milliseconds): self
    {
        return new self($milliseconds);
    }

    /**
     * @param  string  $iso  ISO 8601 with seconds and a time zone, as 2026-03-01T09:30:00Z or 2026-03-01T03:30:00.250-06:00
     *
     * @throws UnreadableTime also for a day that no calendar has
     */
    public static function of(string $iso): self
    {
        if (preg_match('/^(\d{4}-\d\d-\d\d)T([01]\d|2[0-3]):[0-5]\d:[0-5]\d(?:\.(\d{1,9}))?(Z|[+-](?:0\d|1[0-4]):?[0-5]\d)$/D', $iso, $found) !== 1) {
            throw UnreadableTime::moment($iso);
        }
        try {
            Day::of($found[1]);
        } catch (UnreadableTime) {
            throw UnreadableTime::moment($iso);
        }
        $seconds = (new DateTimeImmutable((string) preg_replace('/\.\d+/', '', $iso)))->getTimestamp();

        return new self(1000 * $seconds + (int) substr(str_pad($found[3], 3, '0'), 0, 3));
    }

    /** Before anything that could be on record. */
    public static function ever(): self
    {
        return new self(PHP_INT_MIN);
    }

    /** After anything that could be on record. */
    public static function endOfTime(): self
    {
        return new self(PHP_INT_MAX);
    }

    public function isBefore(self $other): bool
    {
        return $this->milliseconds < $other->milliseconds;
    }

    public function isAfter(self $other): bool
    {
        return $this->milliseconds > $other->milliseconds;
    }

    public function equals(self $other): bool
    {
        return $this->milliseconds === $other->milliseconds;
    }

    public function earlier(self $other): self
    {
        return $other->isBefore($this) ? $other : $this;
    }

    public function later(self $other): self
    {
        return $other->isAfter($this) ? $other : $this;
    }

    /** In UTC, as 2026-03-01T09:30:00.000Z. */
    public function toIso(): string
    {
        $milliseconds = $this->milliseconds % 1000;
        $milliseconds += $milliseconds < 0 ? 1000 : 0;

        return gmdate('Y-m-d\TH:i:s', intdiv($this->milliseconds - $milliseconds, 1000)).sprintf('.%03dZ', $milliseconds);
    }

    /** The day that it is at a place. Not to be asked of the ends of time. */
    public function day(DateTimeZone $zone): Day
    {
        return Day::of($this->dayAt($zone));
    }

    /** The same as text. A forecast asks for thousands, of which most share a few quarters of an hour. */
    public function dayAt(DateTimeZone $zone): string
    {
        /** @var array<string, string> $days */
        static $days = [];
        if (count($days) > 20_000) {
            $days = [];
        }
        $quarter = intdiv($this->milliseconds, self::QUARTER) - ($this->milliseconds < 0 ? 1 : 0);

        return $days["{$quarter} {$zone->getName()}"] ??= (new DateTimeImmutable('@'.intdiv($quarter * self::QUARTER, 1000)))->setTimezone($zone)->format('Y-m-d');
    }
}
