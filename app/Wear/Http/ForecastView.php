<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Http\Api\Schema;
use App\Http\GlanceView;
use App\Wear\PlanterForecast;
use Ustrel\Core\Spec\CheckKey;

final readonly class ForecastView extends Schema
{
    public function __construct(
        public ?SeasonPlanView $plan,
        /** The shop's figure: over it a part is watched */
        public float $watch_chance,
        /** @var list<PlaceForecastView> */
        public array $places,
        /** @var list<GlanceView> One line a station, front to back */
        public array $glance,
        /** @var list<CheckKey> Checks that read as if parts grew back, all in all: the tape reads long, or the limit figures are wrong */
        public array $grow_back,
    ) {
    }

    public static function of(PlanterForecast $forecast): self
    {
        return new self(
            plan: SeasonPlanView::of($forecast->planter, $forecast->plan),
            watch_chance: (float) $forecast->planter->workshop->watch_chance,
            places: array_map(PlaceForecastView::of(...), $forecast->places),
            glance: GlanceView::all($forecast->glance()),
            grow_back: array_map(CheckKey::from(...), $forecast->growBack()),
        );
    }
}
