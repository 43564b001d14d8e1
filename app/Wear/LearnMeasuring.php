<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\LearnedSum;
use App\Models\Lesson;
use App\Models\Planter;
use App\Models\Workshop;
use App\Record\Affected;
use App\Record\Change;
use Closure;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\ReadingError;
use Ustrel\Core\Wear\Spread;

/**
 * Learns from what a shop has read how far it measures off, check by check: what each of its planters tells is pooled. Kept is
 * what has moved enough to matter; all planters of the shop are forecast by it from then on.
 */
final readonly class LearnMeasuring
{
    /** By less than this share of itself a figure is the same. */
    private const SAME = 0.05;

    public function __construct(private Change $change)
    {
    }

    public function __invoke(int $workshopId): void
    {
        $this->change->ofYard($workshopId, static function (Workshop $workshop): ?Closure {
            $moved = array_filter(
                self::learned($workshop),
                static fn (float $sd, string $check): bool => abs($sd - ($workshop->learned_sd[$check] ?? 0)) > self::SAME * $sd,
                ARRAY_FILTER_USE_BOTH,
            );
            if ($moved === []) {
                return null;
            }
            $workshop->update(['learned_sd' => $moved + $workshop->learned_sd]);

            return static fn (Planter $planter, Affected $affected) => $affected->figures($planter, $planter->workshop->ofWalk());
        });
    }

    /** @return array<string, float> millimetres by check key, of those that can be learned from */
    private static function learned(Workshop $workshop): array
    {
        $learned = [];
        foreach (LearnedSum::ofWorkshop($workshop->id, Lesson::Measuring) as $check => $sums) {
            $spreads = array_map(static fn (array $of): Spread => new Spread($of[2], (int) $of[0]), $sums);
            if (array_sum(array_column($spreads, 'spare')) > 0) {
                $learned[$check] = round(ReadingError::of(CheckKey::from($check))->pooled($spreads)->sd, 2);
            }
        }

        return $learned;
    }
}
