<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\CheckDefinition as Define;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Rules\RuleName;

/** Every check that there is: where it is made, what kind of answer it takes, what its reasons amount to, when it is asked. */
final class Catalogue
{
    /** A bearing that is rough or loose is changed; a seized one stops the row. */
    private const BEARING = ['rough' => Verdict::Change, 'loose' => Verdict::Change, 'seized' => Verdict::Failed];

    /** @var array<string, CheckDefinition>|null */
    private static ?array $definitions = null;

    public static function definition(CheckKey $key): CheckDefinition
    {
        self::$definitions ??= self::rowUnit() + self::meterAndAir() + self::furrow() + self::wholePlanter();

        // What a shop's own check is stands in its spec sheet; its figure is a plain number in any case.
        return self::$definitions[$key->value] ?? Define::setting(Station::Electronics, Unit::Mark);
    }

    private static function isDrill(Equipment $on): bool
    {
        return $on->meter === MeterType::Fluted;
    }

    /** @return non-empty-list<Side> where fertilizer is fed */
    private static function bands(Equipment $on): array
    {
        return $on->fertilizerBothSides ? [Side::Left, Side::Right] : [Side::Centre];
    }

    /** @return array<string, CheckDefinition> */
    private static function rowUnit(): array
    {
        $change = Verdict::Change;
        $cleaner = static fn (Equipment $on): bool => $on->rowCleaner;
        $coulter = static fn (Equipment $on): bool => $on->coulter;
        $fertilizer = static fn (Equipment $on): bool => $on->fertilizer;

        return [
            'row_cleaner_teeth' => Define::condition(Station::RowCleaner, ['teeth_worn' => $change, 'teeth_bent' => Verdict::Watch, 'teeth_missing' => $change])->leftAndRight()->where($cleaner),
            'row_cleaner_bearing' => Define::condition(Station::RowCleaner, self::BEARING)->leftAndRight()->where($cleaner),
            'row_cleaner_setting' => Define::setting(Station::RowCleaner, Unit::Mark)->where($cleaner),

            'coulter_diameter' => Define::measure(Station::Coulter, RuleName::WearLimit)->where($coulter),
            'coulter_rim' => Define::condition(Station::Coulter, ['chunk_missing' => $change, 'cracked' => $change])->where($coulter),
            'coulter_bearing' => Define::condition(Station::Coulter, self::BEARING)->where($coulter),

            'fertilizer_blade_diameter' => Define::measure(Station::FertilizerOpener, RuleName::WearLimit)->where($fertilizer)->sided(self::bands(...)),
            'fertilizer_bearing' => Define::condition(Station::FertilizerOpener, self::BEARING)->where($fertilizer)->sided(self::bands(...)),
            'fertilizer_boot' => Define::condition(Station::FertilizerOpener, ['edge_gone' => $change, 'broken' => Verdict::Failed])->where($fertilizer)->sided(self::bands(...)),
            'fertilizer_tube' => Define::condition(Station::FertilizerOpener, ['thin' => Verdict::Watch, 'split' => $change, 'plugged' => $change])->where($fertilizer)->sided(self::bands(...)),
            'fertilizer_pivot' => Define::condition(Station::FertilizerOpener, ['play' => $change, 'worn' => $change])->where($fertilizer)->sided(self::bands(...)),
            'fertilizer_check_valve' => Define::condition(Station::FertilizerOpener, ['leaking' => $change, 'stuck' => $change, 'plugged' => $change])->where($fertilizer)->sided(self::bands(...)),
            'fertilizer_hardware' => Define::condition(Station::FertilizerOpener, ['seized' => Verdict::Watch, 'loose' => Verdict::Watch, 'missing' => $change])->where($fertilizer)->sided(self::bands(...)),
            'fertilizer_band_offset' => Define::measure(Station::FertilizerOpener, RuleName::Recorded)->where($fertilizer)->sided(self::bands(...)),
            'fertilizer_band_depth' => Define::measure(Station::FertilizerOpener, RuleName::Recorded)->where($fertilizer)->sided(self::bands(...)),

            'arm_play_vertical' => Define::measure(Station::ParallelArms, RuleName::PlayLimit),
            'arm_play_side' => Define::measure(Station::ParallelArms, RuleName::PlayLimit),
            'arm_bushings' => Define::condition(Station::ParallelArms, ['loose' => $change, 'worn' => $change, 'cracked' => Verdict::Failed, 'broken' => Verdict::Failed]),
            'arm_bolts' => Define::condition(Station::ParallelArms, ['loose' => $change, 'worn' => $change, 'cracked' => Verdict::Failed, 'broken' => Verdict::Failed]),
            'arm_body' => Define::condition(Station::ParallelArms, ['bent' => $change, 'cracked' => Verdict::Failed, 'broken' => Verdict::Failed]),

            'downforce_spring_step' => Define::setting(Station::Downforce, Unit::Mark)->where(static fn (Equipment $on): bool => $on->downforce === Downforce::Spring),
            'downforce_spring' => Define::condition(Station::Downforce, ['broken' => Verdict::Failed, 'worn' => Verdict::Watch, 'loose' => $change])->where(static fn (Equipment $on): bool => $on->downforce === Downforce::Spring),
            'downforce_pressure' => Define::setting(Station::Downforce, Unit::Psi)->where(static fn (Equipment $on): bool => $on->downforce->hasPressure()),
            'downforce_leak' => Define::condition(Station::Downforce, ['leaking' => $change, 'chafed' => Verdict::Watch, 'cracked' => $change])->where(static fn (Equipment $on): bool => $on->downforce->hasPressure()),

            'seed_hose' => Define::condition(Station::SeedDelivery, ['plugged' => $change, 'split' => $change, 'kinked' => $change]),
            'hopper_lid' => Define::condition(Station::SeedDelivery, ['lid_missing' => $change, 'cracked' => Verdict::Watch, 'loose' => Verdict::Watch]),
            'treated_seed_residue' => Define::condition(Station::SeedDelivery, ['residue' => Verdict::Watch]),
        ];
    }

    /** @return array<string, CheckDefinition> */
    private static function meterAndAir(): array
    {
        $change = Verdict::Change;
        $chain = static fn (Equipment $on): bool => $on->drive->hasChains();
        $air = static fn (Equipment $on): bool => $on->meter->needsAir();
        $drill = self::isDrill(...);
        $singles = static fn (Equipment $on): bool => $on->meter !== MeterType::Fluted;

        return [
            'chain_length' => Define::measure(Station::MeterDrive, RuleName::ChainStretch)->where($chain),
            'chain_stiffness' => Define::condition(Station::MeterDrive, ['stiff' => $change, 'kinked' => $change])->where($chain),
            'sprockets' => Define::condition(Station::MeterDrive, ['teeth_hooked' => $change, 'teeth_worn' => $change, 'loose' => Verdict::Watch])->where($chain),
            'chain_idler' => Define::condition(Station::MeterDrive, ['worn' => $change] + self::BEARING)->where($chain),
            'drive_coupling' => Define::condition(Station::MeterDrive, ['worn' => $change, 'play' => Verdict::Watch, 'dead' => Verdict::Failed])->where(static fn (Equipment $on): bool => ! $on->drive->hasChains()),
            'drive_tab' => Define::yesNo(Station::MeterDrive, $change)->where(static fn (Equipment $on): bool => $on->meter === MeterType::Plate),

            'meter_seal' => Define::condition(Station::Meter, ['worn' => $change, 'torn' => $change])->where($air),
            'meter_brush' => Define::condition(Station::Meter, ['worn' => $change, 'missing' => $change])->where(static fn (Equipment $on): bool => in_array($on->meter, [MeterType::Vacuum, MeterType::Finger, MeterType::Plate], true)),
            'meter_singulator' => Define::condition(Station::Meter, ['worn' => $change, 'bent' => $change])->where($air),
            'meter_knockout_wheel' => Define::condition(Station::Meter, ['worn' => $change, 'stuck' => $change, 'missing' => $change])->where(static fn (Equipment $on): bool => $on->meter === MeterType::Vacuum || $on->meter === MeterType::Plate),
            'meter_disc' => Define::condition(Station::Meter, ['worn' => $change, 'warped' => $change, 'holes_plugged' => Verdict::Watch, 'cracked' => $change]),
            'metering_roll' => Define::condition(Station::Meter, ['worn' => $change, 'chipped' => $change, 'plugged' => Verdict::Watch])->where($drill),
            'meter_cleaned' => Define::yesNo(Station::Meter, Verdict::Watch),
            'meter_bench_seasons' => Define::count(Station::Meter, Unit::Season, RuleName::DueAfter)->where($singles),

            'air_at_meter' => Define::setting(Station::MeterAir, Unit::InchOfWater, RuleName::LikeRowsWatch)->where($air)->running(),
            'air_hose' => Define::condition(Station::MeterAir, ['loose' => $change, 'cracked' => $change, 'plugged' => $change])->where($air),
        ];
    }

    /** @return array<string, CheckDefinition> */
    private static function furrow(): array
    {
        $change = Verdict::Change;
        $firmer = static fn (Equipment $on): bool => $on->firmer;
        $notches = static fn (Equipment $on): bool => $on->depthScale === DepthScale::Notches;
        $drill = self::isDrill(...);

        return [
            'opener_blade_diameter' => Define::measure(Station::OpenerBlades, RuleName::WearLimit)->leftAndRight(),
            'opener_blade_edge' => Define::condition(Station::OpenerBlades, ['dull' => $change, 'chipped' => $change, 'cracked' => Verdict::Failed])->leftAndRight(),
            'opener_bearing' => Define::condition(Station::OpenerBlades, self::BEARING)->leftAndRight(),
            'opener_rivets' => Define::condition(Station::OpenerBlades, ['loose' => $change, 'worn' => $change, 'broken' => Verdict::Failed])->leftAndRight(),

            'blade_contact_length' => Define::measure(Station::BladeContact, RuleName::Window),
            'inner_shims' => Define::count(Station::BladeContact, Unit::Shim, RuleName::AtLeast)->leftAndRight(),

            'scraper' => Define::condition(Station::Scrapers, ['worn' => $change, 'missing' => $change, 'spring_broken' => $change, 'bent' => Verdict::Watch])->leftAndRight(),

            'guard_width' => Define::measure(Station::SeedTubeGuard, RuleName::WearLimit),
            'guard_sides' => Define::condition(Station::SeedTubeGuard, ['worn' => $change, 'cracked' => $change]),

            'seed_tube' => Define::condition(Station::SeedTube, ['curled_lip' => $change, 'dog_ear' => $change, 'hole_rubbed' => $change, 'brittle' => $change]),
            'seed_sensor' => Define::condition(Station::SeedTube, ['dirty' => Verdict::Watch, 'dead' => $change]),
            'seed_boot' => Define::condition(Station::SeedTube, ['edge_gone' => $change, 'worn' => $change, 'broken' => Verdict::Failed])->where($drill),
            'bounce_flap' => Define::condition(Station::SeedTube, ['worn' => $change, 'torn' => $change, 'missing' => $change])->where($drill),

            'gauge_tyre' => Define::condition(Station::GaugeWheels, ['chunk_missing' => $change, 'lip_gone' => $change])->leftAndRight(),
            'gauge_bearing' => Define::condition(Station::GaugeWheels, self::BEARING)->leftAndRight(),
            'gauge_arm_play' => Define::measure(Station::GaugeWheels, RuleName::PlayLimit)->leftAndRight(),
            'gauge_touch' => Define::touch(Station::GaugeWheels)->leftAndRight(),

            'depth_stop_notch' => Define::setting(Station::DepthStop, Unit::Notch, RuleName::LikeRowsChange)->where($notches),
            'depth_set_notch' => Define::setting(Station::DepthStop, Unit::Notch, RuleName::NearAim)->where($notches),

            'firmer_tip' => Define::condition(Station::SeedFirmer, ['worn' => $change, 'missing' => $change])->where($firmer),
            'firmer_tension' => Define::condition(Station::SeedFirmer, ['too_loose' => $change, 'too_tight' => $change])->where($firmer),
            'press_wheel' => Define::condition(Station::SeedFirmer, ['worn' => $change, 'chunk_missing' => $change] + self::BEARING)->where($drill),

            'closing_centring' => Define::measure(Station::ClosingWheels, RuleName::Centring)->toASide(),
            'closing_gap' => Define::measure(Station::ClosingWheels, RuleName::ClosingGap),
            'closing_pressure' => Define::setting(Station::ClosingWheels, Unit::Mark),
            'closing_bearing' => Define::condition(Station::ClosingWheels, self::BEARING)->leftAndRight(),
            'closing_tail_play' => Define::measure(Station::ClosingWheels, RuleName::PlayLimit),
            'closing_rim' => Define::condition(Station::ClosingWheels, ['worn' => $change, 'chunk_missing' => $change, 'bent' => $change, 'cracked' => $change])->leftAndRight(),
        ];
    }

    private static function tires(int $pair): CheckDefinition
    {
        return Define::setting(Station::WheelsAndDrive, Unit::Psi, RuleName::Target)->leftAndRight()->where(static fn (Equipment $on): bool => $on->tyrePairs >= $pair);
    }

    /** @return array<string, CheckDefinition> */
    private static function wholePlanter(): array
    {
        $change = Verdict::Change;
        $liquid = static fn (Equipment $on): bool => $on->liquid;
        $electronics = static fn (Equipment $on): bool => $on->electronics;
        $leaks = ['leaking' => $change, 'chafed' => $change, 'cracked' => $change];

        return [
            'toolbar_height' => Define::measure(Station::Frame, RuleName::Recorded),
            'toolbar_pitch' => Define::setting(Station::Frame, Unit::Degree, RuleName::Range),
            'frame_locks' => Define::yesNo(Station::Frame, $change),
            'hitch_and_chain' => Define::condition(Station::Frame, ['worn' => $change, 'bolts_loose' => $change, 'cracked' => Verdict::Failed, 'missing' => Verdict::Failed]),
            'marker_arms' => Define::condition(Station::Frame, ['bent' => $change, 'loose' => $change, 'leaking' => $change])->where(static fn (Equipment $on): bool => $on->markers),
            'lift_assist_wheels' => Define::condition(Station::Frame, ['loose' => $change, 'leaking' => $change, 'cracked' => Verdict::Failed])->where(static fn (Equipment $on): bool => $on->liftAssist),

            'tyre_pressure' => Define::setting(Station::WheelsAndDrive, Unit::Psi, RuleName::Target)->sided(static fn (Equipment $on): array => $on->tyrePairs === null ? [Side::Centre] : [Side::Left, Side::Right]),
            'tyre_pressure_2' => self::tires(2),
            'tyre_pressure_3' => self::tires(3),
            'tyre_pressure_4' => self::tires(4),
            'drive_wheel_contact' => Define::yesNo(Station::WheelsAndDrive, $change)->where(static fn (Equipment $on): bool => $on->drive === Drive::Ground),
            'drive_shaft' => Define::condition(Station::WheelsAndDrive, ['worn' => $change] + self::BEARING)->where(static fn (Equipment $on): bool => $on->drive->hasChains()),

            'hydraulic_motors' => Define::condition(Station::Hydraulics, ['leaking' => $change, 'rough' => $change])->where(static fn (Equipment $on): bool => $on->drive === Drive::Hydraulic || $on->meter->needsAir()),
            'hydraulic_hoses' => Define::condition(Station::Hydraulics, $leaks),

            'air_fan' => Define::condition(Station::AirAndFill, ['dirty' => Verdict::Watch, 'rough' => $change, 'cracked' => Verdict::Failed])->where(static fn (Equipment $on): bool => $on->meter->needsAir()),
            'fill_hoses' => Define::condition(Station::AirAndFill, ['plugged' => $change, 'split' => $change, 'loose' => $change])->where(static fn (Equipment $on): bool => $on->centralFill),

            'fertilizer_tank' => Define::condition(Station::FertilizerSystem, ['cracked' => $change, 'leaking' => $change, 'dirty' => Verdict::Watch])->where($liquid),
            'fertilizer_pump' => Define::condition(Station::FertilizerSystem, ['leaking' => $change, 'worn' => $change])->where($liquid)->running(),
            'fertilizer_screens' => Define::condition(Station::FertilizerSystem, ['plugged' => $change, 'torn' => $change])->where($liquid),
            'fertilizer_diaphragms' => Define::condition(Station::FertilizerSystem, ['worn' => $change, 'torn' => $change])->where($liquid),
            'antifreeze_flushed' => Define::yesNo(Station::FertilizerSystem, $change)->where($liquid),
            'fertilizer_leak_check' => Define::yesNo(Station::FertilizerSystem, $change)->where($liquid)->running(),

            'lights' => Define::yesNo(Station::Electronics, $change),
            'monitor_on' => Define::yesNo(Station::Electronics, $change)->where($electronics)->running(),
            'software_current' => Define::yesNo(Station::Electronics, Verdict::Watch)->where($electronics),
            'field_maps' => Define::yesNo(Station::Electronics, Verdict::Watch)->where($electronics),
            'sensors_counting' => Define::yesNo(Station::Electronics, $change)->where($electronics)->running(),
        ];
    }
}
