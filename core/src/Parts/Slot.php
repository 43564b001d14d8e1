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
    case RowCleanerBearing = 'row_cleaner_bearing';
    case CoulterBlade = 'coulter_blade';
    case CoulterBearing = 'coulter_bearing';
    case FertilizerBlade = 'fertilizer_blade';
    case FertilizerBearing = 'fertilizer_bearing';
    case FertilizerBoot = 'fertilizer_boot';
    case FertilizerTube = 'fertilizer_tube';
    case FertilizerPivot = 'fertilizer_pivot';
    case FertilizerCheckValve = 'fertilizer_check_valve';
    case ArmBushings = 'arm_bushings';
    case ArmBolts = 'arm_bolts';
    case Arms = 'arms';
    case DownforceSpring = 'downforce_spring';
    case DownforceCylinder = 'downforce_cylinder';
    case SeedHose = 'seed_hose';
    case MeterChain = 'meter_chain';
    case Sprockets = 'sprockets';
    case ChainIdler = 'chain_idler';
    case DriveMotor = 'drive_motor';
    case MeterSeal = 'meter_seal';
    case MeterBrush = 'meter_brush';
    case MeterSingulator = 'meter_singulator';
    case MeterKnockoutWheel = 'meter_knockout_wheel';
    case MeterDisc = 'meter_disc';
    case MeteringRoll = 'metering_roll';
    case Meter = 'meter';
    case AirHose = 'air_hose';
    case OpenerBlade = 'opener_blade';
    case OpenerBearing = 'opener_bearing';
    case Scraper = 'scraper';
    case SeedTubeGuard = 'seed_tube_guard';
    case SeedTube = 'seed_tube';
    case SeedSensor = 'seed_sensor';
    case SeedBoot = 'seed_boot';
    case BounceFlap = 'bounce_flap';
    case GaugeTyre = 'gauge_tyre';
    case GaugeBearing = 'gauge_bearing';
    case GaugeArmBushing = 'gauge_arm_bushing';
    case FirmerTip = 'firmer_tip';
    case PressWheel = 'press_wheel';
    case ClosingWheel = 'closing_wheel';
    case ClosingBearing = 'closing_bearing';
    case ClosingTailBushing = 'closing_tail_bushing';

    /** Millimetres of planting depth that are lost for each that its part wears: a blade cuts shallower by half the diameter that it lost. */
    public function depthLost(): float
    {
        return $this === self::OpenerBlade ? 0.5 : 0.0;
    }

    /** @return non-empty-list<CheckKey> what a new part here makes good; the first is the one that its size is read by */
    public function checks(): array
    {
        return match ($this) {
            self::RowCleanerWheel => [CheckKey::RowCleanerTeeth],
            self::RowCleanerBearing => [CheckKey::RowCleanerBearing],
            self::CoulterBlade => [CheckKey::CoulterDiameter, CheckKey::CoulterRim],
            self::CoulterBearing => [CheckKey::CoulterBearing],
            self::FertilizerBlade => [CheckKey::FertilizerBladeDiameter],
            self::FertilizerBearing => [CheckKey::FertilizerBearing],
            self::FertilizerBoot => [CheckKey::FertilizerBoot],
            self::FertilizerTube => [CheckKey::FertilizerTube],
            self::FertilizerPivot => [CheckKey::FertilizerPivot],
            self::FertilizerCheckValve => [CheckKey::FertilizerCheckValve],
            self::ArmBushings => [CheckKey::ArmPlayVertical, CheckKey::ArmPlaySide, CheckKey::ArmBushings],
            self::ArmBolts => [CheckKey::ArmBolts],
            self::Arms => [CheckKey::ArmBody],
            self::DownforceSpring => [CheckKey::DownforceSpring],
            self::DownforceCylinder => [CheckKey::DownforceLeak],
            self::SeedHose => [CheckKey::SeedHose],
            self::MeterChain => [CheckKey::ChainLength, CheckKey::ChainStiffness],
            self::Sprockets => [CheckKey::Sprockets],
            self::ChainIdler => [CheckKey::ChainIdler],
            self::DriveMotor => [CheckKey::DriveCoupling],
            self::MeterSeal => [CheckKey::MeterSeal],
            self::MeterBrush => [CheckKey::MeterBrush],
            self::MeterSingulator => [CheckKey::MeterSingulator],
            self::MeterKnockoutWheel => [CheckKey::MeterKnockoutWheel],
            self::MeterDisc => [CheckKey::MeterDisc],
            self::MeteringRoll => [CheckKey::MeteringRoll],
            self::Meter => [CheckKey::MeterCleaned],
            self::AirHose => [CheckKey::AirHose],
            self::OpenerBlade => [CheckKey::OpenerBladeDiameter, CheckKey::OpenerBladeEdge, CheckKey::OpenerRivets],
            self::OpenerBearing => [CheckKey::OpenerBearing],
            self::Scraper => [CheckKey::Scraper],
            self::SeedTubeGuard => [CheckKey::GuardWidth, CheckKey::GuardSides],
            self::SeedTube => [CheckKey::SeedTube],
            self::SeedSensor => [CheckKey::SeedSensor],
            self::SeedBoot => [CheckKey::SeedBoot],
            self::BounceFlap => [CheckKey::BounceFlap],
            self::GaugeTyre => [CheckKey::GaugeTyre],
            self::GaugeBearing => [CheckKey::GaugeBearing],
            self::GaugeArmBushing => [CheckKey::GaugeArmPlay],
            self::FirmerTip => [CheckKey::FirmerTip],
            self::PressWheel => [CheckKey::PressWheel],
            self::ClosingWheel => [CheckKey::ClosingRim],
            self::ClosingBearing => [CheckKey::ClosingBearing],
            self::ClosingTailBushing => [CheckKey::ClosingTailPlay],
        };
    }

    /**
     * Whose earlier readings say nothing about a row any more once the part is in.
     *
     * @return list<CheckKey> its own, on its side; the contact of the blades for the row as a whole
     */
    public function renews(): array
    {
        return $this === self::OpenerBlade ? [...$this->checks(), CheckKey::BladeContactLength] : $this->checks();
    }

    /** @return list<CheckKey> what has to be measured or set again once the part is in, on the row as a whole */
    public function remeasured(): array
    {
        return match ($this) {
            // The wheel and the scraper were off, and a new blade cuts deeper at the same notch.
            self::OpenerBlade => [CheckKey::BladeContactLength, CheckKey::GaugeTouch, CheckKey::Scraper, CheckKey::DepthStopNotch],
            self::GaugeTyre, self::GaugeArmBushing => [CheckKey::GaugeTouch],
            self::ClosingWheel => [CheckKey::ClosingGap],
            self::Arms => [CheckKey::ArmPlayVertical, CheckKey::ArmPlaySide, CheckKey::ArmBushings, CheckKey::ArmBolts],
            // Another meter brings its own seal, brush and disc, and its own last run on the stand.
            self::Meter => [CheckKey::MeterSeal, CheckKey::MeterBrush, CheckKey::MeterSingulator, CheckKey::MeterKnockoutWheel, CheckKey::MeterDisc, CheckKey::MeterBenchSeasons],
            default => [],
        };
    }

    /**
     * @param  Equipment|null  $equipment  where the planter decides about them
     * @return non-empty-list<Side>
     */
    public function sides(?Equipment $equipment = null): array
    {
        $definition = Catalogue::definition($this->checks()[0]);

        return $equipment === null || $definition->sidesOn === null ? $definition->sides : ($definition->sidesOn)($equipment);
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
