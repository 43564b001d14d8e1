<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;
use App\Models\Walk;
use App\Walk\WalkProjector;
use App\Wear\ForecastProjector;
use Illuminate\Database\Eloquent\Builder;

/** The open walks that are judged by a spec sheet: they follow it, finished walks keep the figures they had. */
final readonly class SheetOfOpenWalks
{
    public function __construct(
        private WalkProjector $projector,
        private ForecastProjector $forecasts,
    ) {
    }

    /** @return Builder<Walk> */
    public static function of(SpecSheet $sheet): Builder
    {
        return Walk::query()
            ->whereNull('finished_at')
            ->whereHas('planter', static fn ($planters) => $planters->where('spec_sheet_id', $sheet->id));
    }

    /** To be called in the transaction that has changed the sheet. */
    public function follow(SpecSheet $sheet): void
    {
        foreach (self::of($sheet)->lockForUpdate()->get() as $walk) {
            $walk->fill(['sheet' => $sheet->sheet])->countPlaces()->save();
            $this->projector->project($walk->load('planter.workshop'));
        }
        foreach ($sheet->planters()->with(['specSheet', 'workshop'])->get() as $planter) {
            $this->forecasts->project($planter);
        }
    }
}
