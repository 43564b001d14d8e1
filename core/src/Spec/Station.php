<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** A place where checks are made; the cases stand front to back along the row unit, then around the whole planter. */
enum Station: string
{
    case RowCleaner = 'row_cleaner';
    case Coulter = 'coulter';
    case FrontShovel = 'front_shovel';
    case FertilizerOpener = 'fertilizer_opener';
    case RowFertilizer = 'row_fertilizer';
    case ParallelArms = 'parallel_arms';
    case Downforce = 'downforce';
    case SeedDelivery = 'seed_delivery';
    case MeterDrive = 'meter_drive';
    case Meter = 'meter';
    case MeterAir = 'meter_air';
    case Opener = 'opener';
    case OpenerBlades = 'opener_blades';
    case BladeContact = 'blade_contact';
    case Scrapers = 'scrapers';
    case SeedTubeGuard = 'seed_tube_guard';
    case SeedTube = 'seed_tube';
    case SeedPath = 'seed_path';
    case GaugeWheels = 'gauge_wheels';
    case DepthStop = 'depth_stop';
    case DepthSetting = 'depth_setting';
    case SeedFirmer = 'seed_firmer';
    case PressWheel = 'press_wheel';
    case CoveringDiscs = 'covering_discs';
    case ClosingWheels = 'closing_wheels';
    case SecondClosing = 'second_closing';
    case ClosingChain = 'closing_chain';

    case Frame = 'frame';
    case WheelsAndDrive = 'wheels_and_drive';
    case Hydraulics = 'hydraulics';
    case AirAndFill = 'air_and_fill';
    case FertilizerSystem = 'fertilizer_system';
    case Electronics = 'electronics';

    /** Whether it belongs to the planter as a whole and not to each row. */
    public function isOfWholePlanter(): bool
    {
        return match ($this) {
            self::Frame, self::WheelsAndDrive, self::Hydraulics, self::AirAndFill, self::FertilizerSystem, self::Electronics => true,
            default => false,
        };
    }
}
