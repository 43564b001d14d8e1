<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Settings;

use Ustrel\Core\Spec\Downforce;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnits;

/** Whether another planter can take a setting as it is. Worded under `setting_fit.<value>`. */
enum SettingFit: string
{
    case Fits = 'fits';
    case NoSuchRow = 'no_such_row';
    case NotFitted = 'not_fitted';
    /** Pounds, air and spring steps do not turn into each other. */
    case OtherDownforce = 'other_downforce';
    /** A notch of one is no turn of the other. */
    case OtherDepthScale = 'other_depth_scale';
    /** Of this planter alone: what was measured on it, or what is in its box. */
    case ItsOwn = 'its_own';

    public static function of(SettingValue $setting, RowUnits $from, RowUnits $to): self
    {
        return match (true) {
            $setting->key === SettingKey::Circumference, $setting->key === SettingKey::Slip, $setting->key === SettingKey::SprocketBox, $setting->key === SettingKey::Marker => self::ItsOwn,
            $setting->row > $to->rows => self::NoSuchRow,
            ! ($setting->row > 0 ? self::isOn($setting->key, $to->at($setting->row)) : self::isFitted($setting->key, $to)) => self::NotFitted,
            $setting->key === SettingKey::Downforce && $from->at($setting->row)->downforce !== $to->at($setting->row)->downforce => self::OtherDownforce,
            $setting->key === SettingKey::DepthMark && $from->at($setting->row)->depthScale !== $to->at($setting->row)->depthScale => self::OtherDepthScale,
            default => self::Fits,
        };
    }

    /** Whether any row of a planter, or the planter as a whole, has what is set. */
    public static function isFitted(SettingKey $key, RowUnits $on): bool
    {
        return array_filter($on->kinds(), static fn (array $kind): bool => self::isOn($key, $kind[0])) !== [];
    }

    private static function isOn(SettingKey $key, Equipment $on): bool
    {
        return match ($key) {
            SettingKey::Sprockets, SettingKey::SprocketBox => $on->drive->isByGround() && $on->drive->hasChains(),
            SettingKey::DriveWheel, SettingKey::Circumference, SettingKey::Slip => $on->drive->isByGround(),
            SettingKey::PressWheel => $on->has('press_wheel'),
            SettingKey::Closing => $on->has('closing_wheels'),
            SettingKey::DepthMark => $on->has('depth_gauge'),
            SettingKey::Marker => $on->has('markers'),
            SettingKey::Air => $on->meter->needsAir(),
            SettingKey::Downforce => $on->downforce !== Downforce::None,
            SettingKey::Cleaner => $on->has('row_cleaner'),
            SettingKey::FertilizerRate, SettingKey::FertilizerOutlet, SettingKey::FertilizerOffset => $on->has('fertilizer') || $on->has('fertilizer_knife') || $on->has('liquid'),
            default => true,
        };
    }
}
