<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Http\Api\Schema;
use App\Models\Planter;
use App\Wear\PlaceForecast;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Wear\Standing;

final readonly class PlaceForecastView extends Schema
{
    public function __construct(
        public int $row,
        public CheckKey $check,
        public Side $side,
        /** Whose part it is the size of; null for what is set */
        public ?Slot $slot,
        public ?string $fitting_id,
        /** Expected now; null where nothing was ever read */
        public ?float $size_mm,
        /** Furrow metres that the part has run, as far as is known */
        public float $use_m,
        /** Furrow metres */
        public LeftView $left_m,
        /** Acres of this planter */
        public LeftView $left_acres,
        /** Of reaching the limit before the season ends */
        public ?float $chance,
        /** The day on which as many have reached the limit as not, within the season */
        public ?Day $due_on,
        /** Too little on record: what is left goes by the spec sheet's nominal life */
        public bool $thin,
        /** That it stands on */
        public int $readings,
        /** @var list<string> Readings that do not fit the rest; they hardly weigh */
        public array $outliers,
        /** How it stands in the season that is coming */
        public Standing $standing,
        /** Not to be counted on for the whole season */
        public bool $short,
        /** Its newest reading shows more left than there can be: it may have been changed */
        public bool $grown,
    ) {
    }

    public static function of(PlaceForecast $forecast): self
    {
        return new self(
            row: $forecast->place->row,
            check: $forecast->place->check,
            side: $forecast->place->side,
            slot: Slot::of($forecast->place->check),
            fitting_id: $forecast->fittingId,
            size_mm: $forecast->size === null ? null : round($forecast->size, 3),
            use_m: $forecast->use,
            left_m: new LeftView(...$forecast->metres),
            left_acres: new LeftView(...$forecast->acres),
            chance: $forecast->chance === null ? null : round($forecast->chance, 4),
            due_on: $forecast->dueOn,
            thin: $forecast->thin,
            readings: $forecast->readings,
            outliers: $forecast->outliers,
            standing: $forecast->standing,
            short: $forecast->standing->isShort(),
            grown: $forecast->grown,
        );
    }
}
