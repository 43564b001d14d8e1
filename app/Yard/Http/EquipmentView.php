<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Spec\ClosingWheels;
use Ustrel\Core\Spec\DepthScale;
use Ustrel\Core\Spec\Downforce;
use Ustrel\Core\Spec\Drive;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\MeterType;

/** What the planter carries; what is not fitted is not asked. */
final readonly class EquipmentView extends Schema
{
    public function __construct(
        public MeterType $meter,
        public Drive $drive,
        public Downforce $downforce,
        public ClosingWheels $closing_wheels,
        /** In what depth is set */
        public DepthScale $depth_scale,
        public bool $row_cleaner,
        public bool $coulter,
        public bool $fertilizer,
        public bool $firmer,
        public bool $central_fill,
        public bool $markers,
        public bool $lift_assist,
        /** Opener blades of the heavier kind, with large rivets */
        public bool $heavy_blades,
        /** The seed tube guard with clearance for large rivets */
        public bool $clearance_guard,
        /** Fertilizer is fed on both sides of the row */
        public bool $fertilizer_both_sides,
        /** A liquid system: tank, pump, screens */
        public bool $liquid,
        /** Monitor, sensors and maps */
        public bool $electronics,
        /** Pairs of tires that are gauged one by one; null where the lowest of all is read */
        public ?int $tyre_pairs,
    ) {
    }

    public static function of(Equipment $of): self
    {
        return new self(
            $of->meter, $of->drive, $of->downforce, $of->closingWheels, $of->depthScale, $of->rowCleaner, $of->coulter, $of->fertilizer, $of->firmer, $of->centralFill, $of->markers,
            $of->liftAssist, $of->heavyBlades, $of->clearanceGuard, $of->fertilizerBothSides, $of->liquid, $of->electronics, $of->tyrePairs,
        );
    }
}
