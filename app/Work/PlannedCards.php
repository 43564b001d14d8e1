<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Plan\KeptPlan;
use App\Models\Planter;
use App\Models\Workshop;
use Illuminate\Support\Facades\Cache;
use Ustrel\Core\Work\Schedule\Placed;

/** Reads the cards of all plans that a shop keeps. */
final readonly class PlannedCards
{
    /** A plan is costly to read; it follows stock and orders within this time, and planters and the plan at once. */
    private const KEPT_SECONDS = 60;

    public function __construct(private WorkQuery $work)
    {
    }

    /** @return list<PlannedCard> each once, the first to start first */
    public function of(Workshop $workshop): array
    {
        $planters = WorkQuery::planters($workshop);
        $revisions = array_map(static fn (Planter $of): string => "{$of->id}.{$of->revision}", $planters);
        $cards = [];
        foreach (KeptPlan::query()->where('workshop_id', $workshop->id)->with('user')->orderBy('id')->get() as $kept) {
            $of = array_values(array_filter($planters, static fn (Planter $of): bool => $kept->planter_id === null || $of->id === $kept->planter_id));
            if ($of === []) {
                continue;
            }
            $version = implode(' ', [$kept->revision, ...$revisions, $workshop->updated_at?->getTimestamp(), $workshop->today()->iso]);
            $cards += Cache::remember("planned-cards:{$kept->id}:".hash('xxh128', $version), self::KEPT_SECONDS, fn (): array => array_column(self::cards($this->work->of($workshop, $of, kept: $kept)), null, 'key'));
        }
        usort($cards, static fn (PlannedCard $one, PlannedCard $other): int => [$one->start ?? PHP_INT_MAX, $one->key] <=> [$other->start ?? PHP_INT_MAX, $other->key]);

        return $cards;
    }

    /** @return list<PlannedCard> */
    private static function cards(WorkPlan $plan): array
    {
        $card = static fn (PlannedWork $of, ?Placed $placed): PlannedCard => new PlannedCard(
            $of->planter->id, $of->key(), WorkWords::piece($of), $of->piece->minutes, count($of->parts),
            array_map(static fn (int $person): string => $plan->people[$person], $placed?->people() ?? []),
            $placed?->start,
        );

        return [
            ...array_map(static fn (Placed $placed): PlannedCard => $card($plan->pieces[$placed->task], $placed), array_values($plan->schedule->placed ?? [])),
            ...array_map(static fn (PlannedWork $of): PlannedCard => $card($of, null), $plan->undated),
        ];
    }
}
