<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

use Ustrel\Core\Spec\Judging\Verdict;

/** How a part stands in the season that is coming. Worded under `standing.<value>`. */
enum Standing: string
{
    /** At its limit, or past it. */
    case AtLimit = 'at_limit';
    /** More likely than not it reaches its limit this season. */
    case HardlyLasts = 'hardly_lasts';
    /** Its odds are over the shop's figure. */
    case MayNotLast = 'may_not_last';
    case Lasts = 'lasts';
    /** The record is too thin for odds: what is left goes by the nominal life. */
    case Nominal = 'nominal';
    /** Nothing was ever read of it. */
    case Unknown = 'unknown';

    /**
     * @param  float|null  $left50  what half last longer than, metres
     * @param  float|null  $chance  of reaching the limit this season, 0 to 1
     * @param  float  $watchChance  the shop's figure, 0 to 1
     */
    public static function of(?float $left50, ?float $chance, bool $isThin, float $watchChance): self
    {
        return match (true) {
            $left50 === null => $isThin ? self::Unknown : self::Lasts,
            $left50 <= 0.0 => self::AtLimit,
            $isThin => self::Nominal,
            $chance === null || $chance <= $watchChance => self::Lasts,
            $chance > 0.5 => self::HardlyLasts,
            default => self::MayNotLast,
        };
    }

    /** 0 (nothing known) to 5 (at its limit); the greater, the sooner it is through. */
    public function severity(): int
    {
        return match ($this) {
            self::Unknown => 0,
            self::Nominal => 1,
            self::Lasts => 2,
            self::MayNotLast => 3,
            self::HardlyLasts => 4,
            self::AtLimit => 5,
        };
    }

    /** What a walk is expected to find there. */
    public function expects(): Verdict
    {
        return match ($this) {
            self::AtLimit => Verdict::Change,
            self::HardlyLasts, self::MayNotLast => Verdict::Watch,
            self::Lasts, self::Nominal => Verdict::Sound,
            self::Unknown => Verdict::Unchecked,
        };
    }

    /** Whether it is not to be counted on for the whole season. */
    public function isShort(): bool
    {
        return $this === self::AtLimit || $this === self::HardlyLasts || $this === self::MayNotLast;
    }
}
