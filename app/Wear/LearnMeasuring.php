<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use App\Models\Workshop;
use App\Record\Affected;
use App\Record\Change;
use Closure;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\PlanterWear;
use Ustrel\Core\Wear\ReadingError;
use Ustrel\Core\Wear\Spread;

/**
 * Learns from what a shop has read how far it measures off, check by check: what one planter tells is worked out anew, and
 * pooled with what the others told. Kept is what has moved enough to matter; all planters of the shop are forecast by it from then on.
 */
final readonly class LearnMeasuring
{
    /** By less than this share of itself a figure is the same. */
    private const SAME = 0.05;

    public function __construct(private Change $change)
    {
    }

    public function __invoke(Planter $planter): void
    {
        $this->change->ofYard($planter->workshop_id, static function (Workshop $workshop) use ($planter): ?Closure {
            $planter->newQuery()->whereKey($planter->id)->update(['measuring' => json_encode(self::told($planter->setRelation('workshop', $workshop)), JSON_THROW_ON_ERROR)]);
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

    /** @return array<string, Spread> what the planter's own readings tell, by check key */
    private static function told(Planter $planter): array
    {
        $checks = PlanterWear::checks($planter->readSheet());
        $wear = (new WearRecord($planter))->wear(array_keys($checks));

        return array_map(static fn (Check $check): Spread => ReadingError::of($check->key)->spread($wear->parts($check)), $checks);
    }

    /** @return array<string, float> millimetres by check key, of those that can be learned from */
    private static function learned(Workshop $workshop): array
    {
        $spreads = [];
        foreach ($workshop->planters()->get(['id', 'workshop_id', 'measuring']) as $planter) {
            foreach ($planter->measuring as $check => ['squares' => $squares, 'spare' => $spare]) {
                $spreads[$check][] = new Spread((float) $squares, (int) $spare);
            }
        }
        $learned = [];
        foreach ($spreads as $check => $of) {
            if (array_sum(array_column($of, 'spare')) > 0) {
                $learned[$check] = round(ReadingError::of(CheckKey::from($check))->pooled($of)->sd, 2);
            }
        }

        return $learned;
    }
}
