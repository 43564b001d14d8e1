<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use App\Models\Workshop;
use App\Record\Change;
use App\Record\Touched;
use Closure;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\PlanterWear;
use Ustrel\Core\Wear\ReadingError;

/**
 * Learns from all that a shop has read how far it measures off, check by check. Kept is what has moved enough to matter;
 * all planters of the shop are forecast by it from then on.
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
        $workshop = Workshop::query()->findOrFail($workshopId);
        $learned = self::learned($workshop);
        $moved = array_filter($learned, static fn (float $sd, string $check): bool => abs($sd - ($workshop->learned_sd[$check] ?? 0)) > self::SAME * $sd, ARRAY_FILTER_USE_BOTH);
        if ($moved === []) {
            return;
        }
        $this->change->ofYard($workshopId, static function (Workshop $workshop) use ($moved): Closure {
            $workshop->update(['learned_sd' => $moved + $workshop->learned_sd]);

            return static fn (Planter $planter, Touched $touched) => $touched->figures($planter, $planter->workshop->ofWalk());
        });
    }

    /** @return array<string, float> millimetres by check key, of those that can be learned from */
    private static function learned(Workshop $workshop): array
    {
        $parts = [];
        foreach ($workshop->planters()->with('specSheet')->orderBy('id')->get() as $planter) {
            $checks = PlanterWear::checks($planter->setRelation('workshop', $workshop)->readSheet());
            $wear = (new WearRecord($planter))->wear(array_keys($checks));
            foreach ($checks as $key => $check) {
                $parts[$key] = [...$parts[$key] ?? [], ...$wear->parts($check)];
            }
        }
        $learned = [];
        foreach ($parts as $key => $of) {
            $first = ReadingError::of(CheckKey::from($key));
            $sd = $first->learnedFrom($of)->sd;
            if ($sd !== $first->sd) {
                $learned[$key] = round($sd, 2);
            }
        }

        return $learned;
    }
}
