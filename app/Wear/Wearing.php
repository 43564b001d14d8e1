<?php

declare(strict_types=1);

namespace App\Wear;

use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Wear\Forecaster;
use Ustrel\Core\Wear\Item;
use Ustrel\Core\Wear\ReadingError;
use Ustrel\Core\Wear\Trace;
use Ustrel\Core\Wear\UseLog;
use Ustrel\Core\Wear\WearPath;

/** Hands what is on record of a check that wears to core's forecaster. */
final class Wearing
{
    /** A moment after all that is logged: what was planted today counts, too. */
    public const NOW = '9999-12-31';

    /**
     * @param  list<string>|null  $keys  only these checks
     * @return array<string, Check> those whose figure wears, by key
     */
    public static function checks(SpecSheet $sheet, ?array $keys = null): array
    {
        return array_filter(
            $sheet->ofRows(),
            static fn (Check $check): bool => $check->wear() !== null && ($keys === null || in_array($check->key->value, $keys, true)),
        );
    }

    public static function forecaster(Check $check, WearPath $path, float|string $watchChance): Forecaster
    {
        return new Forecaster($path, ReadingError::of($check->key), (float) $watchChance);
    }

    /**
     * @param  array<string, Trace>  $traces
     * @param  string  $asOf  ISO 8601 in UTC
     * @return list<Item>
     */
    public static function items(array $traces, UseLog $log, WearPath $path, string $asOf = self::NOW): array
    {
        return array_values(array_map(static fn (Trace $trace): Item => $trace->item($log, $path, $asOf), $traces));
    }
}
