<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Planter;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Walk\Place;

/** What a change has touched: from this the projections know what they have to draw up again. */
final class Affected
{
    /** Everything, as on a rebuild. */
    public bool $everything = false;

    /** What is forecast, by other figures or another plan. */
    public bool $forecasts = false;

    /** A walk has ended, or is read again after it had. */
    public bool $ended = false;

    /** Work was recorded. */
    public bool $work = false;

    /** @var array<string, array<string, Place>> places that were read, by walk */
    public array $read = [];

    /** @var array<string, true> walks that are judged anew as a whole */
    public array $walks = [];

    /** @var array<string, true> walks whose choice of checks has changed, so that their rows are counted again */
    public array $counted = [];

    /** @var array<int, true> rows on which parts were changed or set anew */
    public array $rows = [];

    /** @var array<string, Slot> slots of those parts */
    public array $slots = [];

    /** @var array<string, true> pieces that were moved, wherever they are */
    public array $parts = [];

    /** @var array<string, true> ids of ledger events that hold no more */
    public array $superseded = [];

    /** When the earliest change of parts happened. */
    public ?Moment $partsSince = null;

    /** The earliest day of which other acres are on record. */
    public ?Day $acresSince = null;

    /**
     * The planter goes by other figures: its forecasts, and its open walk.
     *
     * @param  array<string, mixed>  $ofWalk  what the open walk keeps of them
     */
    public function figures(Planter $planter, array $ofWalk): void
    {
        $this->forecasts = true;
        $walk = $planter->openWalk();
        if ($walk !== null) {
            $walk->fill($ofWalk)->countPlaces()->save();
            $this->walks[$walk->id] = true;
        }
    }

    public function reading(string $walk, Place $place): void
    {
        $this->read[$walk][$place->key()] = $place;
    }

    public function parts(int $row, Slot $slot, ?string $part, Moment $at): void
    {
        $this->rows[$row] = true;
        $this->slots[$slot->value] = $slot;
        if ($part !== null) {
            $this->parts[$part] = true;
        }
        $this->partsSince = $at->earlier($this->partsSince ?? $at);
    }

    public function acres(Day $day): void
    {
        $this->acresSince = $this->acresSince === null || $day->isBefore($this->acresSince) ? $day : $this->acresSince;
    }
}
