<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** Logarithms of factorials, kept as they are asked for. */
final class Binomial
{
    /** The logarithm of the ways to choose some of all; minus infinity where there is none. */
    public static function logChoose(int $all, int $some): float
    {
        if ($some < 0 || $some > $all) {
            return -INF;
        }
        $log = self::logFactorials($all);

        return $log[$all] - $log[$some] - $log[$all - $some];
    }

    /** @return non-empty-list<float> the logarithm of the factorial of each number up to one at least */
    public static function logFactorials(int $most): array
    {
        /** @var non-empty-list<float> $logs */
        static $logs = [0.0];
        for ($number = count($logs); $number <= $most; $number++) {
            $logs[] = $logs[$number - 1] + log($number);
        }

        return $logs;
    }
}
