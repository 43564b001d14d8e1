<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\PlantedThere;
use App\Http\Api\Schema;
use App\Models\Field\StandCount;
use App\Models\Planter;
use App\Spec\ShopAims;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Measure\UnitSystem;

final readonly class EmergenceView extends Schema
{
    public function __construct(
        /** @var list<YieldCurveView> What the shop says that its crops yield at each stand */
        public array $curves,
        /** @var list<FieldStandView> */
        public array $fields,
    ) {
    }

    /**
     * @param  Collection<int, StandCount>  $counts  the newest first
     */
    public static function of(Planter $planter, Collection $counts, PlantedThere $planted, UnitSystem $system): self
    {
        $words = new FigureWords($system);
        $shop = ShopAims::of($planter->workshop_id);
        $fields = [];
        foreach ($counts->groupBy(static fn (StandCount $of): string => mb_strtolower($of->field)." {$of->planted_on->iso}") as $ofField) {
            $fields[] = FieldStandView::of($planter, $ofField, $planted, $words, $shop);
        }

        return new self(fields: $fields, curves: YieldCurveView::all($planter->workshop, $system));
    }
}
