<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Settings;

use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Measure\NumberReader;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableNumber;
use Ustrel\Core\Spec\DepthScale;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;

/**
 * What was set, as one line, the way it is told in the field: `downforce 180 lb rows 3-6, closing 2, air 18 in, heavy residue`. Parts stand
 * between commas, or between semicolons where a value has commas of its own; each says what, on which rows, to what. Words of ground
 * say where it was set, and what follows `note` how it went.
 */
final readonly class SettingsLine
{
    /** The words that each goes by; a longer one is looked for first. */
    private const WORDS = [
        'population' => SettingKey::Population, 'seeds' => SettingKey::Population,
        'sprocket box' => SettingKey::SprocketBox, 'sprockets' => SettingKey::Sprockets, 'sprocket' => SettingKey::Sprockets,
        'disc' => SettingKey::Disc, 'disk' => SettingKey::Disc, 'plate' => SettingKey::Disc,
        'air' => SettingKey::Air, 'vacuum' => SettingKey::Air, 'pressure' => SettingKey::Air,
        'singulator' => SettingKey::Singulator, 'singulators' => SettingKey::Singulator,
        'depth mark' => SettingKey::DepthMark, 'depth notch' => SettingKey::DepthMark, 'depth' => SettingKey::DepthMark, 'mark' => SettingKey::DepthMark, 'notch' => SettingKey::DepthMark,
        'downforce' => SettingKey::Downforce, 'down force' => SettingKey::Downforce,
        'closing' => SettingKey::Closing, 'closing wheels' => SettingKey::Closing, 'closing pressure' => SettingKey::Closing, 'closing wheel' => SettingKey::Closing,
        'cleaner' => SettingKey::Cleaner, 'cleaners' => SettingKey::Cleaner, 'row cleaner' => SettingKey::Cleaner, 'row cleaners' => SettingKey::Cleaner,
        'covering' => SettingKey::Covering, 'covering discs' => SettingKey::Covering,
        'fertilizer rate' => SettingKey::FertilizerRate, 'fertilizer' => SettingKey::FertilizerRate,
        'fertilizer offset' => SettingKey::FertilizerOffset, 'offset' => SettingKey::FertilizerOffset, 'guidance line' => SettingKey::GuidanceLine, 'guidance' => SettingKey::GuidanceLine,
        'press wheel' => SettingKey::PressWheel, 'press wheels' => SettingKey::PressWheel, 'press-wheel tension' => SettingKey::PressWheel, 'drive wheel' => SettingKey::DriveWheel, 'drive-wheel screw' => SettingKey::DriveWheel,
        'fertilizer outlet' => SettingKey::FertilizerOutlet, 'outlet' => SettingKey::FertilizerOutlet,
        'speed' => SettingKey::Speed, 'marker' => SettingKey::Marker, 'markers' => SettingKey::Marker, 'ballast' => SettingKey::Ballast,
        'circumference' => SettingKey::Circumference, 'rolling circumference' => SettingKey::Circumference, 'slip' => SettingKey::Slip,
    ];

    private const NUMBER = '\d(?:[\d.,]|[\'\x{00A0}\x{202F} ](?=\d{3}\b))*';

    private const LEAST_SEEDS = 500.0;

    /** @param  non-empty-list<SaidSetting>  $settings */
    private function __construct(
        public array $settings,
        public ?Soil $soil,
        public ?Residue $residue,
        /** How it went; empty where nothing was said. */
        public string $note,
    ) {
    }

    /**
     * @param  int  $rowCount  of the planter
     * @param  NumberStyle|null  $style  of the workshop
     *
     * @throws UnreadableSettings
     */
    public static function read(string $line, int $rowCount, ?NumberStyle $style = null): self
    {
        $parts = str_contains($line, ';') ? explode(';', $line) : (preg_split('/\n|,(?!\d)|(?<!\d),/', $line) ?: []);
        $settings = $seen = [];
        $soil = $residue = null;
        $note = '';
        foreach (array_filter(array_map(trim(...), $parts), static fn (string $part): bool => $part !== '') as $part) {
            if (($ofSoil = Soil::told($part)) !== null) {
                $soil = $ofSoil;
            } elseif (($ofResidue = Residue::told($part)) !== null) {
                $residue = $ofResidue;
            } elseif (preg_match('/^note:? (\S.*)$/isu', $part, $found) === 1) {
                $note = $note === '' ? $found[1] : "{$note}, {$found[1]}";
            } else {
                $said = self::setting($part, $rowCount, $style);
                foreach ($said->rows as $row) {
                    $seen["{$said->key->value} {$row}"] = isset($seen["{$said->key->value} {$row}"]) ? throw UnreadableSettings::because('twice', $part) : true;
                }
                $settings[] = $said;
            }
        }

        return $settings === [] ? throw UnreadableSettings::because('nothing', $line) : new self($settings, $soil, $residue, $note);
    }

    private static function setting(string $part, int $rowCount, ?NumberStyle $style): SaidSetting
    {
        $rows = [0];
        $said = $part;
        if (preg_match('/^(.*?)\brows?\s+(\d+(?:\s*(?:-|to|\+|and|&)\s*\d+)*)\s*(.*)$/isu', $part, $found) === 1) {
            $rows = self::rows($found[2], $rowCount);
            $said = trim("{$found[1]} {$found[3]}");
        } elseif (preg_match('/\brows?\b(?! cleaner)/iu', $part) === 1) {
            throw UnreadableSettings::because('no_rows', $part);
        }
        if (preg_match('#^('.self::NUMBER.'k?)\s*(mph|km/?h|seeds?(?:\s*/\s*(?:ac|acre|ha))?)$#iu', $said, $found) === 1) {
            $key = str_starts_with(strtolower($found[2]), 's') ? SettingKey::Population : SettingKey::Speed;
            $value = $said;
        } else {
            [$key, $value] = self::keyed($said, $part);
        }
        if ($value === '') {
            throw UnreadableSettings::because('no_value', $part);
        }
        if ($rows !== [0] && ! $key->isOfRows()) {
            throw UnreadableSettings::because('not_of_rows', $part);
        }
        $unit = $key->unit();
        if ($unit === null) {
            return new SaidSetting($key, $rows, $value, null, null);
        }
        if ($key === SettingKey::DepthMark) {
            [$figure, $scale] = self::depth($value, $style) ?? throw UnreadableSettings::because('no_depth', $part);

            return new SaidSetting($key, $rows, '', $figure, null, $scale);
        }
        [$figure, $units] = self::figure($value, $unit, $style) ?? throw UnreadableSettings::because('no_figure', $part);

        return new SaidSetting($key, $rows, '', $figure, $units);
    }

    /** @return array{SettingKey, string} what is set, and to what */
    private static function keyed(string $said, string $part): array
    {
        $words = array_keys(self::WORDS);
        usort($words, static fn (string $one, string $other): int => strlen($other) <=> strlen($one));
        foreach ($words as $word) {
            $spaced = strtr(preg_quote($word, '#'), [' ' => '[\s_-]+']);
            if (preg_match("#^{$spaced}(?:\s*[:=]\s*|\s+to\s+|\s+|(?=\d)|$)(.*)$#isu", $said, $found) === 1) {
                return [self::WORDS[$word], trim($found[1])];
            }
        }

        throw UnreadableSettings::because(preg_match('/^[\d.,\s-]+$/', $part) === 1 ? 'bare_number' : 'no_key', $part);
    }

    /** @return array{float, DepthScale|null}|null of `5`, `5 notches`, `hole 3`, `2 1/4 in` */
    private static function depth(string $value, ?NumberStyle $style): ?array
    {
        if (preg_match('#^([a-z]*)\s*(\d+/\d+|'.self::NUMBER.'(?:\s+\d+/\d+)?)\s*(\S.*)?$#iu', $value, $found) !== 1) {
            return null;
        }
        $said = trim("{$found[1]} ".($found[3] ?? ''));
        $scale = DepthScale::told($said);
        if ($said !== '' && $scale === null) {
            return null;
        }
        try {
            return [(new NumberReader(style: $style))->read($found[2]), $scale];
        } catch (UnreadableNumber $unreadable) {
            return $unreadable->isNoNumber() ? null : throw UnreadableSettings::number($unreadable);
        }
    }

    /** @return array{float, UnitSystem|null}|null */
    private static function figure(string $value, CalcUnit $unit, ?NumberStyle $style): ?array
    {
        if (preg_match('#^('.self::NUMBER.')\s*(k(?![a-z/]))?\s*(\S.*)?$#iu', $value, $found) !== 1) {
            return null;
        }
        $said = mb_strtolower((string) preg_replace('/\s+/', ' ', $found[3] ?? ''));
        $units = match (true) {
            $said === '' => null,
            in_array($said, self::units($unit)[0], true) => UnitSystem::Inch,
            in_array($said, self::units($unit)[1], true) => UnitSystem::Metric,
            default => false,
        };
        $isThousands = ($found[2] ?? '') !== '';

        if ($units === false || ($isThousands && $unit !== CalcUnit::SeedsAnAcre)) {
            return null;
        }
        try {
            // Populations are read by their range: 34,000 is never 34.
            $number = (new NumberReader(lowest: $unit === CalcUnit::SeedsAnAcre && ! $isThousands ? self::LEAST_SEEDS : -INF, style: $style))->read($found[1]);
        } catch (UnreadableNumber $unreadable) {
            return $unreadable->isNoNumber() ? null : throw UnreadableSettings::number($unreadable);
        }

        return [$number * ($isThousands ? 1000 : 1), $units];
    }

    /** @return array{list<string>, list<string>} words for it, and for the metric unit that stands for it */
    private static function units(CalcUnit $unit): array
    {
        return match ($unit) {
            CalcUnit::SeedsAnAcre => [['seed', 'seeds', 'seeds/ac', 'seeds/acre', 'seeds / ac', '/ac', '/acre', 'an acre'], ['seeds/ha', 'seeds / ha', '/ha']],
            CalcUnit::InchOfWater => [['in', 'in.', '"', 'inch', 'inches', 'inches of water', 'in of water', 'in h2o', 'in h₂o'], ['mbar', 'hpa']],
            CalcUnit::Mph => [['mph'], ['km/h', 'kmh']],
            CalcUnit::Inch => [['in', 'in.', '"', 'inch', 'inches'], ['cm']],
            CalcUnit::Pound => [['lb', 'lbs', 'pounds'], ['kg']],
            CalcUnit::Foot => [['ft', 'feet'], ['m']],
            CalcUnit::Percent => [['%', 'percent'], []],
            default => [[], []],
        };
    }

    /** @return non-empty-list<int> */
    private static function rows(string $typed, int $rowCount): array
    {
        $rows = [];
        foreach (preg_split('/\s*(?:\+|and|&)\s*/iu', $typed) ?: [] as $part) {
            $ends = preg_split('/\s*(?:-|to)\s*/iu', $part) ?: [];
            [$from, $to] = [(int) $ends[0], (int) ($ends[1] ?? $ends[0])];
            if (count($ends) > 2 || $from < 1 || $to < $from || $to > $rowCount) {
                throw UnreadableSettings::because('no_rows', $typed);
            }
            array_push($rows, ...range($from, $to));
        }
        sort($rows);

        return array_values(array_unique($rows)) ?: throw UnreadableSettings::because('no_rows', $typed);
    }
}
