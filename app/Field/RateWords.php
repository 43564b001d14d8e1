<?php

declare(strict_types=1);

namespace App\Field;

use Ustrel\Core\Field\Rate\FoundRate;
use Ustrel\Core\Field\Rate\Rate;
use Ustrel\Core\Field\Rate\RateCause;
use Ustrel\Core\Field\Rate\RateFinding;
use Ustrel\Core\Field\Rate\RateScope;
use Ustrel\Core\Field\Rate\RateVerdict;

/** Says of the rate that was dug whether it is right, which rows are off, and what explains it. */
final readonly class RateWords
{
    /** @return string such as `All rows`, `Motor 2 (rows 5, 6)`, `Row 7` */
    public static function rows(RateFinding $of): string
    {
        return trans_choice("rate_scope.{$of->scope->value}", $of->scope === RateScope::Group ? 2 : count($of->rows), ['name' => $of->group, 'rows' => implode(', ', $of->rows)]);
    }

    /** @return string such as `50% too far apart` */
    public static function by(Rate $rate): string
    {
        return __($rate->ratio > 1 ? 'rate.too_far' : 'rate.too_close', ['share' => round(100 * abs($rate->ratio - 1))]);
    }

    public static function verdict(FoundRate $found): string
    {
        $rate = $found->all;

        return match ($found->verdict) {
            RateVerdict::Off => __('rate_verdict.off'),
            RateVerdict::Sound => __('rate_verdict.sound'),
            RateVerdict::Unsure => match ($rate->more) {
                null => __('rate_verdict.settle_otherwise'),
                0 => __('rate_verdict.unsure'),
                default => __('rate_verdict.dig_more', ['more' => $rate->more]),
            },
        };
    }

    /** What is told of one row beside its figures. */
    public static function row(Rate $rate): string
    {
        return match (true) {
            $rate->verdict === RateVerdict::Off => self::by($rate),
            $rate->verdict === RateVerdict::Sound => __('rate.row_sound'),
            $rate->more === null => __('rate.row_unsure'),
            default => __('rate.row_more', ['more' => $rate->more]),
        };
    }

    /** The ratio with its interval: `spacing 1.50 x what is set (1.41 to 1.60), 40 spacings`. */
    public static function ratio(Rate $rate): string
    {
        return __(is_infinite($rate->high) ? 'rate.ratio_open' : 'rate.ratio', [
            'ratio' => number_format($rate->ratio, 2), 'low' => number_format($rate->low, 2), 'high' => is_infinite($rate->high) ? '' : number_format($rate->high, 2), 'count' => $rate->spacings,
        ]);
    }

    /** What tells whether it is all rows; null where that is known. */
    public static function toProve(RateFinding $of): ?string
    {
        return $of->isProven ? null : (string) __($of->scope === RateScope::Row ? 'rate.dig_another' : 'rate.dig_other_half');
    }

    public static function cause(RateCause $cause): string
    {
        if ($cause->in === null || $cause->wanted === null) {
            return __("rate_cause.{$cause->code}", ['cells' => $cause->cells, 'wanted' => $cause->wantedCells]);
        }
        $changes = array_map(
            static fn (array $of): string => __("rate_change.{$of[1]}", ['stage' => count($cause->wanted->stages) > 1 ? __('rate_change.stage', ['number' => $of[0]]) : '', 'from' => $of[2], 'to' => $of[3]]),
            $cause->wanted->changesFrom($cause->in),
        );

        return __("rate_cause.{$cause->code}", ['in' => $cause->in->said(), 'wanted' => $cause->wanted->said(), 'change' => implode(', ', $changes)]);
    }
}
