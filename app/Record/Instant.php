<?php

declare(strict_types=1);

namespace App\Record;

use Carbon\CarbonImmutable;

/** Moments the way core compares them: ISO 8601 in UTC, all of one length. */
final class Instant
{
    public const FORMAT = 'Y-m-d\TH:i:s.v\Z';

    public static function of(CarbonImmutable $moment): string
    {
        return $moment->utc()->format(self::FORMAT);
    }

    /** The same of a column, made by the database: thousands of them are read at a time. */
    public static function sql(string $column): string
    {
        return "to_char({$column} AT TIME ZONE 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS.MS\"Z\"')";
    }
}
