<?php

declare(strict_types=1);

namespace App\Record;

use Carbon\CarbonImmutable;
use DateTimeInterface;
use Ustrel\Core\Measure\Moment;

/** Moments between the database, the framework and core. */
final class Moments
{
    public static function now(): Moment
    {
        return self::of(CarbonImmutable::now());
    }

    public static function of(DateTimeInterface $moment): Moment
    {
        return Moment::ofMilliseconds(1000 * $moment->getTimestamp() + (int) $moment->format('v'));
    }

    /** A column in milliseconds: thousands of them are read at a time. */
    public static function sql(string $column): string
    {
        return "(extract(epoch from {$column}) * 1000)::bigint";
    }
}
