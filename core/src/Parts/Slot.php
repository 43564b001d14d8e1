<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Spec\CheckDefinition;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;
use Ustrel\Core\Unit\Catalogue;
use Ustrel\Core\Unit\SlotDefinition;

/** A position on a row that holds a part; the cases stand front to back. Worded under `slot.<value>`. */
enum Slot: string
{
    case RowCleanerWheel = 'row_cleaner_wheel';
    case RowCleanerBearing = 'row_cleaner_bearing';
    case CoulterBlade = 'coulter_blade';
    case CoulterBearing = 'coulter_bearing';
    case FrontShovel = 'front_shovel';
    case FertilizerBlade = 'fertilizer_blade';
    case FertilizerBearing = 'fertilizer_bearing';
    case FertilizerBoot = 'fertilizer_boot';
    case FertilizerKnife = 'fertilizer_knife';
    case KnifeSpring = 'knife_spring';
    case FertilizerTube = 'fertilizer_tube';
    case FertilizerPivot = 'fertilizer_pivot';
    case FertilizerCheckValve = 'fertilizer_check_valve';
    case LiquidTube = 'liquid_tube';
    case LiquidOrifice = 'liquid_orifice';
    case LiquidCheckValve = 'liquid_check_valve';
    case DryTube = 'dry_tube';
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
    case PlateCover = 'plate_cover';
    case PlateStuds = 'plate_studs';
    case MeteringRoll = 'metering_roll';
    case Meter = 'meter';
    case AirHose = 'air_hose';
    case OpenerBlade = 'opener_blade';
    case OpenerBearing = 'opener_bearing';
    case Runner = 'runner';
    case HoePoint = 'hoe_point';
    case HoeSpring = 'hoe_spring';
    case Scraper = 'scraper';
    case SeedTubeGuard = 'seed_tube_guard';
    case SeedTube = 'seed_tube';
    case SeedSensor = 'seed_sensor';
    case SeedBoot = 'seed_boot';
    case BounceFlap = 'bounce_flap';
    case DeliveryHose = 'delivery_hose';
    case SeedBelt = 'seed_belt';
    case DeliveryBrush = 'delivery_brush';
    case PathSensor = 'path_sensor';
    case GaugeTyre = 'gauge_tyre';
    case GaugeBearing = 'gauge_bearing';
    case GaugeArmBushing = 'gauge_arm_bushing';
    case FirmerTip = 'firmer_tip';
    case PressWheel = 'press_wheel';
    case PressWheelSpring = 'press_wheel_spring';
    case CoveringDisc = 'covering_disc';
    case CoveringDiscBearing = 'covering_disc_bearing';
    case CoveringDiscSpring = 'covering_disc_spring';
    case ClosingWheel = 'closing_wheel';
    case ClosingBearing = 'closing_bearing';
    case ClosingTailBushing = 'closing_tail_bushing';
    case ClosingSecondWheel = 'closing_second_wheel';
    case ClosingSecondBearing = 'closing_second_bearing';
    case ClosingChain = 'closing_chain';

    /** Millimetres of planting depth that are lost for each that its part wears: a blade cuts shallower by half the diameter that it lost. */
    public function depthLost(): float
    {
        return $this->definition()->depthLost;
    }

    /** @return non-empty-list<CheckKey> what a new part here makes good; the first is the one that its size is read by */
    public function checks(): array
    {
        return $this->definition()->checks;
    }

    /**
     * Whose earlier readings say nothing about a row any more once the part is in.
     *
     * @return list<CheckKey> its own, on its side; the contact of the blades for the row as a whole
     */
    public function renews(): array
    {
        return [...$this->definition()->checks, ...$this->definition()->renews];
    }

    /** @return list<CheckKey> what has to be measured or set again once the part is in, on the row as a whole */
    public function remeasured(): array
    {
        return $this->definition()->remeasured;
    }

    /**
     * @param  Equipment|null  $equipment  where the planter decides about them
     * @return non-empty-list<Side>
     */
    public function sides(?Equipment $equipment = null): array
    {
        return $this->check()->sides($equipment);
    }

    public function station(): Station
    {
        return $this->check()->station;
    }

    public function isOn(Equipment $equipment): bool
    {
        return $this->check()->isOn($equipment);
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

    private function definition(): SlotDefinition
    {
        return Catalogue::shipped()->slot($this);
    }

    /** The check that its part's size is read by. */
    private function check(): CheckDefinition
    {
        return Catalogue::shipped()->check($this->checks()[0]);
    }
}
