<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Settings;

use Ustrel\Core\Field\Calc\CalcUnit;

/** What is fitted and set on a planter and belongs to the ground: domain, 11. Worded under `setting.<value>`. */
enum SettingKey: string
{
    case Population = 'population';
    case Sprockets = 'sprockets';
    case Disc = 'disc';
    case Air = 'air';
    case Singulator = 'singulator';
    case DepthMark = 'depth_mark';
    case Downforce = 'downforce';
    case Closing = 'closing';
    case Cleaner = 'cleaner';
    case Covering = 'covering';
    case FertilizerRate = 'fertilizer_rate';
    case FertilizerOutlet = 'fertilizer_outlet';
    case Speed = 'speed';
    case Marker = 'marker';
    case Ballast = 'ballast';
    /** Of the drive wheel, rolling. */
    case Circumference = 'circumference';
    case Slip = 'slip';
    /** Teeth of those that the shop has for it. */
    case SprocketBox = 'sprocket_box';
    case FertilizerOffset = 'fertilizer_offset';
    case GuidanceLine = 'guidance_line';
    case PressWheel = 'press_wheel';
    case DriveWheel = 'drive_wheel';

    /** Null where it is said in words, such as `step 3` or `180 lb`. */
    public function unit(): ?CalcUnit
    {
        return match ($this) {
            self::Population => CalcUnit::SeedsAnAcre,
            self::Air => CalcUnit::InchOfWater,
            self::DepthMark => CalcUnit::Plain,
            self::Speed => CalcUnit::Mph,
            self::Marker, self::FertilizerOffset => CalcUnit::Inch,
            self::Ballast => CalcUnit::Pound,
            self::Circumference => CalcUnit::Foot,
            self::Slip => CalcUnit::Percent,
            default => null,
        };
    }

    /** @return array{float, float} the least and the most that a figure of it can be, in its unit */
    public function range(): array
    {
        return match ($this) {
            self::Population => [500, 2_000_000],
            self::Air => [0.5, 60],
            self::DepthMark => [0, 100],
            self::Speed => [0.5, 20],
            self::Marker => [10, 1_500],
            self::FertilizerOffset => [0, 20],
            self::Ballast => [0, 20_000],
            self::Circumference => [1, 40],
            self::Slip => [0, 50],
            default => [0, 0],
        };
    }

    public function holds(float $figure): bool
    {
        [$least, $most] = $this->range();

        return $figure >= $least && $figure <= $most;
    }

    /** Whether rows may be set each by itself. */
    public function isOfRows(): bool
    {
        return in_array($this, [self::DepthMark, self::Downforce, self::Closing, self::Cleaner, self::Covering, self::Air, self::Singulator, self::Disc, self::FertilizerOutlet, self::FertilizerOffset, self::PressWheel, self::DriveWheel], true);
    }

    /** Whether a dig from before it was set says nothing of how rows plant now. */
    public function makesDigsOld(): bool
    {
        return in_array($this, [self::DepthMark, self::Downforce, self::Closing, self::Cleaner, self::Covering, self::Speed, self::Sprockets, self::Disc], true);
    }

    /** Whether what bears on the ground is looked at again after it was changed: FirstPassDone::BEARS. */
    public function movesWhatBears(): bool
    {
        return $this === self::DepthMark || $this === self::Downforce;
    }

    /** Whether it goes by soil and residue; the others go by crop and seed alone. */
    public function goesBySoil(): bool
    {
        return ! in_array($this, [self::Population, self::Sprockets, self::Disc, self::Air, self::Singulator, self::FertilizerRate], true);
    }

    /** Whether it comes back with the ground; the others belong to the planter wherever it is. */
    public function isOfGround(): bool
    {
        return ! in_array($this, [self::Circumference, self::SprocketBox, self::Marker], true);
    }
}
