<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Unit\Catalogue;

/** One thing looked at or measured; the cases stand in the order in which a row, and then the planter, is walked. */
enum CheckKey: string
{
    case RowCleanerTeeth = 'row_cleaner_teeth';
    case RowCleanerBearing = 'row_cleaner_bearing';
    case RowCleanerSetting = 'row_cleaner_setting';
    case RowCleanerFloat = 'row_cleaner_float';
    case CoulterDiameter = 'coulter_diameter';
    case CoulterRim = 'coulter_rim';
    case CoulterBearing = 'coulter_bearing';
    case ShovelWidth = 'shovel_width';
    case ShovelEdge = 'shovel_edge';
    case ShovelDepth = 'shovel_depth';
    case ShovelStraw = 'shovel_straw';
    case FertilizerBladeDiameter = 'fertilizer_blade_diameter';
    case FertilizerBearing = 'fertilizer_bearing';
    case FertilizerBoot = 'fertilizer_boot';
    case KnifeEdge = 'knife_edge';
    case KnifeSpring = 'knife_spring';
    case KnifeAngle = 'knife_angle';
    case FertilizerTube = 'fertilizer_tube';
    case FertilizerPivot = 'fertilizer_pivot';
    case FertilizerCheckValve = 'fertilizer_check_valve';
    case FertilizerHardware = 'fertilizer_hardware';
    case FertilizerBandOffset = 'fertilizer_band_offset';
    case FertilizerBandDepth = 'fertilizer_band_depth';
    case LiquidTube = 'liquid_tube';
    case LiquidOrifice = 'liquid_orifice';
    case LiquidCheckValve = 'liquid_check_valve';
    case SightGauge = 'sight_gauge';
    case DryTube = 'dry_tube';
    case ArmPlayVertical = 'arm_play_vertical';
    case ArmPlaySide = 'arm_play_side';
    case ArmBushings = 'arm_bushings';
    case ArmBolts = 'arm_bolts';
    case ArmBody = 'arm_body';
    case DownforceSpringStep = 'downforce_spring_step';
    case DownforceSpring = 'downforce_spring';
    case DownforcePressure = 'downforce_pressure';
    case DownforceLeak = 'downforce_leak';
    case SeedHose = 'seed_hose';
    case HopperLid = 'hopper_lid';
    case TreatedSeedResidue = 'treated_seed_residue';
    case ChainLength = 'chain_length';
    case ChainStiffness = 'chain_stiffness';
    case Sprockets = 'sprockets';
    case ChainIdler = 'chain_idler';
    case DriveCoupling = 'drive_coupling';
    case DriveTab = 'drive_tab';
    case MeterSeal = 'meter_seal';
    case MeterBrush = 'meter_brush';
    case MeterSingulator = 'meter_singulator';
    case MeterKnockoutWheel = 'meter_knockout_wheel';
    case MeterDisc = 'meter_disc';
    case PlateCover = 'plate_cover';
    case PlateStuds = 'plate_studs';
    case MeteringRoll = 'metering_roll';
    case RollOpening = 'roll_opening';
    case MeterCleaned = 'meter_cleaned';
    case MeterBenchSeasons = 'meter_bench_seasons';
    case AirAtMeter = 'air_at_meter';
    case AirHose = 'air_hose';
    case RunnerEdge = 'runner_edge';
    case RunnerWidth = 'runner_width';
    case RunnerStraw = 'runner_straw';
    case RunnerSlides = 'runner_slides';
    case HoePoint = 'hoe_point';
    case HoeTrip = 'hoe_trip';
    case OpenerBladeDiameter = 'opener_blade_diameter';
    case OpenerBladeEdge = 'opener_blade_edge';
    case OpenerBearing = 'opener_bearing';
    case OpenerRivets = 'opener_rivets';
    case BladeContactLength = 'blade_contact_length';
    case InnerShims = 'inner_shims';
    case Scraper = 'scraper';
    case GuardWidth = 'guard_width';
    case GuardSides = 'guard_sides';
    case SeedTube = 'seed_tube';
    case SeedSensor = 'seed_sensor';
    case SeedBoot = 'seed_boot';
    case BounceFlap = 'bounce_flap';
    case DeliveryHose = 'delivery_hose';
    case SeedBelt = 'seed_belt';
    case SeedBeltTension = 'seed_belt_tension';
    case DeliveryBrush = 'delivery_brush';
    case PathSensor = 'path_sensor';
    case GaugeTyre = 'gauge_tyre';
    case GaugeBearing = 'gauge_bearing';
    case GaugeArmPlay = 'gauge_arm_play';
    case GaugeTouch = 'gauge_touch';
    case DepthStopNotch = 'depth_stop_notch';
    case DepthSetNotch = 'depth_set_notch';
    case DepthBandSize = 'depth_band_size';
    case DepthBandSeated = 'depth_band_seated';
    case DepthMark = 'depth_mark';
    case DepthClamp = 'depth_clamp';
    case FirmerTip = 'firmer_tip';
    case FirmerTension = 'firmer_tension';
    case PressWheelSpring = 'press_wheel_spring';
    case PressWheel = 'press_wheel';
    case PressWheelContact = 'press_wheel_contact';
    case PressWheelHeight = 'press_wheel_height';
    case PressWheelCircumference = 'press_wheel_circumference';
    case CoveringDiscDiameter = 'covering_disc_diameter';
    case CoveringDiscAngle = 'covering_disc_angle';
    case CoveringDiscBearing = 'covering_disc_bearing';
    case CoveringDiscSpring = 'covering_disc_spring';
    case ClosingCentring = 'closing_centring';
    case ClosingGap = 'closing_gap';
    case ClosingPressure = 'closing_pressure';
    case ClosingBearing = 'closing_bearing';
    case ClosingTailPlay = 'closing_tail_play';
    case ClosingRim = 'closing_rim';
    case ClosingSecondRim = 'closing_second_rim';
    case ClosingSecondBearing = 'closing_second_bearing';
    case ClosingSecondGap = 'closing_second_gap';
    case ClosingSecondCentring = 'closing_second_centring';
    case ClosingSecondPressure = 'closing_second_pressure';
    case ClosingChain = 'closing_chain';

    case ToolbarHeight = 'toolbar_height';
    case ToolbarPitch = 'toolbar_pitch';
    case FrameLocks = 'frame_locks';
    case HitchAndChain = 'hitch_and_chain';
    case MarkerArms = 'marker_arms';
    case LiftAssistWheels = 'lift_assist_wheels';
    case ShopGuards = 'shop_guards';
    case TyrePressure = 'tyre_pressure';
    case TyrePressureSecond = 'tyre_pressure_2';
    case TyrePressureThird = 'tyre_pressure_3';
    case TyrePressureFourth = 'tyre_pressure_4';
    case DriveWheelContact = 'drive_wheel_contact';
    case DriveShaft = 'drive_shaft';
    case HydraulicMotors = 'hydraulic_motors';
    case HydraulicHoses = 'hydraulic_hoses';
    case AirFan = 'air_fan';
    case FanSpeed = 'fan_speed';
    case AirHead = 'air_head';
    case AirTower = 'air_tower';
    case FillHoses = 'fill_hoses';
    case FertilizerTank = 'fertilizer_tank';
    case FertilizerPump = 'fertilizer_pump';
    case PumpContact = 'pump_contact';
    case PumpTurns = 'pump_turns';
    case FertilizerScreens = 'fertilizer_screens';
    case FertilizerDiaphragms = 'fertilizer_diaphragms';
    case AntifreezeFlushed = 'antifreeze_flushed';
    case FertilizerLeakCheck = 'fertilizer_leak_check';
    case Lights = 'lights';
    case Harness = 'harness';
    case MonitorOn = 'monitor_on';
    case SoftwareCurrent = 'software_current';
    case FieldMaps = 'field_maps';
    case SensorsCounting = 'sensors_counting';

    /* Places for checks of the shop's own: what each is stands in the spec sheet. */
    case Own1 = 'own_1';
    case Own2 = 'own_2';
    case Own3 = 'own_3';
    case Own4 = 'own_4';
    case Own5 = 'own_5';
    case Own6 = 'own_6';
    case Own7 = 'own_7';
    case Own8 = 'own_8';
    case Own9 = 'own_9';
    case Own10 = 'own_10';
    case Own11 = 'own_11';
    case Own12 = 'own_12';
    case Own13 = 'own_13';
    case Own14 = 'own_14';
    case Own15 = 'own_15';
    case Own16 = 'own_16';
    case Own17 = 'own_17';
    case Own18 = 'own_18';
    case Own19 = 'own_19';
    case Own20 = 'own_20';
    case Own21 = 'own_21';
    case Own22 = 'own_22';
    case Own23 = 'own_23';
    case Own24 = 'own_24';

    /** Of a check that ships; a shop's own stands where its spec sheet says. */
    public function station(): Station
    {
        return Catalogue::shipped()->check($this)->station;
    }

    public function isOwn(): bool
    {
        return str_starts_with($this->value, 'own_');
    }

    /** @return list<self> the checks that ship, in the order of the walk */
    public static function shipped(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $key): bool => ! $key->isOwn()));
    }

    /** @return list<self> the places for checks of the shop's own */
    public static function own(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $key): bool => $key->isOwn()));
    }
}
