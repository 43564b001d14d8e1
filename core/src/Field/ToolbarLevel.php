<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

use Ustrel\Core\Measure\Length;

/**
 * Whether the toolbar stands level, and how far the hitch has to move.
 *
 * With the planter lowered on level ground the frame's height is taken at a front and a rear point. Pitch, nose-up
 * positive: sin a = (front - rear) / span. The planter turns about its wheels, so a hitch that is a distance L in front
 * of them moves by L x (sin target - sin a).
 */
final readonly class ToolbarLevel
{
    private function __construct(
        /** Degrees, nose-up positive. */
        public float $pitch,
        /** How far to raise the hitch; negative: lower it; null where it may stay or its distance is not known. */
        public ?Length $hitchMove,
    ) {
    }

    /**
     * @param  Length  $span  between the two points, along the frame
     * @param  Length|null  $hitchToWheels  from the hitch point to the wheels that carry the planter
     * @param  float  $low  degrees, the lowest pitch that is allowed
     * @param  float  $high  degrees, the highest
     */
    public static function fromHeights(Length $front, Length $rear, Length $span, ?Length $hitchToWheels, float $low, float $high): self
    {
        $rise = $front->minus($rear)->nanometres;
        if ($span->nanometres <= 0 || abs($rise) >= $span->nanometres) {
            throw PointsTooClose::of($span);
        }

        return self::of(rad2deg(asin($rise / $span->nanometres)), $hitchToWheels, $low, $high);
    }

    /** @param  float  $pitch  degrees, nose-up positive, as read from an angle gauge on the frame */
    public static function of(float $pitch, ?Length $hitchToWheels, float $low, float $high): self
    {
        if ($hitchToWheels === null || ($pitch >= $low && $pitch <= $high)) {
            return new self($pitch, null);
        }
        $target = ($low + $high) / 2;
        $move = $hitchToWheels->nanometres * (sin(deg2rad($target)) - sin(deg2rad($pitch)));

        return new self($pitch, Length::ofNanometres((int) round($move)));
    }
}
