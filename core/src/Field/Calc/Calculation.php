<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

use Ustrel\Core\Field\Settings\SettingKey;

/** The calculators: what each asks for. Worded under `calc.<value>`, its formula under `calc_formula.<value>` and `calc_formula_metric.<value>`. */
enum Calculation: string
{
    case Spacing = 'spacing';
    case Population = 'population';
    case Sprockets = 'sprockets';
    case Weighing = 'weighing';
    case Circumference = 'circumference';
    case Slip = 'slip';
    case AcreCounter = 'acre_counter';
    case FourAnswers = 'four_answers';
    case StandRate = 'stand_rate';
    case DrillRate = 'drill_rate';
    case DryCatch = 'dry_catch';
    case Liquid = 'liquid';
    case RowCatch = 'row_catch';
    case Fills = 'fills';
    case Marker = 'marker';
    case GuessRow = 'guess_row';
    case Ballast = 'ballast';
    case Reaction = 'reaction';
    case DepthMark = 'depth_mark';

    /** @return list<CalcInput> in the order in which they are asked for */
    public function inputs(): array
    {
        $width = CalcInput::of('width', CalcUnit::Inch, 4, 80);
        $population = CalcInput::of('population', CalcUnit::SeedsAnAcre, 500, 2_000_000)->from(SettingKey::Population);
        $mph = CalcInput::of('mph', CalcUnit::Mph, 0.5, 20)->from(SettingKey::Speed);
        $rows = CalcInput::whole('rows', 1, 64);
        $cells = CalcInput::whole('cells', 1, 400);
        $circumference = CalcInput::of('circumference', CalcUnit::Foot, 1, 40)->from(SettingKey::Circumference);
        $slip = CalcInput::of('slip', CalcUnit::Percent, 0, 50)->from(SettingKey::Slip);
        $rate = CalcInput::of('rate', CalcUnit::GallonsAnAcre, 0.1, 200);
        $seedsAPound = CalcInput::of('seeds_lb', CalcUnit::SeedsAPound, 50, 1_000_000);
        $germination = CalcInput::of('germination', CalcUnit::Percent, 1, 100);
        $emergence = CalcInput::of('emergence', CalcUnit::Percent, 1, 100);
        $scale = CalcInput::of('scale', CalcUnit::Pound, 0, 100)->ifKnown();

        return match ($this) {
            self::Spacing => [$population, $width, $mph->ifKnown(), $cells->ifKnown()],
            self::Population => [CalcInput::of('spacing', CalcUnit::Inch, 0.1, 300), $width],
            self::Sprockets => [$population, $width, $cells, $circumference, $slip, CalcInput::of('fixed', CalcUnit::Plain, 0.01, 100)->ifKnown(), CalcInput::list('box', CalcUnit::Plain, SprocketBox::LEAST, SprocketBox::MOST, isWhole: true)->from(SettingKey::SprocketBox), CalcInput::whole('stages', 1, 2), CalcInput::list('now', CalcUnit::Plain, SprocketBox::LEAST, SprocketBox::MOST, isWhole: true)->from(SettingKey::Sprockets)->ifKnown()],
            self::Weighing => [CalcInput::of('in', CalcUnit::Pound, 0.01, 100_000), CalcInput::of('out', CalcUnit::Pound, 0, 100_000), CalcInput::of('acres', CalcUnit::Acre, 0.001, 10_000), $seedsAPound, $scale, CalcInput::of('seeds_lb_off', CalcUnit::Percent, 0, 20)->ifKnown()],
            self::Circumference => [CalcInput::of('feet', CalcUnit::Foot, 5, 5_000), CalcInput::of('turns', CalcUnit::Plain, 1, 500)],
            self::Slip => [CalcInput::of('turns', CalcUnit::Plain, 1, 5_000), $circumference, CalcInput::of('feet', CalcUnit::Foot, 20, 50_000)],
            self::AcreCounter => [CalcInput::of('turns', CalcUnit::Plain, 1, 10_000_000), $circumference, $width, $rows, $slip, CalcInput::of('map', CalcUnit::Acre, 0.1, 10_000)->ifKnown()],
            self::FourAnswers => [
                CalcInput::of('gearing', CalcUnit::SeedsAnAcre, 500, 2_000_000)->ifKnown(), CalcInput::of('weighing', CalcUnit::SeedsAnAcre, 500, 2_000_000)->ifKnown(),
                CalcInput::whole('dug', 1, 2_000)->ifKnown(), CalcInput::of('dug_feet', CalcUnit::Foot, 1, 1_000)->ifKnown(), $width, CalcInput::of('monitor', CalcUnit::SeedsAnAcre, 500, 2_000_000)->ifKnown(),
            ],
            self::StandRate => [CalcInput::of('plants', CalcUnit::SeedsAnAcre, 500, 2_000_000), $germination, $emergence],
            self::DrillRate => [$population, $seedsAPound, $width->ifKnown(), CalcInput::of('acres', CalcUnit::Acre, 0.001, 10_000)->ifKnown()],
            self::DryCatch => [CalcInput::of('caught', CalcUnit::Pound, 0.001, 1_000), CalcInput::of('feet', CalcUnit::Foot, 5, 50_000), CalcInput::of('feet_wide', CalcUnit::Foot, 0.2, 200), $scale],
            self::Liquid => [$rate, $mph, $width, $rows, CalcInput::of('capacity', CalcUnit::GallonsAMinute, 0.1, 500)->ifKnown()],
            self::RowCatch => [CalcInput::list('catches', CalcUnit::Plain, 0, 1_000_000)],
            self::Fills => [CalcInput::list('volumes', CalcUnit::Plain, 0.01, 1_000_000), CalcInput::list('rates', CalcUnit::Plain, 0.0001, 1_000_000)],
            self::Marker => [$rows, $width],
            self::GuessRow => [CalcInput::of('gap', CalcUnit::Inch, 1, 200), $width],
            self::Ballast => [CalcInput::list('downforces', CalcUnit::Pound, 0, 2_000), CalcInput::of('usable', CalcUnit::Pound, 0, 50_000), CalcInput::list('arms', CalcUnit::Foot, 0, 100)->ifKnown(), CalcInput::of('usable_at', CalcUnit::Foot, 0, 100)->ifKnown(), CalcInput::of('ballast_at', CalcUnit::Foot, 0.1, 100)->ifKnown()],
            self::Reaction => [$mph, CalcInput::of('seconds', CalcUnit::Second, 0.01, 120), CalcInput::of('strip', CalcUnit::Foot, 0.1, 1_000)->ifKnown()],
            self::DepthMark => [CalcInput::list('marks', CalcUnit::Plain, -1_000, 1_000), CalcInput::list('depths', CalcUnit::Inch, 0.1, 12), CalcInput::of('aim', CalcUnit::Inch, 0.1, 12)],
        };
    }
}
