<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Spec\Catalogue;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;

/** A position on a row that holds a part; the cases stand front to back. Worded under `slot.<value>`. */
enum Slot: string
{
    case RowCleanerWheel = 'row_cleaner_wheel';
    case CoulterBlade = 'coulter_blade';
    case CoulterBearing = 'coulter_bearing';
    case FertilizerBlade = 'fertilizer_blade';
    case FertilizerBoot = 'fertilizer_boot';
    case FertilizerTube = 'fertilizer_tube';
    case ArmBushings = 'arm_bushings';
    case MeterChain = 'meter_chain';
    case Sprockets = 'sprockets';
    case MeterSeal = 'meter_seal';
    case MeterBrush = 'meter_brush';
    case MeterSingulator = 'meter_singulator';
    case MeterDisc = 'meter_disc';
    case OpenerBlade = 'opener_blade';
    case OpenerBearing = 'opener_bearing';
    case Scraper = 'scraper';
    case SeedTubeGuard = 'seed_tube_guard';
    case SeedTube = 'seed_tube';
    case SeedSensor = 'seed_sensor';
    case GaugeTyre = 'gauge_tyre';
    case GaugeBearing = 'gauge_bearing';
    case GaugeArmBushing = 'gauge_arm_bushing';
    case FirmerTip = 'firmer_tip';
    case ClosingWheel = 'closing_wheel';
    case ClosingBearing = 'closing_bearing';
    case ClosingTailBushing = 'closing_tail_bushing';

    /** @return non-empty-list<CheckKey> what a new part here makes good; the first is the one that its size is read by */
    public function checks(): array
    {
        return match ($this) {
            self::RowCleanerWheel => [CheckKey::RowCleanerTeeth],
            self::CoulterBlade => [CheckKey::CoulterDiameter, CheckKey::CoulterRim],
            self::CoulterBearing => [CheckKey::CoulterBearing],
            self::FertilizerBlade => [CheckKey::FertilizerBladeDiameter],
            self::FertilizerBoot => [CheckKey::FertilizerBoot],
            self::FertilizerTube => [CheckKey::FertilizerTube],
            self::ArmBushings => [CheckKey::ArmPlayVertical, CheckKey::ArmPlaySide, CheckKey::ArmBushings],
            self::MeterChain => [CheckKey::ChainLength, CheckKey::ChainStiffness],
            self::Sprockets => [CheckKey::Sprockets],
            self::MeterSeal => [CheckKey::MeterSeal],
            self::MeterBrush => [CheckKey::MeterBrush],
            self::MeterSingulator => [CheckKey::MeterSingulator],
            self::MeterDisc => [CheckKey::MeterDisc],
            self::OpenerBlade => [CheckKey::OpenerBladeDiameter, CheckKey::OpenerBladeEdge, CheckKey::OpenerRivets],
            self::OpenerBearing => [CheckKey::OpenerBearing],
            self::Scraper => [CheckKey::Scraper],
            self::SeedTubeGuard => [CheckKey::GuardWidth, CheckKey::GuardSides],
            self::SeedTube => [CheckKey::SeedTube],
            self::SeedSensor => [CheckKey::SeedSensor],
            self::GaugeTyre => [CheckKey::GaugeTyre],
            self::GaugeBearing => [CheckKey::GaugeBearing],
            self::GaugeArmBushing => [CheckKey::GaugeArmPlay],
            self::FirmerTip => [CheckKey::FirmerTip],
            self::ClosingWheel => [CheckKey::ClosingRim],
            self::ClosingBearing => [CheckKey::ClosingBearing],
            self::ClosingTailBushing => [CheckKey::ClosingTailPlay],
        };
    }

    /** @return list<CheckKey> what has to be measured or set again once the part is in, on the row as a whole */
    public function remeasured(): array
    {
        return match ($this) {
            self::OpenerBlade => [CheckKey::BladeContactLength],
            self::GaugeTyre, self::GaugeArmBushing => [CheckKey::GaugeTouch],
            self::ClosingWheel => [CheckKey::ClosingGap],
            default => [],
        };
    }

    /** @return non-empty-list<Side> */
    public function sides(): array
    {
        return Catalogue::definition($this->checks()[0])->sides;
    }

    public function station(): Station
    {
        return $this->checks()[0]->station();
    }

    public function isOn(Equipment $equipment): bool
    {
        return (Catalogue::definition($this->checks()[0])->isFitted)($equipment);
    }

    /** The slot whose part this check looks at; null where it looks at none. */
    public static function of(CheckKey $check): ?self
    {
        foreach (self::cases() as $slot) {
            if (in_array($check, $slot->checks(), true)) {
                return $slot;
            }
        }

        return null;
    }
}
